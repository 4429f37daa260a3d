import { spawnSync } from 'node:child_process'
import { Key } from 'selenium-webdriver'
import { aroundMinutes } from '../src/core/analysis/around'
import { gameOf } from '../src/core/games'
import { oneDecimal, inHundred } from '../src/ui/words'
import { Person } from './support/browser'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  await person.goTo('/')
  await person.enter('Name of the class', 'Tern Class')
  await person.paste('Children', 'Ama\nBruno\nChidi\nDalia')
  await person.press('Create class of 4')
  await person.sees(/in their zone|Nobody is known yet/)
  base = new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const analyse = (input: object) => core('analyse', input)

/** The core command line's answer for an input. */
function core(verb: string, input: object) {
  const { stdout, stderr, status } = spawnSync(process.execPath, ['--import', 'tsx', 'bin/core.ts', verb], {
    input: JSON.stringify(input),
    encoding: 'utf8',
  })
  if (status !== 0) throw new Error(stderr)
  return JSON.parse(stdout)
}

/** What is left of a slot to play in, to the second: the rest goes into laying the game out and packing it up. */
function playing(game: string, params: unknown, players: number, slotMinutes: number): number {
  return Math.round(60 * (slotMinutes - aroundMinutes(gameOf(game), params, players))) / 60
}

const paramsOf = (game: string, level: string) => gameOf(game).levels.find(({ id }) => id === level)!.params

/** The figures of a game, once all of them are there. */
async function workedOut(): Promise<string> {
  await person.waitFor(
    async () => /times in ten minutes/.test(await person.text('.figures')),
    'the figures of the game',
  )
  return person.text('.figures')
}

test.each([
  ['landfall', 'to-20-die', 2, 4],
  ['landfall', 'to-10-die', 2, 20],
  ['tower-bay', 'spinner-10', 3, 10],
  ['the-gap', 'to-20', 2, 6],
  ['perch', 'two-dice', 2, 10],
  ['five-flags', 'two-dice', 4, 10],
])('every figure on the page of %s, %s equals analyse', async (game, level, players, slotMinutes) => {
  // Where there is no exact figure a page plays 2000 games.
  const slot = playing(game, paramsOf(game, level), players, slotMinutes)
  const { set, minutes, practice, method } = analyse({
    game,
    level,
    players,
    slotMinutes: slot,
    games: 2000,
  })
  await person.goTo(
    `${base}/games/${game}?level=${level}&players=${players}&slot=${slotMinutes}&view=figures`,
  )
  const finish = minutes.finishInSlot
  // A game that is over in less than a third of the slot says how many fit.
  const heading =
    minutes.p50 * 3 < slot
      ? `Over in about ${oneDecimal(minutes.p50)} minutes: about ${oneDecimal(Math.max(2, Math.round(slot / minutes.p50)))} games fit in your slot`
      : finish >= 0.995
        ? 'Nearly always finishes in your slot'
        : `Finishes in your slot ${inHundred(finish)} times in 100`
  await person.sees(new RegExp(`^${heading}$`))
  const figures = await workedOut()
  const goes =
    set.goes.p10 === set.goes.p90 ? `${set.goes.p10} goes` : `Usually ${set.goes.p10} to ${set.goes.p90} goes`
  const [from, to] = [oneDecimal(minutes.p10), oneDecimal(minutes.p90)]
  expect(figures).toContain(`${goes}, about ${from === to ? from : `${from} to ${to}`} minutes ${method}`)
  expect(figures).toContain(
    `${oneDecimal(set.goes.mean)} goes on average, ${oneDecimal(minutes.mean)} minutes`,
  )
  if (set.deadShare > 0)
    expect(figures).toContain(`In ${inHundred(set.deadShare)} of 100 goes a child can only wait`)
  expect(figures).toContain(`answers about ${oneDecimal(practice.itemsPerChildPer10Min)}`)
  expect(figures).toContain(`waits ${inHundred(practice.waitingShare)} `)
  if (set.firstPlayerWins !== null)
    expect(figures).toContain(`The child who starts wins ${inHundred(set.firstPlayerWins)} games in 100`)
  await person.press('As a table')
  const table = await person.text('.figures table')
  for (const { key, share } of practice.items.slice(0, 20))
    expect(table).toContain(`${key} ${(100 * share).toFixed(1)} %`)
  expect(await person.axe()).toEqual([])
})

test('advice is tried before it is given: its page shows the figures it promised', async () => {
  await person.goTo(`${base}/games/tower-bay?level=spinner-10&players=3&slot=6&view=figures`)
  await person.press('Try it: Make it eight spaces')
  await person.find('//p[contains(.,"rules changed")]')
  await workedOut()
  const params = { source: { kind: 'spinner', sectors: 10 }, spaces: 8 }
  const promised = analyse({
    game: 'tower-bay',
    params,
    players: 3,
    slotMinutes: playing('tower-bay', params, 3, 6),
  })
  await person.sees(new RegExp(inHundred(promised.minutes.finishInSlot)))
})

test('games played out in a worker agree with the exact figures, can be cancelled, and say that they are simulated', async () => {
  const { set } = analyse({ game: 'landfall', level: 'to-20-die', players: 2, slotMinutes: 3 })
  await person.goTo(`${base}/games/landfall?level=to-20-die&players=2&slot=3&view=figures`)
  await person.press('Play 20,000 games')
  await person.press('Cancel')
  await person.press('Play 20,000 games')
  const result = await person.find('//p[@data-simulated]', 60_000)
  const text = await result.getText()
  expect(text).toMatch(/Simulated; 95 % intervals/)
  const mean = Number(await result.getAttribute('data-simulated'))
  const half = Number(/± ([\d.]+)/.exec(text)![1])
  expect(Math.abs(mean - set.goes.mean)).toBeLessThan(2 * half + 0.01)
})

test('the games index filters by group, minutes and materials', async () => {
  await person.goTo(`${base}/games?slot=12`)
  expect(await person.sees(/games fit/)).toMatch(/of 50 games fit/)
  expect(await person.axe()).toEqual([])
  await person.choose('Materials', 'no dice')
  await person.waitFor(
    async () => (await person.driver.getCurrentUrl()).includes('needs=no-dice'),
    'the filter',
  )
})

test('every game has a page, whatever kind of game it is, and the index filters by all it knows', async () => {
  const { games } = core('games', {}) as { games: { id: string; title: string }[] }
  expect(games).toHaveLength(50)
  for (const [i, { id, title }] of games.entries()) {
    const name = title.replace(/[’'].*/, '')
    const page = await fetch(`${server.url}${base}/games/${id}`)
    expect([id, page.status, (await page.text()).includes(name)]).toEqual([id, 200, true])
    // The figures of every tenth are waited for.
    if (i % 10 > 0) continue
    await person.goTo(`${base}/games/${id}?view=figures`)
    await person.find(`//p[contains(@class,"kicker")][contains(.,"${name}")]`)
    expect(await workedOut()).toMatch(/times in ten minutes/)
  }
  await person.goTo(`${base}/games?strand=time&noise=1`)
  await person.sees(/games fit/)
  expect(await person.text('.games-list')).toContain('Clock Cards')
  await person.choose('Children', '12')
  await person.waitFor(async () => (await person.driver.getCurrentUrl()).includes('players=12'), 'the filter')
  // Of the games about time only the line of a whole class takes twelve.
  await person.sees(/^1 of 50 games fit$/)
  expect(await person.text('.games-list')).toContain('Silent Line')
})

test('a level that does not exist shows one that does, changed rules that make no sense are refused in words', async () => {
  await person.goTo(`${base}/games/landfall?level=to-the-moon&players=99&slot=abc&view=figures`)
  await person.sees(/slot/)
  const rules = JSON.stringify({ start: 5, goal: 5, source: { kind: 'dice', count: 1 } })
  await person.goTo(`${base}/games/landfall?level=to-10-die&rules=${encodeURIComponent(rules)}&view=figures`)
  await person.find('//*[@role="alert"][contains(.,"The goal is the start square.")]')
})

test('a count on the shelf shows what is short and what makes up for it', async () => {
  await person.goTo(`${base}/groups`)
  await person.press('Use these groups')
  await person.press('To the plan')
  await (await person.find('//select[@aria-label="Station 1: game"]')).click()
  await person.choose('Station 1: game', 'Landfall')
  await person.find('//th[starts-with(normalize-space(.),"marker")]')
  // Kept: a plan that was only offered would be made anew without what is short.
  await person.press('Ready')
  await person.sees(/Slot 1 of/)
  await person.goTo(`${base}/plan`)
  await person.enter('die: how many you have', '1')
  await person.enter('marker: how many you have', '2')
  await person.driver.actions().sendKeys(Key.TAB).perform()
  await person.find(
    '//*[contains(@class,"fetch-list")]//tr[contains(@class,"short")][contains(.,"use number cards 1 to 6")]',
  )
  await person.driver.navigate().refresh()
  const marker = await person.find(
    '//tr[contains(@class,"short")][th[starts-with(normalize-space(.),"marker")]]',
  )
  expect(await marker.getText()).toMatch(/short: use cube or bottle cap or pebble or dried pasta/)
  expect(await marker.getText()).toContain('mind allergies')
})

test('a child’s page offers a task with other numbers each time, and says what a suggestion rests on', async () => {
  await person.goTo(`${base}/class`)
  await person.press('Ama')
  await person.find('//h2[normalize-space(.)="A task to try"]')
  const said = new Set<string>()
  for (let turn = 0; turn < 6; turn++) {
    // What is laid and what is said: the numbers may stand in either.
    const words = await person.text('.task')
    expect(words).toMatch(/\d.*[.?]”?$/s)
    said.add(words)
    await person.press('Other numbers')
  }
  expect(said.size).toBeGreaterThan(2)
  // Nothing has been seen yet: neither way of deciding finds the child ready.
  const why = await person.text('.why')
  expect(why).toContain('No mark of an adult at this step yet. Wanted: 8 of 10 on 2 days.')
  expect(why).toContain('seen on 0 days; 80 and two days are wanted')
})
