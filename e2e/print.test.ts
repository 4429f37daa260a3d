import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PNG } from 'pngjs'
import { Key } from 'selenium-webdriver'
import { Person } from './support/browser'
import { makeClass, toReady } from './support/class'
import { startServer, type TestServer } from './support/server'

let server: TestServer
let person: Person
let base: string
const names = ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Faith']
const folder = mkdtempSync(join(tmpdir(), 'islands-print-'))

beforeAll(async () => {
  server = await startServer()
  person = await Person.at(server.url)
  base = await makeClass(person, 'Tern Class', names)
  await person.goTo(`${base}/groups?game=landfall`)
  await person.sees(/in their zone|Nobody is known yet/)
  await toReady(person)
})
afterAll(async () => {
  await person?.leave()
  await server?.stop()
})

const pagesTold = async () => Number(/^(\d+) pages?/.exec(await person.sees(/^\d+ pages? for/))![1])

/** What the page makes of a PDF is remembered, to be looked at. */
const rememberPdf = () =>
  person.driver.executeScript<void>(() => {
    const page = window as typeof window & { lastPdf?: Blob }
    const real = URL.createObjectURL.bind(URL)
    URL.createObjectURL = (made) => {
      page.lastPdf = made as Blob
      return real(made)
    }
  })

/** The PDF that the page holds ready, as a file. */
async function savedPdf(name: string): Promise<string> {
  await person.button('Open the PDF')
  const text = await person.driver.executeAsyncScript<string>((done: (text: string) => void) => {
    const { lastPdf } = window as typeof window & { lastPdf?: Blob }
    void lastPdf!
      .arrayBuffer()
      .then((bytes) => done(Array.from(new Uint8Array(bytes), (byte) => String.fromCharCode(byte)).join('')))
  })
  const file = join(folder, name)
  writeFileSync(file, Buffer.from(text, 'latin1'))
  return file
}
const told = (program: string, ...args: string[]) => execFileSync(program, args, { encoding: 'utf8' })

test('by keyboard to the pages: their number stands on the button, and follows a count at once', async () => {
  await person.goTo(base)
  await person.heading()
  await person.keys('g', 'i')
  const pages = await pagesTold()
  expect(await (await person.button(`Print ${pages} pages`)).isEnabled()).toBe(true)
  const [first] = await person.all('.print-item input[aria-label$="copies to print"]')
  const name = (await first.getAttribute('aria-label'))!.replace(': copies to print', '')
  const count = Number(await first.getAttribute('value'))
  await person.enter(`${name}: copies to print`, `${Key.chord(Key.CONTROL, 'a')}${count + 8}`)
  await person.waitFor(async () => (await pagesTold()) > pages, 'more pages')
  await person.enter(`${name}: copies to print`, `${Key.chord(Key.CONTROL, 'a')}${count}`)
  await person.waitFor(async () => (await pagesTold()) === pages, 'as many as before')
  await person.enter(`${name}: copies to print`, `${Key.chord(Key.CONTROL, 'a')}501`)
  expect(await (await person.find('//*[@role="alert"]')).getText()).toMatch(/At most 500/)
  await person.enter(`${name}: copies to print`, `${Key.chord(Key.CONTROL, 'a')}${count}`)
  expect(await pagesTold()).toBe(pages)
  expect(await person.axe()).toEqual([])
})

test('the pile is one PDF with as many pages, fonts embedded, nothing raster, and looks as it was shown', async () => {
  const pages = await pagesTold()
  await rememberPdf()
  await person.press(`Print ${pages} pages`)
  const file = await savedPdf('pile.pdf')
  expect(told('pdfinfo', file)).toMatch(new RegExp(`Pages: +${pages}\\n`))
  const fonts = told('pdffonts', file).trim().split('\n').slice(2)
  expect(fonts.length).toBeGreaterThan(0)
  // Columns “emb” and “sub”.
  for (const font of fonts) expect(font).toMatch(/ yes yes /)
  expect(told('pdfimages', '-list', file).trim().split('\n')).toHaveLength(2)

  await person.driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width: 1600,
    height: 1500,
    deviceScaleFactor: 1,
    mobile: false,
  })
  await person.press('True to size')
  // Pages that lie are wider than their column, which scrolls: for the picture they stand out of it.
  await person.driver.executeScript("document.querySelector('.sheets').style.overflow = 'visible'")
  const sheets = (await person.all('.sheet-of-paper svg')).map((sheet, page) => ({ sheet, page: page + 1 }))
  const widths = new Set(await Promise.all(sheets.map(({ sheet }) => sheet.getAttribute('width'))))
  expect(widths).toEqual(new Set(['210mm', '297mm']))
  for (const { sheet, page } of sheets) {
    await person.driver.executeScript('arguments[0].scrollIntoView()', sheet)
    const shown = PNG.sync.read(Buffer.from(await sheet.takeScreenshot(), 'base64'))
    const name = join(folder, `page-${page}`)
    told('pdftoppm', '-r', '96', '-f', String(page), '-l', String(page), '-png', '-singlefile', file, name)
    const printed = PNG.sync.read(readFileSync(`${name}.png`))
    // The same millimetres: of the same size to a pixel of rounding at each side.
    expect(Math.abs(shown.width - printed.width)).toBeLessThanOrEqual(2)
    expect(Math.abs(shown.height - printed.height)).toBeLessThanOrEqual(2)
    const { mean, ink } = compared(shown, printed)
    // There is something to be seen, and two programs that smooth edges differently differ by a few of 255; on a side of
    // rules nearly all ink is the edge of a letter.
    expect(ink).toBeGreaterThan(1)
    expect(mean).toBeLessThan(Math.max(1.5, ink * 0.4))
  }
  await person.driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width: 1280,
    height: 800,
    deviceScaleFactor: 1,
    mobile: false,
  })
  await person.press('All pages at a glance')
})

/** Mean difference of two pictures in grey, and how dark the second is on average; both of 255. */
function compared(one: PNG, other: PNG): { mean: number; ink: number } {
  const [width, height] = [Math.min(one.width, other.width), Math.min(one.height, other.height)]
  const grey = ({ data, width: wide }: PNG, x: number, y: number) => {
    const at = (y * wide + x) * 4
    return 0.299 * data[at] + 0.587 * data[at + 1] + 0.114 * data[at + 2]
  }
  let [difference, ink] = [0, 0]
  // The rounded border of the shown sheet is not on the paper.
  for (let y = 4; y < height - 4; y++)
    for (let x = 4; x < width - 4; x++) {
      difference += Math.abs(grey(one, x, y) - grey(other, x, y))
      ink += 255 - grey(other, x, y)
    }
  const cells = (width - 8) * (height - 8)
  return { mean: difference / cells, ink: ink / cells }
}

test('what came out is kept in the bags; a thing that goes missing at the station is printed with the next pile', async () => {
  await person.press('All came out: put them in the bags')
  await person.sees(/^Nothing to print/)
  await person.driver.navigate().refresh()
  await person.sees(/^Nothing to print/)

  await person.goTo(`${base}/run`)
  await person.press('Start session')
  await person.button('Pause')
  await person.press('Something missing?')
  const thing = await person.find('//details[summary[.="Something missing?"]]//li/button')
  const name = await thing.getText()
  await thing.click()
  await person.find('//*[@role="status"][contains(.,"1 noted")]')
  await person.goTo(`${base}/print`)
  expect(await pagesTold()).toBe(1)
  expect(await person.text('.print-list')).toContain(name.startsWith('task card') ? 'task card' : name)
  expect(await person.text('.print-list')).toContain('1 missing')
})

test('a PDF under way is stopped by a press, and can be printed again', async () => {
  // Slowed down, so that there is something to stop.
  await person.driver.executeScript(() => {
    const real = window.fetch
    window.fetch = (...request) =>
      String(request[0]).endsWith('/pdf')
        ? new Promise((resolve, reject) => {
            request[1]?.signal?.addEventListener('abort', () =>
              reject(new DOMException('stopped', 'AbortError')),
            )
            setTimeout(() => !request[1]?.signal?.aborted && resolve(real(...request)), 4000)
          })
        : real(...request)
  })
  await person.press('Print 1 page')
  await person.press('Stop')
  await person.button('Print 1 page')
  expect(await person.all('.print-done')).toHaveLength(0)
  await person.press('Print 1 page')
  await person.button('Open the PDF')
})

test('sheets are typed in by keyboard alone: a key a child', async () => {
  await person.goTo(`${base}/run`)
  const finish = await person.find('//button[.="End here" or .="Finish"]')
  await finish.click()
  await person.waitFor(
    async () => (await person.driver.getCurrentUrl()).includes('/progress'),
    'the progress',
  )
  await person.goTo(base)
  await person.press('Type in sheets')
  await person.sees(/^Sheets of/)
  const fields = await person.all('[data-typed]')
  await person.waitFor(async () => fields[0].isEnabled(), 'the first field')
  await fields[0].click()
  await person.keys(...Array.from(fields, (_, i) => String((i % 3) + 1)))
  await person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'all saved')
  const shown = await Promise.all(fields.map((field) => field.getAttribute('value')))
  expect(shown).toEqual(fields.map((_, i) => ['on their own', 'with help', 'not yet'][i % 3]))

  // Children's own sheets: beyond the figures, an Enter each.
  await person.press('Children’s own sheets instead')
  await person.find('//*[@data-typed][contains(@aria-label,"right of 10")]')
  const own = await person.all('[data-typed]')
  await person.waitFor(async () => own[0].isEnabled(), 'the first field')
  await own[0].click()
  for (let i = 0; i < own.length; i++) await person.keys(String(i % 10), Key.ENTER)
  await person.keys('x', Key.ENTER)
  expect(await person.text('.typing')).toContain('A number, or 7 of 10.')
  await person.keys(Key.chord(Key.CONTROL, 'a'), String((own.length - 1) % 10), Key.ENTER)
  await person.waitFor(async () => (await person.text('.saved')) === 'All marks saved', 'all saved')
  await person.driver.navigate().refresh()
  await person.find('//*[@data-typed][contains(@aria-label,"right of 10")]')
  await person.waitFor(async () => {
    const again = await person.all('[data-typed]')
    const values = await Promise.all(again.map((field) => field.getAttribute('value')))
    return values.join() === values.map((_, i) => String(i % 10)).join()
  }, 'the same tallies after a reload')
  expect(await person.axe()).toEqual([])
})

test('a game and a child lead to their pages; a hand in the address does no harm', async () => {
  await person.goTo(`${base}/games/perch`)
  const button = await person.find('//a[starts-with(normalize-space(.),"Print ")]')
  const told = await button.getText()
  await button.click()
  await person.sees(/for Perch/)
  expect(`Print ${await pagesTold()} pages`).toBe(told)
  await person.goTo(`${base}/class`)
  await person.press('Ama')
  await person.press('A game for home')
  await person.sees(/^[1-4] pages for Ama at home$/)
  await person.choose('Language of the letter', 'letter in French')
  await person.find('//*[contains(@class,"print-item")][contains(.,"Français")]')
  for (const query of [
    '?game=none',
    '?game=landfall&level=none',
    '?child=1',
    '?group=x',
    '?game=landfall&children=1e9',
  ]) {
    await person.goTo(`${base}/print${query}`)
    expect(await person.heading()).toMatch(/not here|nothing here|not found|There is/i)
  }
  await person.goTo(`${base}/print?language=xx&for=home`)
  await person.sees(/at home$/)
  expect((await person.complaints()).filter((words) => !words.includes('404'))).toEqual([])
})

test('the route of the pages answers what it can’t print with a refusal, never with a broken page', async () => {
  const post = async (body: string) => {
    const headers = { 'content-type': 'application/json', origin: server.url }
    const response = await fetch(`${server.url}${base}/pdf`, { method: 'POST', headers, body })
    await response.arrayBuffer()
    return [response.status, response.headers.get('content-type')]
  }
  const game = { kind: 'game', gameId: 'perch' }
  const good = await post(JSON.stringify({ what: game, job: { counts: { 'perch/label': 1 } } }))
  expect(good).toEqual([200, 'application/pdf'])
  const bad = [
    { what: { ...game, levelId: 'to-the-moon' }, job: { counts: {} } },
    { what: { ...game, children: 100_000 }, job: { counts: {} } },
    { what: game, job: { paper: 'B5', counts: {} } },
    { what: game, job: { counts: { 'perch/label': 1_000_000 } } },
    { what: game, job: { counts: {} } },
    { what: game },
    {},
  ]
  for (const body of bad) expect((await post(JSON.stringify(body)))[0]).toBe(422)
  for (const body of ['', 'null', '[]', '{']) expect((await post(body))[0]).toBe(400)
})
