import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { By, Person } from './support/browser'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
const folder = mkdtempSync(join(tmpdir(), 'islands-lists-'))

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

async function upload(name: string, bytes: string | Uint8Array) {
  const file = join(folder, name)
  writeFileSync(file, bytes)
  await person.goTo('/new')
  await person.sees(/class/)
  await person.driver.findElement(By.css('input[type=file]')).sendKeys(file)
}

const problem = () => person.find('//*[@role="alert"]').then((element) => element.getText())

test.each([
  ['wrong encoding', 'latin1.csv', Buffer.from('Zoë\nRené\n', 'latin1'), 'not in UTF-8'],
  ['missing names', 'missing.csv', 'Name,Year\nAma,Year 1\n,Year 1\n', 'Line 3 has no name.'],
  ['duplicate names', 'twice.csv', 'Ama\nBruno\nAma\n', 'Line 3: Ama is already on line 1.'],
  [
    '10 000 lines',
    'long.csv',
    'Child\n'.repeat(10_000),
    'The list has 10,000 lines; a class list holds at most 60.',
  ],
  ['a formula cell', 'formula.csv', 'Name\nAma\n"=HYPERLINK(""http://x"")"\n', 'Line 3 holds a formula'],
  ['an empty file', 'empty.csv', ' \n', null],
])('a list with %s: a clear message, nothing written', async (_kind, name, bytes, message) => {
  await upload(name, bytes)
  if (message !== null) expect(await problem()).toContain(message)
  await person.enter('Name of the class', 'Bad Class')
  await person.press('Create class')
  expect(await problem()).not.toBe('')
  // Nothing was written: there is still no class to go to.
  await person.goTo('/')
  expect(await person.sees(/Who is in your class/)).toBeTruthy()
})

test('columns are mapped with a preview before anything is written', async () => {
  await upload('columns.csv', 'Group;First name;Year\nA;Ama;1\nB;Bruno;2\n')
  await person.find('//h2[normalize-space(.)="2 children"]')
  await person.choose('First name', 'Leave out')
  expect(await problem()).toContain('Say which column holds the first names.')
  await person.choose('First name', 'First name')
  await person.enter('Name of the class', 'Map Class')
  await person.press('Create class of 2')
  await person.sees(/Nobody is known yet/)
})

test('a session without stations is refused and nothing typed is lost', async () => {
  const base = new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
  await person.press('Use these groups')
  await person.button('Suggest moves')
  await person.goTo(`${base}/plan`)
  await person.sees(/station/)
  for (let left = (await person.all('.station-line')).length; left > 0; left--) {
    await person.press(`Remove station ${left}`)
    await person.waitFor(
      async () => (await person.all('.station-line')).length === left - 1,
      'one station fewer',
    )
  }
  expect(await problem()).toContain('A session needs at least one station.')
  await person.press('Ready')
  await person.waitFor(async () => (await problem()).includes('at least one station'), 'the refusal')
  await person.goTo(`${base}/run`)
  await person.sees(/No session is planned/)
})

test('what is not a mark is refused without a trace', async () => {
  const base = new URL(await person.driver.getCurrentUrl()).pathname.split('/').slice(0, 3).join('/')
  const post = (body: string, headers = {}) =>
    fetch(`${server.url}${base}/marks`, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json', ...headers },
    })
  expect((await post('not json')).status).toBe(400)
  expect((await post('{}')).status).toBe(422)
  expect((await post('x'.repeat(5000))).status).toBe(413)
  expect((await post('{}', { origin: 'http://elsewhere.example' })).status).toBe(403)
})

test('an address of another class or child shows nothing', async () => {
  await person.goTo(`/c/${crypto.randomUUID()}`)
  await person.sees(/nothing here/)
  await person.goTo('/c/not-an-id/plan')
  await person.sees(/nothing here/)
})
