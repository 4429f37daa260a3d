import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import PDFDocument from 'pdfkit'
import { games, gameOf } from '@/core/games'
import { gamePages } from '@/core/printing/game-pages'
import type { Page } from '@/core/printing/pack'
import { taskCard } from '@/core/printing/task-card'
import { sizeOfPaper, type PaperId } from '@/core/printing/paper'
import { pdfOf } from './pdf'

interface Read {
  title: string
  pages: {
    width: number
    height: number
    images: number
    texts: { text: string; x: number; y: number; width: number; size: number }[]
  }[]
}

/** What another program reads from the PDF of these pages; millimetres. */
async function read(pages: readonly Page[], title = 'Test'): Promise<Read> {
  const { stdout, stderr, status } = spawnSync(process.execPath, [join(__dirname, 'testing/read-pdf.mjs')], {
    input: await pdfOf(title, pages),
    maxBuffer: 1 << 28,
    encoding: 'utf8',
  })
  if (status !== 0) throw new Error(stderr)
  return JSON.parse(stdout) as Read
}

const levelOf = (game: string, level: string) => {
  const found = gameOf(game)
  return { game: found, level: found.levels.find(({ id }) => id === level)! }
}

/** Pages of a level for some children. */
const pagesOf = (game: string, level: string, children = 2, paper: PaperId = 'A4') => {
  const found = levelOf(game, level)
  return gamePages(found.game, found.level, children, paper).pages
}

test.each(['A4', 'Letter'] as const)(
  'the whole catalogue on %s: pages of that size, all text inside the safe margin, nothing raster',
  async (paper) => {
    // On the second paper every third level: the pieces are the same, only the packing differs.
    const levels = games.flatMap((game) => game.levels.map((level) => ({ game, level })))
    const some = paper === 'A4' ? levels : levels.filter((_, i) => i % 3 === 0)
    const pages = some.flatMap(({ game, level }) => gamePages(game, level, 2, paper).pages)
    const { pages: found } = await read(pages)
    expect(found).toHaveLength(pages.length)
    const [width, height] = sizeOfPaper(paper)
    const faults = found.flatMap((page, i) => {
      const said: string[] = []
      if (Math.abs(page.width - width) > 0.01 || Math.abs(page.height - height) > 0.01)
        said.push(`page ${i}: size`)
      if (page.images > 0) said.push(`page ${i}: a picture of dots`)
      for (const { text, x, y, width: wide, size } of page.texts)
        if (x < 9.9 || x + wide > width - 9.9 || y - size < 9.5 || y > height - 9.9)
          said.push(`page ${i}: “${text}” at ${x.toFixed(1)}, ${y.toFixed(1)}`)
      return said
    })
    expect(faults).toEqual([])
  },
  120_000,
)

test('cards of a pack are all there once, as large as each other', async () => {
  const { pages } = await read(pagesOf('landfall', 'to-20-cards'))
  const numbers = pages
    .slice(1)
    .filter(({ texts }) => texts.some(({ text }) => /number cards/.test(text)))
    .flatMap(({ texts }) => texts.filter(({ text }) => /^\d+$/.test(text)))
  // A pack of 0 to 10 for each of two children.
  expect(numbers.map(({ text }) => Number(text)).sort((a, b) => a - b)).toEqual(
    Array.from({ length: 22 }, (_, i) => Math.floor(i / 2)),
  )
  const first = pagesOf('landfall', 'to-20-cards')[1]
  const at = first.marks.flatMap((mark) =>
    mark.op === 'group' && mark.id.startsWith('piece') ? [[mark.x, mark.y]] : [],
  )
  const [width, height] = [at[1][0] - at[0][0], at[3][1] - at[0][1]]
  at.forEach(([x, y], i) => {
    expect(x).toBeCloseTo(at[0][0] + (i % 3) * width, 6)
    expect(y).toBeCloseTo(at[0][1] + Math.floor(i / 3) * height, 6)
  })
})

test('triangle cards: every unordered pair of parts once, with its total', async () => {
  const { pages } = await read(pagesOf('hidden-corner', 'totals-10'))
  const numbers = pages.slice(1).flatMap(({ texts }) => texts.filter(({ text }) => /^\d+$/.test(text)))
  // 11 parts give 11 · 12 / 2 = 66 pairs, three numbers on each card.
  expect(numbers).toHaveLength(3 * 66)
})

test('a hundred grid has ten columns and ten rows, each number once', async () => {
  const { pages } = await read(pagesOf('grid-hop', 'to-100'))
  const squares = pages.slice(1).flatMap(({ texts }) => texts.filter(({ text }) => /^\d+$/.test(text)))
  expect(squares.map(({ text }) => Number(text)).sort((a, b) => a - b)).toEqual(
    Array.from({ length: 100 }, (_, i) => i + 1),
  )
  const middles = new Set(squares.map(({ x, width }) => (x + width / 2).toFixed(1)))
  const lines = new Set(squares.map(({ y, size }) => (y - size * 0.36).toFixed(1)))
  expect(middles.size).toBe(10)
  expect(lines.size).toBeGreaterThanOrEqual(10)
})

test('line cards differ from child to child; a task card says its steps; letters of other alphabets are there', async () => {
  const { pages } = await read(pagesOf('five-flags', 'two-dice', 4))
  const [task, cards] = pages
  expect(task.texts.map(({ text }) => text).join(' ')).toMatch(
    /Five Flags.*Roll the dice\..*Mark one space\./,
  )
  // Neighbours in a row may be read as one text; the foot is below.
  const numbers = cards.texts
    .filter(({ y }) => y < 270)
    .flatMap(({ text, x, y }) => text.split(' ').map((number) => ({ text: number, x, y })))
  expect(numbers).toHaveLength(4 * 24)
  const byCard = new Map<string, string>()
  for (const { text, x, y } of numbers) {
    const key = `${Math.floor(x / 90)} ${Math.floor(y / 90)}`
    byCard.set(key, `${byCard.get(key) ?? ''} ${text}`)
  }
  expect(new Set(byCard.values()).size).toBe(byCard.size)
  const named: Page = {
    width: 100,
    height: 100,
    marks: [
      { op: 'text', x: 50, y: 50, size: 6, text: 'Łukasz, Zoë, Ömer, Мила', font: 'words', fill: 'ink' },
    ],
  }
  const letters = await read([named], 'Łukasz')
  const said = letters.pages[0].texts.map(({ text }) => text).join('')
  expect(said.replace(/ /g, '')).toBe('Łukasz,Zoë,Ömer,Мила')
  expect(letters.title).toBe('Łukasz')
})

test('a line of a hundred millimetres is a hundred millimetres long', async () => {
  const text = (x: number, words: string) =>
    ({ op: 'text', starts: true, x, y: 20, size: 5, text: words, font: 'words', fill: 'ink' }) as const
  const { pages } = await read([{ width: 210, height: 297, marks: [text(20, 'a'), text(120, 'b')] }])
  const [a, b] = pages[0].texts
  expect(b.x - a.x).toBeCloseTo(100, 1)
  expect(a.y).toBeCloseTo(20, 1)
})

test('nothing of the catalogue is left to be drawn by hand; who lines up has a card each', () => {
  const missing = games.flatMap((game) =>
    game.levels.flatMap((level) =>
      gamePages(game, level, 6, 'A4').missing.map((name) => `${game.id}: ${name}`),
    ),
  )
  expect(missing).toEqual([])
  const cards = pagesOf('silent-line', 'to-20', 20)
    .slice(1)
    .flatMap(({ marks }) => marks.filter((mark) => mark.op === 'group' && mark.id.startsWith('piece')))
  expect(cards).toHaveLength(20)
})

test('a claim strip holds one untrue statement in three', async () => {
  const { pages } = await read(pagesOf('leaky-claim', 'bonds-10', 3))
  const claims = pages
    .slice(1)
    .flatMap(({ texts }) => [
      ...texts
        .map(({ text }) => text)
        .join('  ')
        .matchAll(/(\d+) \+ (\d+) = (\d+)/g),
    ])
    .map(([, a, b, c]) => Number(a) + Number(b) === Number(c))
  expect(claims.length).toBeGreaterThanOrEqual(12)
  for (let strip = 0; strip + 2 < claims.length; strip += 3)
    expect(claims.slice(strip, strip + 3).filter((is) => !is)).toHaveLength(1)
})

test('the words of a task card end before its picture and its edge, in the font they are set in', () => {
  const font = new PDFDocument({ font: '' }).font(
    join(process.cwd(), 'node_modules/@fontsource/andika/files/andika-latin-400-normal.woff'),
  )
  const faults = games.flatMap((game) =>
    game.levels.flatMap((level) => {
      const { width, marks } = taskCard(game, level.title, level.params)
      const left = marks.flatMap((mark) => (mark.op === 'group' && mark.id === 'picture' ? [mark.x] : []))[0]
      return marks.flatMap((mark) => {
        if (mark.op !== 'text') return []
        // The picture reaches down to the middle of the card.
        const edge = mark.y < 7 ? left : width / 2 - 4
        const end = mark.x + font.fontSize(mark.size).widthOfString(mark.text)
        return end > edge ? [`${game.id} ${level.id}: “${mark.text}”`] : []
      })
    }),
  )
  expect(faults).toEqual([])
})
