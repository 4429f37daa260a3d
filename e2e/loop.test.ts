import { By, Key, Person } from './support/browser'
import { startServer, type TestServer } from './support/server'

const names = [
  'Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Freya', 'Goran', 'Hanne', 'Ilse', 'Jamal', 'Kiri', 'Lotte', 'Mateo',
  'Nadia', 'Ove', 'Pilar', 'Quinn', 'Rafi', 'Suki', 'Tariq', 'Una', 'Viggo', 'Wanda', 'Ximena', 'Yara', 'Zubin',
] // prettier-ignore

let server: TestServer
let person: Person

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const clean = async () => expect(await person.axe()).toEqual([])

/** Marks children of the running slot until as many are saved as asked for. */
async function markFirst(judged: string, count: number) {
  for (const name of names.slice(0, count)) await person.press(`${name} ${judged}`)
  await person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'all marks saved')
}

test('the whole loop by hand on a class of 26 pasted names, from an empty database to an accepted regrouping', async () => {
  // Class
  await person.goTo('/')
  await person.sees(/Who is in your class/)
  await clean()
  await person.enter('Name of the class', 'Tern Class')
  await person.choose('Year group', 'Year 1')
  await person.paste('Children', names.join('\n'))
  await person.press('Create class of 26')

  // Groups
  await person.sees(/^Nobody is known yet: groups by where you placed them$/)
  await clean()
  await person.press('Use these groups')

  // Plan
  await person.press('To the plan')
  // A table for each of the five groups.
  await person.sees(/5 stations, 36 minutes/)
  await clean()
  await person.press('Ready')

  // Run
  await person.sees(/Slot 1 of 3/)
  await person.press('Start session')
  await person.button('Pause')
  // Eight now; the goal is 25 at most.
  expect(person.interactions).toBeLessThanOrEqual(25)
  expect(person.interactions).toBe(8)
  await clean()

  // One observation, one tap.
  const before = person.interactions
  await markFirst('on their own', 1)
  expect(person.interactions - before).toBe(1)
  await markFirst('with help', 3)

  // The reload of the page in mid-session loses nothing.
  await person.driver.navigate().refresh()
  await person.sees(/Slot 1 of 3/)
  const pressed = await person.all('.mark[aria-pressed="true"]')
  expect(await Promise.all(pressed.map((mark) => mark.getAttribute('aria-label')))).toEqual(
    expect.arrayContaining(['Ama with help', 'Bruno with help', 'Chidi with help']),
  )
  expect(pressed).toHaveLength(3)

  // Undo, a tally, absence.
  await person.press('Dalia not yet')
  await person.press('Undo Dalia')
  await person.press('Emre')
  await person.enter('Of', '8')
  await person.enter('Right', '6')
  await clean()
  await person.press('Record 6 of 8')
  await person.find('//button[contains(@class,"child-name")][contains(.,"6 of 8")]')
  await person.press('Freya')
  await (await person.find('//label[normalize-space(.)="Away today"]')).click()
  await person.find('//button[contains(@class,"child-name")][contains(.,"away")]')
  await person.press('Close')
  await person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'all marks saved')
  for (const next of ['Next slot', 'Next slot', 'Finish']) {
    await person.press(next)
    if (next !== 'Finish') await person.waitFor(async () => (await person.heading()) !== '', 'the slot')
    if (next === 'Next slot') await new Promise((resolve) => setTimeout(resolve, 400))
  }

  // Progress
  await person.sees(/ready to move|Nobody is ready/)
  await clean()
  await person.goTo(`${await place()}/class`)
  await person.sees(/26 children/)
  await clean()
  await person.press('Ama')
  await person.find('//li[contains(.,"with help")]')
  await clean()

  // Placing two children anew makes the groups worth mending.
  await person.goTo(`${await place()}/class`)
  for (const name of ['Goran', 'Hanne', 'Ilse', 'Jamal', 'Kiri', 'Lotte']) {
    await (await person.find(`//tr[.//a[normalize-space(.)="${name}"]]//button[1]`)).click()
    await person.choose('Add and subtract: step', 'Adds and subtracts to 100 across a ten.')
    await (await person.find('//label[@for="add-sure"]')).click()
    await person.press('Place')
    await person.waitFor(async () => (await person.all('.offcanvas')).length === 0, 'the sheet to close')
  }
  await person.goTo(`${await place()}/groups`)
  const taps = person.interactions
  await person.sees(/in their zone|Nobody is known yet/)
  const zone = await inZone()
  await person.press('Suggest moves')
  await person.button('Accept')
  await clean()
  await person.press('Accept')
  await person.find('//p[contains(.,"version 2")]')
  // Accepting a regrouping takes at most three.
  expect(person.interactions - taps).toBeLessThanOrEqual(3)
  expect(await inZone()).toBeGreaterThan(zone)
  await person.goTo(await place())
  await person.sees(/Nothing planned/)
  await clean()
})

/** Children drawn between 70 and 90 of 100, known or not. */
const inZone = () =>
  person.driver.executeScript<number>(
    `return [...document.querySelectorAll('.lane-name')].filter((name) => {
      const share = Number(name.getAttribute('aria-label').match(/(\\d+) in 100/)[1])
      return share >= 70 && share <= 90
    }).length`,
  )

/** Path of the class that is open. */
async function place(): Promise<string> {
  return new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
}

/** Name of what has the focus: its label, or what stands on it. */
const focusedName = () =>
  person.driver.executeScript<string>(
    'const at = document.activeElement; return at.getAttribute("aria-label") || at.labels?.[0]?.innerText || at.innerText || ""',
  )

/** Presses Tab until the focus is on what is named so. */
async function tabTo(name: RegExp) {
  for (let tab = 0; tab < 160; tab++) {
    await person.keys(Key.TAB)
    if (name.test((await focusedName()).trim())) return person.driver.switchTo().activeElement()
  }
  throw new Error(`The keyboard does not reach ${name}`)
}

test('keyboard alone: through the bar, a child moved between lanes, a session planned, started and marked', async () => {
  const { driver } = person
  await person.goTo(await place())
  await person.sees(/Nothing planned/)
  await person.keys('g', 'g')
  await person.sees(/in their zone|Nobody is known yet/)
  const child = await tabTo(/^Ama\b.*right alone/)
  const lane = () =>
    driver
      .findElement(By.css('[data-child]:focus'))
      .findElement(By.xpath('ancestor::section'))
      .getAttribute('aria-label')
  expect(await child.getText()).toBe('Ama')
  const from = await lane()
  await person.keys(Key.ARROW_DOWN)
  await person.waitFor(async () => (await lane()) !== from, 'Ama in another lane')
  await person.keys(Key.ARROW_UP)
  await person.waitFor(async () => (await lane()) === from, 'Ama back')
  await person.keys('g', 'p')
  await person.sees(/stations/)
  await tabTo(/^Ready$/)
  await person.keys(Key.ENTER)
  await person.sees(/Slot 1 of/)
  await tabTo(/^Start session$/)
  await person.keys(Key.ENTER)
  await person.button('Pause')
  await tabTo(/on their own$/)
  await person.keys(Key.SPACE)
  await person.waitFor(async () => (await person.all('.mark[aria-pressed="true"]')).length === 1, 'one mark')
  await person.keys('u')
  await person.waitFor(
    async () => (await person.all('.mark[aria-pressed="true"]')).length === 0,
    'the mark undone',
  )
})

test('keyboard alone, from an empty class to an accepted regrouping', async () => {
  const press = async (name: RegExp) => {
    await tabTo(name)
    await person.keys(Key.ENTER)
  }
  await person.goTo('/new')
  await person.sees(/class/)
  await tabTo(/^Name of the class$/)
  await person.keys('Keyboard Class')
  await tabTo(/^Children$/)
  await person.keys(...names.slice(0, 12).flatMap((name) => [name, Key.ENTER]))
  await press(/^Create class of 12$/)
  await person.sees(/Nobody is known yet/)
  await press(/^Use these groups$/)
  await person.button('Suggest moves')
  await person.keys('g', 'p')
  await person.sees(/stations/)
  await press(/^Ready$/)
  await person.sees(/Slot 1 of/)
  await press(/^Start session$/)
  await person.button('Pause')
  await tabTo(/with help$/)
  await person.keys(Key.SPACE)
  await person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'the mark saved')
  await press(/^End here$/)
  await person.sees(/ready to move|Nobody is ready/)
  // Half of the children are placed anew, so that there is something to mend.
  for (const name of names.slice(0, 6)) {
    await person.keys('g', 'c')
    await person.sees(/12 children/)
    await press(new RegExp(`^Place ${name}: `))
    await tabTo(/^Add and subtract: step$/)
    await person.keys(Key.END)
    await tabTo(/^about here$/)
    await person.keys(Key.ARROW_DOWN)
    await press(/^Place$/)
    await person.waitFor(async () => (await person.all('.offcanvas')).length === 0, 'the sheet to close')
  }
  await person.keys('g', 'g')
  await person.sees(/in their zone|Nobody is known yet/)
  await press(/^Suggest moves$/)
  await person.button('Accept')
  await press(/^Accept$/)
  await person.find('//p[contains(.,"version 2")]')
})
