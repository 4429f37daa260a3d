import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Person, places } from './support/browser'
import { runningSession } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

// No name of these is part of a word or of another one.
const names = ['Zebediah', 'Quillon', 'Wrenna', 'Yevgenia', 'Xanthe', 'Umberto']
const folder = freshFolder()
const backups = mkdtempSync(join(tmpdir(), 'islands-kept-'))

let server: TestServer
let person: Person
let base: string

beforeAll(async () => {
  const { classId } = await runningSession(folder, names)
  base = `/c/${classId}`
  server = await startServer(folder, { ISLANDS_BACKUPS: backups })
  person = await Person.at(server.url)
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const clean = async () => expect(await person.axe()).toEqual([])
const reads = async (text: string) => person.find(`//*[contains(normalize-space(.),"${text}")]`)
const childrenShown = async () => (await person.all('.class-table tbody tr')).length

test('settings are two keys away; a backup by hand is there at once, and says what it holds', async () => {
  await person.goTo(base)
  await person.find('//h1')
  await person.keys('g')
  await person.keys('s')
  await person.sees(/acked up/)
  await clean()
  const before = (await person.all('section[aria-labelledby="backups-title"] li')).length
  await person.press('Back up now')
  await reads('made by hand')
  await person.waitFor(
    async () => (await person.all('section[aria-labelledby="backups-title"] li')).length === before + 1,
    'one backup more',
  )
})

test('the document of a class comes in as it went out: merged, nothing is there twice; spoilt, it is refused by line', async () => {
  const document = await fetch(`${server.url}${base}/export`).then((answer) => answer.text())
  const file = join(mkdtempSync(join(tmpdir(), 'islands-document-')), 'class.json')
  const choose = async (text: string) => {
    writeFileSync(file, text)
    await (await person.driver.findElement({ css: 'input[type=file]' })).sendKeys(file)
  }
  await person.goTo(`${base}/settings`)
  await person.sees(/acked up/)
  await choose('{"format":"islands"')
  await reads('not JSON')
  const spoilt = JSON.parse(document) as { tables: { pupil: { name: unknown }[] } }
  spoilt.tables.pupil[2].name = 7
  await choose(JSON.stringify(spoilt))
  await reads('pupil')
  await choose(document)
  await reads('6 children')
  await clean()
  await person.press('Add what is missing')
  await person.sees(/./)
  await person.goTo(`${base}/class`)
  await person.sees(/6 children/)
  expect(await childrenShown()).toBe(6)
  // As one document again: it is what it was before, but for when it was made.
  const after = await fetch(`${server.url}${base}/export`).then((answer) => answer.text())
  const content = (text: string) => JSON.stringify({ ...(JSON.parse(text) as object), madeAt: null })
  expect(content(after)).toBe(content(document))
})

test('a child is erased only when its name is written; then it is in no backup and no file, and a backup brings the class back without it', async () => {
  await person.goTo(`${base}/settings`)
  await person.choose('Child', 'Quillon')
  await person.press('Erase …')
  await person.find('//h2[contains(.,"Erase Quillon")]')
  await clean()
  const erase = await person.find('//button[contains(.,"for good")]')
  expect(await erase.isEnabled()).toBe(false)
  await person.enter('Write the name to go on', 'Quillon')
  await person.press('Erase Quillon for good')
  await person.waitFor(
    async () => !(await person.text('body')).includes('Quillon'),
    'the name is gone from the page',
  )
  for (const name of readdirSync(backups).filter((one) => one.endsWith('.gz')))
    expect([name, gunzipSync(readFileSync(join(backups, name))).includes('Quillon')]).toEqual([name, false])
  await person.goTo(`${base}/class`)
  await person.sees(/5 children/)
  await person.press('Add children')
  await person.paste('Children', 'Ottoline')
  await person.press('Add 1')
  await person.sees(/6 children/)

  await person.goTo(`${base}/settings`)
  await person.sees(/acked up/)
  await (
    await person.find('//li[contains(.,"made by hand")]//button[normalize-space(.)="Bring back"]')
  ).click()
  await reads('takes the place of everything')
  await clean()
  await person.press('Bring it back')
  await person.waitFor(
    async () => !(await person.driver.getCurrentUrl()).includes('/settings'),
    'the harbour after coming back',
  )
  await person.goTo(`${base}/class`)
  await person.sees(/5 children/)
  const there = await person.text('.class-table')
  expect(there).not.toContain('Ottoline')
  expect(there).not.toContain('Quillon')
  expect(there).toContain('Zebediah')
})

test.each([
  [390, 844],
  [820, 1180],
])('at %i × %i no place is wider than the window, and each can be read aloud', async (width, height) => {
  const other = await Person.at(server.url, { width, height })
  try {
    await other.goTo(`${base}/class`)
    const child = await other.find(
      '//th//a[contains(@href,"/children/")] | //td//a[contains(@href,"/children/")]',
    )
    const childPage = new URL((await child.getAttribute('href'))!, server.url).pathname.slice(base.length)
    for (const place of [...places, childPage]) {
      await other.goTo(base + place)
      await other.find('//h1')
      const [wide, window] = await other.driver.executeScript<[number, number]>(
        'return [document.documentElement.scrollWidth, innerWidth]',
      )
      expect([place, wide <= window]).toEqual([place, true])
      expect([place, await other.axe()]).toEqual([place, []])
    }
  } finally {
    await other.leave()
  }
})
