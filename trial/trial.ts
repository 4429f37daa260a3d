import { readFileSync, writeFileSync, existsSync } from 'node:fs'
import { cpus } from 'node:os'
import prepare from '../e2e/support/prepare.mjs'
import { fuzz } from './fuzz'
import { kills } from './kills'
import { levels } from './levels'
import { load } from './load'
import { requests } from './requests'
import { scale } from './scale'
import { say } from './support'

const minutes = (count: number) => Date.now() + count * 60_000

/** Each trial. That of kills takes most of an hour on two cores, the making of the year longer once; the others a quarter. */
const trials: Record<string, () => Promise<object>> = {
  kills: () => kills(300, minutes(60)),
  load: () => load(150),
  levels: () => levels(),
  fuzz: () => fuzz(6000, minutes(25)),
  requests: () => requests(3000, minutes(10)),
  scale: () => scale(20, 206, 8),
}

const file = 'docs/trials.json'

/** `npm run trial [NAME …]`: the hard trials; what they found is kept in docs/trials.json. */
async function main() {
  const wanted = process.argv.slice(2)
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
    writeFileSync(file, `${JSON.stringify(found, null, 2)}\n`)
  }
}

main().then(
  () => process.exit(0),
  (error: Error) => {
    say(error.stack ?? error.message)
    process.exit(1)
  },
)
