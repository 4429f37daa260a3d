import { Person } from './support/browser'
import { startServer, type TestServer } from './support/server'

/** A class of one group, in which one child is far behind the others and known to be. */
const names = ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre']

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  await person.goTo('/')
  await person.sees(/Who is in your class/)
  await person.enter('Name of the class', 'Plover Class')
  await person.choose('Year group', 'Year 2')
  await person.paste('Children', names.join('\n'))
  await person.press('Create class of 5')
  await person.sees(/Nobody is known yet/)
  base = new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')

  await person.goTo(`${base}/class`)
  await person.sees(/5 children/)
  await (await person.find('//input[@aria-label="Choose everybody"]')).click()
  await person.press('Paste a column')
  const column = names.map((name) => (name === 'Ama' ? 'count on to 10' : 'across tens'))
  await (await person.find('//textarea')).sendKeys(column.join('\n'))
  await person.press('Place 5 children')
  await person.waitFor(async () => (await person.all('.place-bar')).length === 0, 'them to be placed')
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const own = async () =>
  person.driver.executeScript<string[]>(
    'return [...document.querySelectorAll(".own-level")].map((line) => line.innerText)',
  )

test('who is known to be far from the group plays at a level of its own: on the plan, on the run board, for its marks', async () => {
  await person.press('Note')
  await (await person.find('//*[@role="dialog"]//button[.="Ama"]')).click()
  await person.choose('What was seen', 'count on to 10')
  await person.press('on their own')
  await person.find('//*[@role="status"][contains(.,"saved")]')
  await person.press('Close')
  await person.goTo(`${base}/groups`)
  await person.sees(/./)
  await person.choose('Groups', '1')
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 1")]')
  await person.press('To the plan')
  await person.sees(/station/)
  await person.choose('Station 1: game', 'Landfall')
  await person.waitFor(async () => (await own()).length > 0, 'a level of its own')
  expect((await own()).every((line) => /^Ama: /.test(line))).toBe(true)
  expect(await person.axe()).toEqual([])
  // One level for all is the teacher's word, and can be taken back.
  const level = async (id: string) =>
    person.driver.executeScript(
      `const select = document.querySelector('select[aria-label$="Landfall: level"]')
       const wanted = arguments[0] === '' ? '' : select.options[select.options.length - 1].value
       Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(select, wanted)
       select.dispatchEvent(new Event('change', { bubbles: true }))`,
      id,
    )
  const lines = (await own()).length
  await level('hardest')
  await person.waitFor(async () => (await own()).length < lines, 'one level for all')
  await level('')
  await person.waitFor(async () => (await own()).length === lines, 'what fits')
  await person.press('Ready')
  await person.sees(/Slot 1 of/)
  await person.press('Start session')
  expect(await person.text('[role="group"][aria-label="Ama"] .child-name')).toMatch(/Ama\s+\d+ to \d+/)
  expect(await person.text('[role="group"][aria-label="Bruno"] .child-name')).toBe('Bruno')
  await person.button('Pause')
  for (const name of ['Ama', 'Bruno']) {
    await (await person.find(`//button[@aria-label="${name} on their own"]`)).click()
    await person.find(`//button[@aria-label="${name} on their own"][@aria-pressed="true"]`)
  }
  await person.find('//strong[.="All marks saved"]')
  const newest = async (name: string) => {
    await person.goTo(`${base}/class`)
    await (await person.find(`//td//a[.="${name}"] | //th//a[.="${name}"]`)).click()
    await person.sees(new RegExp(name))
    return (await person.find('//li[contains(.,"Landfall")]')).getText()
  }
  const [ama, bruno] = [await newest('Ama'), await newest('Bruno')]
  expect(ama).toMatch(/to 10\b/)
  expect(bruno).not.toMatch(/to 10\b/)

  // As it stands on paper it stands where the sheets are typed in.
  await person.goTo(`${base}/run`)
  await (await person.find('//button[.="End here" or .="Finish"]')).click()
  await person.waitFor(
    async () => (await person.driver.getCurrentUrl()).includes('/progress'),
    'the progress',
  )
  await person.goTo(base)
  await person.press('Type in sheets')
  await person.sees(/^Sheets of/)
  const rows = await Promise.all((await person.all('.typed-row')).map((row) => row.getText()))
  expect(rows.filter((row) => /to 10\b/.test(row))).toEqual([expect.stringMatching(/^Ama /)])
})
