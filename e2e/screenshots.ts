import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import { bundle } from '../bin/bundle.mjs'
import { Person } from './support/browser'
import { startServer } from './support/server'

/** A page of a printed level as another program draws it. */
function takePaper(name: string, game: string, level: string, page: number) {
  const input = JSON.stringify({ game, level, players: 4, as: 'pdf' })
  const { stdout } = spawnSync(process.execPath, ['--import', 'tsx', 'bin/core.ts', 'print'], {
    input,
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  })
  const { pdf } = JSON.parse(stdout) as { pdf: string }
  const one = ['-r', '80', '-f', String(page), '-l', String(page), '-png', '-singlefile']
  spawnSync('pdftoppm', [...one, '-', `docs/screenshots/${name}`], { input: Buffer.from(pdf, 'base64') })
}

/** Takes the pictures of docs/screenshots anew from fresh demo data: `npm run screenshots [NAME …]`. */
async function main() {
  bundle()
  const folder = '.islands/screenshots'
  // The last pictures left a session running in it.
  for (const old of [folder, `${folder}.stamp`]) rmSync(old, { recursive: true, force: true })
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'bin/demo-data.ts', folder], {
    stdio: 'inherit',
  })
  if (status !== 0) process.exit(1)
  const server = await startServer(folder)
  const person = await Person.at(server.url)
  const wanted = process.argv.slice(2)
  if (wanted.length === 0 || wanted.includes('paper')) {
    takePaper('paper-task-card', 'landfall', 'to-20-cards', 1)
    takePaper('paper-board', 'perch', 'two-dice', 2)
  }
  const take = async (name: string, path: string, before?: () => Promise<void>) => {
    if (wanted.length > 0 && !wanted.includes(name)) return
    await person.goTo(path)
    await person.heading()
    await before?.()
    await new Promise((resolve) => setTimeout(resolve, 500))
    await person.picture(`docs/screenshots/${name}.png`)
  }
  /** What another device shows that comes in by a code. */
  const takeElsewhere = async (name: string, kind: string, size: { width: number; height: number }) => {
    if (wanted.length > 0 && !wanted.includes(name)) return
    await person.goTo(`${base}/run`)
    const start = await person.driver.findElements({ xpath: '//button[.="Start session"]' })
    await start[0]?.click()
    await person.button('Pause')
    await person.press('Bring a helper')
    await (await person.find(`//label[starts-with(normalize-space(.), "${kind}")]`)).click()
    await person.press('Make a code')
    const code = await (await person.find('//*[@class="typed-code"]')).getText()
    const other = await Person.at(server.url, size)
    await other.goTo('/here')
    await other.enter('The code from the teacher’s screen', code)
    await other.press('Come in')
    await other.find('//*[contains(@class,"helper-step") or contains(@class,"room-title")]')
    await new Promise((resolve) => setTimeout(resolve, 1000))
    await other.picture(`docs/screenshots/${name}.png`)
    await other.leave()
  }
  let base = ''
  try {
    await person.goTo('/')
    await person.heading()
    base = new URL(await person.driver.getCurrentUrl()).pathname
    await take('harbour', base)
    await take('class', `${base}/class`)
    await take('groups', `${base}/groups`, () =>
      person.waitFor(async () => (await person.all('progress')).length === 0, 'the curve to be there'),
    )
    await take('games', `${base}/games?group=1&slot=12`)
    await take('game', `${base}/games/landfall?level=to-20-cards`)
    await take(
      'figures',
      `${base}/games/landfall?level=to-20-cards&slot=5&players=4&view=figures`,
      async () => {
        await person.find('//*[contains(@class,"advice")]', 30_000)
      },
    )
    await take('plan', `${base}/plan`)
    const shown = (goes: number) => async () => {
      for (let step = 0; step < goes; step++) await person.keys(' ')
    }
    await take('show-track', `${base}/show/landfall?level=20-to-50`, async () => {
      await shown(8)()
      await person.keys('c', 'c', 'c')
    })
    await take('try', `${base}/try/landfall?level=to-20-die`, shown(1))
    await take('progress', `${base}/progress`)
    await take('child', `${base}/class`, async () => {
      await person.press('Amara')
      await person.find('//h2[normalize-space(.)="What was seen"]')
    })
    await take('print', `${base}/print`, async () => {
      await person.sees(/^\d+ pages? for/)
    })
    await take('settings', `${base}/settings`, async () => {
      await person.press('Back up now')
      await person.sees(/Backed up today/)
    })
    await take('run', `${base}/run`, async () => {
      await person.press('Start session')
      await person.button('Pause')
      const marks = await person.all('.mark')
      for (const index of [0, 4, 6, 12, 17]) await marks[index]?.click()
    })
    await take('check', `${base}/class`, async () => {
      await person.press('Zoe')
      await person.press('Quick check')
      await person.press('Begin')
      await person.find('//*[contains(@class,"check-say")]')
    })
    await takeElsewhere('helper', 'A helper', { width: 390, height: 844 })
    await takeElsewhere('room', 'The room', { width: 1920, height: 1080 })
  } finally {
    await person.leave()
    await server.stop()
  }
}

void main()
