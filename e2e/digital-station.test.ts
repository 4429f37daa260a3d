import { Key } from 'selenium-webdriver'
import { Person } from './support/browser'
import { makeClass, toReady } from './support/class'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  base = await makeClass(person, 'Tern Class', ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Faith'])
  await person.goTo(`${base}/groups?game=landfall`)
  await person.sees(/in their zone|Nobody is known yet/)
  await toReady(person)
  await person.press('Start session')
  await person.button('Pause')
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

/** Opens what is behind the name of the first child at the station of this game. */
async function openChild(game: string): Promise<string> {
  const name = await person.find(
    `//section[contains(@class,"station")][.//h2[.="${game}"]]//button[contains(@class,"child-name")]`,
  )
  const child = (await name.getText()).split('\n')[0]
  await name.click()
  await person.find(`//*[@role="dialog"]//*[.="${child}"]`)
  return child
}

const words = () => person.text('.show-words')

/** The sum that is asked, solved here; null where none is. */
async function solved(): Promise<number | null> {
  const sentence = await person.driver.executeScript<string>(
    () => document.querySelector('.show-sentence')?.textContent ?? '',
  )
  const [, a, sign, b] = /^\s*(\d+) ([+−]) (\d+) =/.exec(sentence) ?? []
  if (!sign) return null
  return sign === '+' ? Number(a) + Number(b) : Number(a) - Number(b)
}

test('off unless the class switches it on', async () => {
  await openChild('Landfall')
  expect(await person.text('[role=dialog]')).not.toContain('At a screen')
  await person.keys(Key.ESCAPE)
  await person.goTo(`${base}/class`)
  await person.press('House style')
  await (await person.find('//input[@id="digital"]')).click()
  await person.press('Save')
  await person.waitFor(async () => (await person.all('[role=dialog]')).length === 0, 'the sheet closed')
})

test('a child plays alone, closed and opened again, without a network: the record arrives once, and is taken back', async () => {
  await person.goTo(`${base}/run`)
  const child = await openChild('Landfall')
  await person.press(`Let ${child} play at this screen`)
  await person.sees(new RegExp(child))
  expect(await person.axe()).toEqual([])
  await person.press('Start')
  let [asked, wrong] = [0, 0]
  for (let step = 0; step < 120 && !/Thank you/.test(await words()); step++) {
    if (step === 6) {
      // The tab is closed and opened again: the child goes on where it was.
      await person.goTo(new URL(await person.driver.getCurrentUrl()).pathname)
      await person.press('Start')
      await person.network(true)
    }
    const answer = await solved()
    if (answer !== null) {
      if (asked === 2) {
        wrong++
        await person.keys(...String(answer + 1), Key.ENTER)
        await person.waitFor(async () => (await words()).includes('Not yet: look again.'), 'another look')
      }
      asked++
      await person.keys(...String(answer), Key.ENTER)
    } else if (/What will you do/.test(await words())) await person.press('Nothing fits')
    else await person.keys(Key.SPACE)
  }
  expect(await words()).toMatch(/Thank you[\s\S]*on this device only/)
  expect(await words()).not.toMatch(/\d+ of \d+/)
  await person.network(false)
  await person.waitFor(async () => (await words()).includes('All marks saved'), 'the record saved')
  // How many depends on the dice: near the goal most goes wait.
  expect(asked).toBeGreaterThan(0)

  await person.goTo(`${base}/run`)
  const row = () => person.text(`[data-row][aria-label="${child}"]`)
  expect(await row()).toContain(`digital: ${asked - wrong} of ${asked}`)
  const key = await (await person.find(`//*[@data-row][@aria-label="${child}"]`)).getAttribute('data-row')
  await person.goTo(`${base}/children/${key!.split(' ')[1]}`)
  await person.find('//section[@aria-label="Evidence"]//*[.="digital"]')
  const seen = await person.text('section[aria-label="Evidence"]')
  const tallies = [...seen.matchAll(/(\d+) of (\d+) right/g)]
  expect(tallies.reduce((sum, [, , of]) => sum + Number(of), 0)).toBe(asked)

  await person.goTo(`${base}/run`)
  await openChild('Landfall')
  for (let left = tallies.length; left > 0; left--) await person.press('Take back')
  await person.keys(Key.ESCAPE)
  await person.waitFor(
    async () => (await person.text('.run-foot')).includes('All marks saved'),
    'taken back on the server',
  )
  await person.goTo(`${base}/run`)
  expect(await row()).not.toContain('digital')
})
