import { Person } from './support/browser'
import { makeClass, toReady } from './support/class'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  base = await makeClass(person, 'Plover Class', [
    'Ama',
    'Bruno',
    'Chidi',
    'Dalia',
    'Emre',
    'Freya',
    'Goran',
    'Hanne',
  ])
  await toReady(person)
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const clean = async () => expect(await person.axe()).toEqual([])

test('a child who comes after the groups were made stands in none until somebody puts it there', async () => {
  await person.goTo(`${base}/class`)
  await person.press('Add children')
  await person.paste('Children', 'Élodie')
  await person.press('Add 1')
  await person.sees(/9 children/)

  await person.goTo(`${base}/groups`)
  await person.find('//section[@aria-label="Not in a group yet"]//button[contains(.,"Élodie")]')
  await clean()
  // Moves are looked for among those who are in one.
  await person.press('Suggest moves')
  await person.find('//button[.="Leave as they are"]|//button[.="Back to the groups"]')
  expect(await person.all('[role=alert]')).toEqual([])
  await person.goTo(`${base}/groups`)
  await person.find('//section[@aria-label="Not in a group yet"]//button[contains(.,"Élodie")]')
  await person.goTo(`${base}/plan`)
  await person.find('//p[contains(.,"Not in a group yet")]/strong[.="Élodie"]')
  await clean()
})

test('more than five names are no list to act on: the rest stands behind a button', async () => {
  await person.goTo(`${base}/progress`)
  const named = async () => (await person.all('.reasons li')).length
  await person.press('All 9')
  await person.waitFor(async () => (await named()) === 9, 'everybody named')
  await person.press('Only the first five')
  await person.waitFor(async () => (await named()) === 5, 'five named')
  await clean()
})

test('on the run board she joins a group with one tap, is marked there, and stays there', async () => {
  await person.goTo(`${base}/run`)
  await person.press('Start session')
  await person.button('Pause')
  await person.find('//section[@aria-label="Not in a group yet"]')
  await clean()
  const joins = await person.find('//button[starts-with(@aria-label,"Élodie joins")]')
  const group = (await joins.getAttribute('aria-label'))!.replace('Élodie joins ', '')
  await joins.click()
  await person.waitFor(
    async () => (await person.all('.newcomers')).length === 0,
    'the newcomer to be in a group',
  )
  await (await person.find('//button[@aria-label="Élodie on their own"]')).click()
  await person.find('//*[@role="status"][contains(.,"saved")]')
  await person.goTo(`${base}/groups`)
  await person.find(`//section[@aria-label="${group}"]//button[contains(.,"Élodie")]`)
  expect(await person.all('.lane.waiting')).toHaveLength(0)
})

test('an earlier version is put on the table and kept as a new one; two children change places', async () => {
  await person.goTo(`${base}/groups`)
  const laneOf = async (name: string) =>
    (await person.find(`//section[contains(@class,"lane")][.//button[contains(.,"${name}")]]`)).getAttribute(
      'aria-label',
    )
  const before = await laneOf('Ama')
  await (await person.find('//button[contains(@class,"lane-name")][contains(.,"Ama")]')).click()
  const others = await person.find('//select[@id="swap-with"]/option[2]')
  const other = (await others.getText()).trim()
  const theirs = await laneOf(other)
  await person.choose('Changes places with', other)
  await person.waitFor(async () => (await laneOf('Ama')) === theirs, 'Ama in the other group')
  expect(await laneOf(other)).toBe(before)
  await person.press('Done')
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 2")]')

  await (await person.find('//summary[contains(.,"versions")]')).click()
  await (await person.find('//button[@aria-label="Take back version 1"]')).click()
  await person.waitFor(async () => (await laneOf('Ama')) === before, 'Ama back')
  await clean()
  await person.press('Use these groups')
  await person.find('//p[contains(.,"version 3")]')
  await (await person.find('//summary[contains(.,"versions")]')).click()
  await person.find('//li[contains(.,"version 1 taken back")]')
})

test('a wrong Next is taken back, and a session that was ended too soon goes on where it was', async () => {
  await person.goTo(`${base}/run`)
  await person.sees(/Slot 1 of/)
  await person.press('Next slot')
  await person.sees(/Slot 2 of|Progress|ready/)
  await person.press('Back to slot 1')
  await person.sees(/Slot 1 of/)
  await person.press('End here')
  await person.find('//*[@role="status"][contains(.,"The session has ended")]')
  await clean()
  await person.goTo(base)
  await person.sees(/Nothing planned/)
  await clean()
  await person.press('Reopen')
  await person.sees(/Slot 1 of/)
  // The mark that was made before is still there.
  await person.find(`//button[@aria-label="Élodie on their own"][@aria-pressed="true"]`)
})

test('a child is called otherwise, leaves and comes back', async () => {
  await person.goTo(`${base}/class`)
  await person.press('Bruno')
  await (await person.find('//summary[.="Name and class"]')).click()
  await person.enter('First name', 'Brunella')
  await person.press('Save name')
  await person.sees(/^Brunella/)
  await clean()
  await (await person.find('//summary[.="Name and class"]')).click()
  await person.press('Has left the class')
  await person.sees(/8 children/)
  expect(await person.text('.class-table')).not.toContain('Brunella')
  await (await person.find('//summary[contains(.,"1 child has left")]')).click()
  await clean()
  await person.press('Brunella is back')
  await person.sees(/9 children/)
})
