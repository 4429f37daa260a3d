import { Key } from 'selenium-webdriver'
import { Person } from './support/browser'
import { runningSession } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

/** What must not take long with a class of 26: placing all, marking at a run, typing in a pile. */
const names = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => `${letter}una`)
let server: TestServer
let base: string
let teacher: Person
let sessionNames: readonly (readonly string[])[]

beforeAll(async () => {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder, names)
  sessionNames = visits.map(({ children }) => children.map(({ name }) => name))
  server = await startServer(folder)
  base = `/c/${classId}`
  teacher = await Person.at(server.url, { width: 820, height: 1180 })
}, 120_000)
afterAll(async () => {
  await teacher?.leave()
  await server?.stop()
})

test('26 children on two strands are placed in fewer than 30 interactions', async () => {
  const laptop = await Person.at(server.url)
  let interactions = 0
  const act = async (work: () => Promise<unknown>) => {
    interactions++
    await work()
  }
  const box = async (name: string) => {
    const found = await laptop.find(`//input[@aria-label="${name}"]`)
    // Scrolling is not counted.
    await laptop.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', found)
    return found
  }
  const [first, second] = await (async () => {
    await laptop.goTo(`${base}/class`)
    await laptop.sees(/./)
    await act(async () => (await box('Choose everybody')).click())
    const all = await laptop.all('.place-bar select')
    return Promise.all(all.slice(0, 2).map(async (one) => (await one.getAttribute('aria-label')) ?? ''))
  })()
  /** The steps by their short names that all chosen children get. */
  const placeAt = async (steps: readonly string[]) => {
    await act(() => laptop.choose(first, steps[0]))
    await act(() => laptop.choose(second, steps[1]))
    await act(() => laptop.press('Place these here'))
    await laptop.waitFor(async () => (await laptop.all('.place-bar')).length === 0, 'them to be placed')
  }
  const stepsOf = async (label: string) => {
    const options = await laptop.driver.executeScript<string[]>(
      (wanted: string) =>
        [...document.querySelectorAll<HTMLOptionElement>(`select[aria-label="${wanted}"] option`)].map(
          (option) => option.textContent ?? '',
        ),
      label,
    )
    return options.slice(1)
  }
  const [ofFirst, ofSecond] = [await stepsOf(first), await stepsOf(second)]
  const at = (rung: number) => [ofFirst[rung], ofSecond[rung]]
  // Most of the class in the middle; then the few who are ahead, and those who are behind.
  await placeAt(at(3))
  const ahead = ['Cuna', 'Funa', 'Huna', 'Muna', 'Suna', 'Wuna', 'Zuna']
  for (const name of ahead) await act(async () => (await box(`Choose ${name}`)).click())
  await placeAt(at(4))
  const behind = ['Buna', 'Duna', 'Luna', 'Puna', 'Vuna']
  for (const name of behind) await act(async () => (await box(`Choose ${name}`)).click())
  await placeAt(at(1))
  expect(interactions).toBeLessThan(30)
  await laptop.driver.navigate().refresh()
  await laptop.sees(/./)
  const rungOf = (name: string) => (ahead.includes(name) ? 4 : behind.includes(name) ? 1 : 3)
  const strandTitle = first.replace(' for all chosen', '')
  for (const name of names) {
    const cells = await laptop.all(`button.cell[aria-label^="Place ${name}: "]`)
    const said = await Promise.all(cells.map((cell) => cell.getAttribute('aria-label')))
    const shorts = said.map((text) => text!.replace(`Place ${name}: `, ''))
    expect([name, strandTitle, shorts.some((short) => short.includes(ofFirst[rungOf(name)]))]).toEqual([
      name,
      strandTitle,
      true,
    ])
  }
  await laptop.leave()
})

test('a column out of a spreadsheet places a class; a line that can’t be read is told, and its child stays', async () => {
  const laptop = await Person.at(server.url)
  const told = async (name: string) => {
    const cells = await laptop.all(`button.cell[aria-label^="Place ${name}: "]`)
    return (await Promise.all(cells.map((cell) => cell.getAttribute('aria-label')))).join()
  }
  await laptop.goTo(`${base}/class`)
  await laptop.sees(/./)
  const before = await told('Cuna')
  await (await laptop.find('//input[@aria-label="Choose everybody"]')).click()
  await laptop.press('Paste a column')
  const column = names.map((name, i) =>
    name === 'Cuna' ? 'flying' : i % 2 === 0 ? 'missing part' : 'parts of 5',
  )
  await (await laptop.find('//textarea')).sendKeys(column.join('\n'))
  expect(await laptop.text('[aria-label="What was read"]')).toContain('“flying” is no step of')
  await laptop.press('Place 25 children')
  await laptop.waitFor(async () => (await laptop.all('.place-bar')).length === 0, 'them to be placed')
  await laptop.driver.navigate().refresh()
  await laptop.sees(/./)
  expect(await told('Auna')).toContain('missing part')
  expect(await told('Buna')).toContain('parts of 5')
  expect(await told('Cuna')).toBe(before)
  expect(await laptop.axe()).toEqual([])
  await laptop.leave()
})

test('twenty marks one after another on a tablet, while another device marks too: each is at its child', async () => {
  const other = await Person.at(server.url)
  await Promise.all([teacher.goTo(`${base}/run`), other.goTo(`${base}/run`)])
  await teacher.sees(/Slot 1 of/)
  await other.sees(/Slot 1 of/)
  const here = await teacher.driver.executeScript<string[]>(() =>
    [...document.querySelectorAll<HTMLElement>('.child[aria-label]')].map((row) =>
      row.getAttribute('aria-label')!,
    ),
  )
  expect(here.length).toBeGreaterThanOrEqual(20)
  const wanted = here.slice(0, 20).map((name, i) => ({
    name,
    word: ['on their own', 'with help', 'not yet'][(i * 7) % 3],
  }))
  const from = performance.now()
  const marking = (async () => {
    // One tap each, where the row stands at that moment.
    for (const { name, word } of wanted) {
      const button = await teacher.find(`//button[@aria-label="${name} ${word}"]`)
      await button.click()
    }
  })()
  const beside = (async () => {
    for (const name of here.slice(20)) await other.press(`${name} not yet`)
  })()
  await Promise.all([marking, beside])
  const seconds = (performance.now() - from) / 1000
  await teacher.waitFor(async () => (await teacher.text('.saved')) === 'All marks saved', 'all saved')
  await teacher.driver.navigate().refresh()
  await teacher.sees(/Slot 1 of/)
  await teacher.waitFor(async () => {
    const pressed = await teacher.driver.executeScript<string[]>(() =>
      [...document.querySelectorAll('.child button[aria-pressed="true"]')].map(
        (button) => button.getAttribute('aria-label') ?? '',
      ),
    )
    const mine = pressed.filter((label) => wanted.some(({ name }) => label.startsWith(`${name} `)))
    return (
      mine.sort().join() ===
      wanted
        .map(({ name, word }) => `${name} ${word}`)
        .sort()
        .join()
    )
  }, 'each mark at its child')
  process.stdout.write(`twenty marks by a driven browser in ${seconds.toFixed(1)} s\n`)
  await other.leave()
})

test('a pile of 26 sheets is typed in with fewer than 120 keys beyond the figures', async () => {
  await teacher.goTo(`${base}/run`)
  await (await teacher.find('//button[.="End here" or .="Finish"]')).click()
  await teacher.waitFor(
    async () => (await teacher.driver.getCurrentUrl()).includes('/progress'),
    'the progress',
  )
  await teacher.goTo(base)
  if ((await teacher.all('details.held[open]')).length === 0) await teacher.press('One session held')
  await teacher.press('Type in sheets')
  await teacher.sees(/^Sheets of/)
  await teacher.press('Children’s own sheets instead')
  await teacher.find('//*[@data-typed][contains(@aria-label,"right of 10")]')
  const fields = await teacher.all('[data-typed]')
  // Each child has a sheet, in as many slots as were held.
  expect(fields.length % names.length).toBe(0)
  expect(sessionNames.flat().length % names.length).toBe(0)
  await teacher.waitFor(async () => fields[0].isEnabled(), 'the first field')
  let beyond = 0
  await fields[0].click()
  for (let sheet = 0; sheet < names.length; sheet++) {
    await teacher.keys(String(sheet % 10), Key.ENTER)
    beyond++
  }
  expect(beyond).toBeLessThan(120)
  await teacher.waitFor(async () => (await teacher.text('.saved')) === 'All marks saved', 'all saved')
  await teacher.driver.navigate().refresh()
  await teacher.find('//*[@data-typed][contains(@aria-label,"right of 10")]')
  await teacher.waitFor(async () => {
    const values = await teacher.driver.executeScript<string[]>(() =>
      [...document.querySelectorAll<HTMLInputElement>('[data-typed]')].map(({ value }) => value),
    )
    return values.slice(0, names.length).every((value, i) => value === String(i % 10))
  }, 'the figures of all 26')
})
