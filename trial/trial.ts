import { readFileSync, writeFileSync, existsSync } from 'node:fs'
import { cpus } from 'node:os'
import prepare from '../e2e/support/prepare.mjs'
import { access } from './access'
import { fuzz } from './fuzz'
import { kills } from './kills'
import { levels } from './levels'
import { load } from './load'
import { properties } from './properties'
import { requests } from './requests'
import { room } from './room'
import { scale } from './scale'
import { say } from './support'

const minutes = (count: number) => Date.now() + count * 60_000

/** Each trial, whole: kills take half an hour on two cores, the making of the year longer once, the load ten minutes. */
const whole: Record<string, () => Promise<object>> = {
  kills: () => kills(300, minutes(60)),
  load: () => load(300),
  room: () => room(600),
  levels: () => levels(),
  fuzz: () => fuzz(6000, minutes(25)),
  requests: () => requests(3000, minutes(10)),
  access: () => access(),
  scale: () => scale(20, 206, 8),
  properties: () => properties(),
}

const { properties: _onlyWhole, ...bounded } = whole

/** The same in a quarter of an hour, as far as each comes in its share of it. */
const short: typeof whole = {
  ...bounded,
  kills: () => kills(300, minutes(5)),
  load: () => load(45),
  room: () => room(60),
  fuzz: () => fuzz(6000, minutes(2)),
  requests: () => requests(3000, minutes(1)),
}

const file = 'docs/trials.json'

/**
 * `npm run trial [NAME …]`: the hard trials in a quarter of an hour; with `--whole` all of them, as long as they take, and
 * what they found is kept in docs/trials.json.
 */
async function main() {
  const asked = process.argv.slice(2)
  const isWhole = asked.includes('--whole')
  const trials = isWhole ? whole : short
  const wanted = asked.filter((name) => name !== '--whole')
  for (const name of wanted)
    if (!Object.hasOwn(trials, name)) throw new Error(`Trials: ${Object.keys(trials).join(', ')}.`)
  await prepare()
  const found = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>) : {}
  for (const [name, trial] of Object.entries(trials)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue
    const begun = Date.now()
    const result = await trial()
    found[name] = {
      on: new Date().toISOString().slice(0, 10),
      cores: cpus().length,
      seconds: Math.round((Date.now() - begun) / 1000),
      ...result,
    }
    say(`${name}: ${JSON.stringify(found[name])}`)
    if (isWhole) writeFileSync(file, `${JSON.stringify(found, null, 2)}\n`)
  }
}

main().then(
  () => process.exit(0),
  (error: Error) => {
    say(error.stack ?? error.message)
    process.exit(1)
  },
)
