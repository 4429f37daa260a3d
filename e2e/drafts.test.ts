import { By, Key } from 'selenium-webdriver'
import { Person } from './support/browser'
import { makeClass, toReady } from './support/class'
import { startServer, type TestServer } from './support/server'

const names = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => `${letter}na`)

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  base = await makeClass(person, 'Dunlin Class', names)
  await toReady(person)
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const clean = async () => expect(await person.axe()).toEqual([])
const laneOf = async (name: string, by = person) =>
  (await by.find(`//section[contains(@class,"lane")][.//button[contains(.,"${name}")]]`)).getAttribute(
    'aria-label',
  )
const saved = (by = person) =>
  by.waitFor(
    async () => /^Draft, saved \d\d:\d\d$/.test(await by.text('.draft-line [role=status]')),
    'the draft saved',
  )

/** Moves a child to another group and says which. */
async function moveOn(name: string, by = person): Promise<string> {
  await (await by.find(`//button[contains(@class,"lane-name")][contains(.,"${name}")]`)).click()
  const from = await laneOf(name, by)
  await (await by.find('//aside//button[normalize-space(.)="Move"]')).click()
  await by.waitFor(async () => (await laneOf(name, by)) !== from, `${name} in another group`)
  return (await laneOf(name, by))!
}

test('groups moved by hand are found again after leaving without saving, and taken back step by step', async () => {
  await person.goTo(`${base}/groups`)
  const before = await laneOf('Ana')
  const to = await moveOn('Ana')
  await saved()
  await person.goTo(`${base}/progress`)
  await person.goTo(`${base}/groups`)
  expect(await laneOf('Ana')).toBe(to)
  await person.find('//p[contains(.,"changed from version 1, not in use yet")]')
  await clean()
  await person.press('Undo')
  await person.waitFor(async () => (await laneOf('Ana')) === before, 'Ana where she was')
  await person.driver.actions().keyDown(Key.CONTROL).keyDown(Key.SHIFT).sendKeys('z').perform()
  await person.driver.actions().clear()
  await person.waitFor(async () => (await laneOf('Ana')) === to, 'Ana moved again')
  await person.press('Discard draft')
  await person.waitFor(async () => (await laneOf('Ana')) === before, 'the groups in use')
  await person.goTo(`${base}/groups`)
  expect(await laneOf('Ana')).toBe(before)
  expect(await person.all('.draft-line')).toHaveLength(0)
})

test('two tabs move different children: neither is lost, and each says so', async () => {
  const other = await Person.at(server.url)
  try {
    await person.goTo(`${base}/groups`)
    await other.goTo(`${base}/groups`)
    await other.heading()
    const bna = await moveOn('Bna')
    await saved()
    const bnaBefore = await laneOf('Bna', other)
    const cna = await moveOn('Cna', other)
    await other.find('//*[@role="alert"][contains(.,"changed in another place")]')
    await other.press('Go on with mine')
    await saved(other)
    expect(await laneOf('Cna', other)).toBe(cna)
    expect(await laneOf('Bna', other)).toBe(bnaBefore)
    // What the first tab did lies one step behind.
    await other.press('Undo')
    await other.waitFor(async () => (await laneOf('Bna', other)) === bna, 'the other tab’s move')
    await saved(other)
    await other.press('Discard draft')
    await other.waitFor(async () => (await other.all('.draft-line')).length === 0, 'no draft')
  } finally {
    await other.leave()
  }
})

test('a plan under change is a draft too: two games put in it one after the other are both there', async () => {
  await person.goTo(`${base}/plan`)
  await (await person.find('//button[contains(@aria-label,"keep here")]')).click()
  await saved()
  for (const game of ['quick-look', 'five-flags']) {
    await person.goTo(`${base}/games/${game}`)
    await person.press('Put in plan')
    await person.sees(/stations/)
    await saved()
  }
  await person.goTo(`${base}/plan`)
  await person.sees(/7 stations/)
  await clean()
  await person.press('Undo')
  await person.sees(/6 stations/)
  await person.press('Undo')
  await person.sees(/5 stations/)
  await person.press('Redo')
  await person.sees(/6 stations/)
  await person.press('Ready')
  await person.sees(/Slot 1 of/)
  await person.goTo(`${base}/plan`)
  await person.sees(/6 stations/)
  expect(await person.all('.draft-line')).toHaveLength(0)
})

test('beside each station stand two games that would go as well, one click away, and undone again', async () => {
  await person.goTo(`${base}/plan`)
  const game = await person.field('Station 1: game')
  const before = await game.getAttribute('value')
  const other = await person.find('//button[contains(.,"instead at station 1")]')
  expect(
    await person.driver.findElements({ xpath: '//button[contains(.,"instead at station 1")]' }),
  ).toHaveLength(2)
  await other.click()
  await person.waitFor(
    async () => (await (await person.field('Station 1: game')).getAttribute('value')) !== before,
    'the other game at the station',
  )
  await person.waitFor(
    async () => /^Draft, saved/.test(await person.text('.draft-line [role=status]')),
    'the draft',
  )
  expect(await person.axe()).toEqual([])
  await person.press('Undo')
  await person.waitFor(
    async () => (await (await person.field('Station 1: game')).getAttribute('value')) === before,
    'the game of before',
  )
})

test('two tabs change the plan: the other one is shown with what it comes to, the own one is a step behind', async () => {
  const other = await Person.at(server.url)
  const each = async (by: Person) => (await by.field('Minutes each')).getAttribute('value')
  try {
    await person.goTo(`${base}/plan`)
    await other.goTo(`${base}/plan`)
    await other.sees(/36 minutes/)
    await person.choose('Minutes each', '15')
    await person.sees(/45 minutes/)
    await saved()
    await other.choose('Minutes each', '10')
    await other.find('//*[@role="alert"][contains(.,"This plan was changed in another place")]')
    await other.press('Show the other')
    await other.sees(/45 minutes/)
    expect(await each(other)).toBe('15')
    await other.press('Undo')
    await other.sees(/30 minutes/)
    expect(await each(other)).toBe('10')
    await other.press('Discard draft')
    await other.sees(/36 minutes/)
    // The first tab goes on with a draft that is no more: it is told, and may look at what is in use.
    await person.choose('Minutes each', '20')
    await person.find('//*[@role="alert"][contains(.,"This plan was taken into use or discarded")]')
    await person.press('Look at it, let mine go')
    await person.sees(/36 minutes/)
  } finally {
    await other.leave()
  }
})

test('twenty-six children are placed on two strands in less than thirty interactions', async () => {
  await person.goTo(`${base}/class`)
  await person.heading()
  const begun = person.interactions
  const tick = async (name: string) => {
    person.interactions++
    const box = await person.find(`//input[@aria-label="Choose ${name}"]`)
    // The bar at the foot of the page lies above the last rows until the page is moved on.
    await person.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', box)
    await box.click()
  }
  const place = async (add: string, count: string) => {
    await person.choose('Add and subtract for all chosen', add)
    await person.choose('How many for all chosen', count)
    await person.press('Place these here')
    await person.waitFor(async () => (await person.all('.place-bar')).length === 0, 'the children placed')
  }
  // Nearly all where the year group usually is, then a few below and a few above.
  person.interactions++
  await (await person.find('//input[@aria-label="Choose everybody"]')).click()
  await clean()
  await place('count on to 10', 'five and some')
  for (const name of ['Dna', 'Kna', 'Qna', 'Xna']) await tick(name)
  await place('take away to 5', 'count out 5')
  // A range: the first, and the last with Shift.
  await tick('Rna')
  await person.driver.actions().keyDown(Key.SHIFT).perform()
  await tick('Vna')
  await person.driver.actions().keyUp(Key.SHIFT).perform()
  await place('count on to 20', 'count out 20')
  expect(person.interactions - begun).toBeLessThan(30)
  for (const [name, step] of [
    ['Ana', 'count on to 10'],
    ['Kna', 'take away to 5'],
    ['Tna', 'count on to 20'],
  ])
    await person.find(`//button[starts-with(@aria-label,"Place ${name}: ")][contains(.,"${step}")]`)
})

test('who is ticked before the page is alive is chosen once it is', async () => {
  // Ticks two while the page is still being read, as soon as they are there.
  const { identifier } = (await person.driver.sendAndGetDevToolsCommand(
    'Page.addScriptToEvaluateOnNewDocument',
    {
      source: `new MutationObserver((_, observer) => {
        const boxes = document.querySelectorAll('.class-table tbody input')
        if (boxes.length < 5) return
        observer.disconnect()
        boxes[1].click()
        boxes[3].click()
      }).observe(document, { childList: true, subtree: true })`,
    },
  )) as unknown as { identifier: string }
  await person.goTo(`${base}/class`)
  await person.waitFor(async () => /^2 children chosen/.test(await person.text('.place-bar')), 'both chosen')
  expect(await person.all('.class-table tr.chosen')).toHaveLength(2)
  await person.driver.sendDevToolsCommand('Page.removeScriptToEvaluateOnNewDocument', { identifier })
})

test('at the station a whole set is marked without a tab stop for every sign', async () => {
  await person.goTo(`${base}/run`)
  await person.press('Start session')
  await person.button('Pause')
  const rows = await person.all('[data-row]')
  const stops = await person.all('[data-row] button[tabindex="0"]')
  expect(rows.length).toBe(26)
  expect(stops.length).toBe(4)
  await person.driver.executeScript('arguments[0].focus()', await rows[0].findElement(By.css('.child-name')))
  for (const key of ['1', Key.ARROW_DOWN, '2', Key.ARROW_DOWN, '3', Key.ARROW_DOWN, '1'])
    await person.keys(key)
  await person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'the marks saved')
  const pressed = await Promise.all(
    rows.slice(0, 4).map(async (row) => {
      const marks = await row.findElements(By.css('.mark'))
      const states = await Promise.all(marks.map((mark) => mark.getAttribute('aria-pressed')))
      return states.indexOf('true')
    }),
  )
  expect(pressed).toEqual([0, 1, 2, 0])
  await clean()
  // Single keys switched off: nothing is marked by them.
  await person.press('Keys')
  await person.find('//h2[.="Keys"]')
  await (await person.field('Single-key shortcuts')).click()
  await person.keys(Key.ESCAPE)
  await person.waitFor(async () => (await person.all('.offcanvas')).length === 0, 'the sheet to close')
  await person.driver.executeScript('arguments[0].focus()', await rows[5].findElement(By.css('.child-name')))
  await person.keys('1')
  expect(await (await rows[5].findElements(By.css('.mark')))[0].getAttribute('aria-pressed')).toBe('false')
})
