import { join } from 'node:path'
import PDFDocument from 'pdfkit'
import { games, gameOf } from '@/core/games'
import { gamePile } from '@/core/printing/game-pile'
import type { Page } from '@/core/printing/pack'
import { pagesOf as pagesOfJob } from '@/core/printing/pages'
import { placedTexts } from '@/core/printing/testing/placed-texts'
import { taskCard, taskCardForms } from '@/core/printing/sheets/task-card'
import { widthOf } from '@/core/printing/text'
import type { Mark, Tone } from '@/core/drawing/marks'
import { colours, opacityOf } from '@/core/drawing/svg'
import { countsToPrint } from '@/core/printing/to-print'
import { sizeOfPaper, type Backs, type PaperId } from '@/core/printing/paper'
import { pdfOf } from './pdf'
import { readPdf, type ReadPdf } from './testing/read'

/** What another program reads from the PDF of these pages. */
const read = (pages: readonly Pick<Page, 'width' | 'height' | 'marks'>[], title = 'Test') =>
  readPdf(pdfOf(title, pages))

const levelOf = (game: string, level: string) => {
  const found = gameOf(game)
  return { game: found, level: found.levels.find(({ id }) => id === level)! }
}

/** Pages of a level for some children: everything that is needed. */
function pagesOf(
  gameId: string,
  levelId: string,
  children = 2,
  paper: PaperId = 'A4',
  backs: Backs = 'none',
): Page[] {
  const { game, level } = levelOf(gameId, levelId)
  const pile = gamePile(game, level, children)
  const counts = countsToPrint(pile.bundles, new Map())
  return pagesOfJob(pile, { paper, backs, seed: 1, taskCards: 'small', counts })
}

/** Pages with one item of a level alone: what its name begins with. */
function pagesOfItem(gameId: string, levelId: string, name: string, children = 2): Page[] {
  const { game, level } = levelOf(gameId, levelId)
  const pile = gamePile(game, level, children)
  const item = pile.bundles.flatMap(({ items }) => items).find((one) => one.name.startsWith(name))!
  const counts = { [item.id]: item.count }
  return pagesOfJob(pile, { paper: 'A4', backs: 'none', seed: 1, taskCards: 'small', counts })
}
const numbersOn = ({ pages }: ReadPdf) =>
  pages.flatMap(({ texts }) => texts.filter(({ text }) => /^\d+$/.test(text)))
const piecesOn = (pages: readonly Page[]) =>
  pages.flatMap(({ marks }) => marks.filter((mark) => mark.op === 'group' && mark.id.startsWith('piece')))

test.each(['A4', 'Letter'] as const)(
  'the whole catalogue on %s: pages of that size, all text inside the safe margin, nothing raster',
  async (paper) => {
    // On the second paper every sixth level: the pieces are the same, only the packing differs.
    const levels = games.flatMap((game) => game.levels.map((level) => ({ game, level })))
    const some = paper === 'A4' ? levels : levels.filter((_, i) => i % 6 === 0)
    const pages = some.flatMap(({ game, level }) => pagesOf(game.id, level.id, 2, paper))
    const { pages: found } = await read(pages)
    expect(found).toHaveLength(pages.length)
    const upright = sizeOfPaper(paper)
    const faults = found.flatMap((page, i) => {
      const said: string[] = []
      // Two task cards lie beside one another on a sheet that lies across.
      const [width, height] = page.width > page.height ? [upright[1], upright[0]] : upright
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
  const cards = pagesOfItem('landfall', 'to-20-cards', 'number cards')
  const numbers = numbersOn(await read(cards))
  // A pack of 0 to 10 for each of two children.
  expect(numbers.map(({ text }) => Number(text)).sort((a, b) => a - b)).toEqual(
    Array.from({ length: 22 }, (_, i) => Math.floor(i / 2)),
  )
  const at = piecesOn(cards.slice(0, 1)).flatMap((mark) => (mark.op === 'group' ? [[mark.x, mark.y]] : []))
  const [width, height] = [at[1][0] - at[0][0], at[3][1] - at[0][1]]
  at.forEach(([x, y], i) => {
    expect(x).toBeCloseTo(at[0][0] + (i % 3) * width, 6)
    expect(y).toBeCloseTo(at[0][1] + Math.floor(i / 3) * height, 6)
  })
})

test('triangle cards: every unordered pair of parts once, with its total', async () => {
  const numbers = numbersOn(await read(pagesOfItem('hidden-corner', 'totals-10', 'triangle cards')))
  // 11 parts give 11 · 12 / 2 = 66 pairs, three numbers on each card.
  expect(numbers).toHaveLength(3 * 66)
})

test('a hundred grid has ten columns and ten rows, each number once', async () => {
  const squares = numbersOn(await read(pagesOfItem('grid-hop', 'to-100', 'hundred grid', 1)))
  expect(squares.map(({ text }) => Number(text)).sort((a, b) => a - b)).toEqual(
    Array.from({ length: 100 }, (_, i) => i + 1),
  )
  const middles = new Set(squares.map(({ x, width }) => (x + width / 2).toFixed(1)))
  const lines = new Set(squares.map(({ y, size }) => (y - size * 0.36).toFixed(1)))
  expect(middles.size).toBe(10)
  expect(lines.size).toBeGreaterThanOrEqual(10)
})

test('line cards differ from child to child; a task card says its steps; letters of other alphabets are there', async () => {
  const [task] = (await read(pagesOfItem('five-flags', 'two-dice', 'task card', 4))).pages
  const [cards] = (await read(pagesOfItem('five-flags', 'two-dice', 'line card', 4))).pages
  expect(task.texts.map(({ text }) => text).join(' ')).toMatch(
    /Five Flags.*Roll the dice\..*Cover one space\..*Set up A card.*Rules.*The end The first/,
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
  const named = {
    width: 100,
    height: 100,
    marks: [
      {
        op: 'text',
        x: 50,
        y: 50,
        size: 6,
        text: 'Łukasz, Zoë, Ömer, Мила',
        font: 'words',
        fill: 'ink',
      } as const,
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
      gamePile(game, level, 6)
        .bundles.flatMap(({ items }) => items)
        .filter((item) => item.part(1, { seed: 1, taskCards: 'small' }).pieces.length === 0)
        // A table is drawn on the board it belongs to.
        .filter(({ thing }) => thing?.kind !== 'table')
        .map(({ name }) => `${game.id}: ${name}`),
    ),
  )
  expect(missing).toEqual([])
  expect(piecesOn(pagesOfItem('silent-line', 'to-20', 'line-up cards', 20))).toHaveLength(20)
})

test('a claim strip holds one untrue statement in three', async () => {
  const { pages } = await read(pagesOfItem('leaky-claim', 'bonds-10', 'claim strips', 3))
  const claims = pages
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

test('widths of letters are those of the fonts everything is set in', () => {
  for (const [heavy, weight] of [
    [false, 400],
    [true, 700],
  ] as const) {
    const font = new PDFDocument({ font: '' }).font(
      join(process.cwd(), `node_modules/@fontsource/andika/files/andika-latin-${weight}-normal.woff`),
    )
    // Letter by letter, without the pairs that move together: those only make a text narrower.
    for (const letter of 'AVMWilj0 .,“”–éßñ') {
      const width = font.fontSize(10).widthOfString(letter)
      expect(widthOf(letter, { size: 10, heavy })).toBeCloseTo(width, 1)
    }
    const sentence = 'Count on from the next square: “7 and 4 more is 11.”'
    const off = widthOf(sentence, { size: 7, heavy }) / font.fontSize(7).widthOfString(sentence)
    expect(off).toBeGreaterThan(0.99)
    expect(off).toBeLessThan(1.03)
  }
})

test('on every task card of every form nothing stands outside the card', () => {
  const faults = games.flatMap((game) =>
    game.levels.flatMap((level) =>
      taskCardForms.flatMap((form) => {
        const card = taskCard(game, level.title, level.params, form)
        return placedTexts(card.marks).flatMap(({ x, y, text, size, heavy, starts }) => {
          const width = widthOf(text, { size, heavy })
          const [from, to] = starts ? [x, x + width] : [x - width / 2, x + width / 2]
          const inside =
            from >= -card.width / 2 &&
            to <= card.width / 2 &&
            y <= card.height / 2 - 1 &&
            y >= -card.height / 2
          return inside ? [] : [`${game.id} ${level.id} ${form}: “${text}”`]
        })
      }),
    ),
  )
  expect(faults).toEqual([])
})

/** Relative luminance of a tone on paper, WCAG 2.2. */
function luminance(tone: Tone): number {
  const channels = [1, 3, 5].map((at) => parseInt(colours[tone].slice(at, at + 2), 16) / 255)
  const [r, g, b] = channels.map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
  const solid = 0.2126 * r + 0.7152 * g + 0.0722 * b
  return solid * opacityOf(tone) + (1 - opacityOf(tone))
}

/** What a filled mark is by its outline alone. */
const outline = (mark: Mark): string =>
  mark.op === 'circle'
    ? 'circle'
    : mark.op === 'rect'
      ? `rect ${mark.round > 0}`
      : mark.op === 'path'
        ? `path ${mark.d.replace(/[\d.-]+/g, 'n')}`
        : mark.op

test('without colour players stay apart: by shape, or by a grey that differs', () => {
  const players = [1, 2, 3, 4, 5, 6].map((n) => `player-${n}` as Tone)
  /** Cards on which two players are seen at all. */
  let met = 0
  // Where two players' tones fill marks, the same outline never has two of them with one grey.
  const faults = games.flatMap((game) =>
    game.levels.flatMap((level) => {
      const { marks } = taskCard(game, level.title, level.params)
      const found = new Map<string, Set<Tone>>()
      const look = (mark: Mark, label: string) => {
        if (mark.op === 'group')
          // A thing that holds a numeral or a letter is told by it.
          return mark.marks.forEach((one) =>
            look(one, mark.marks.some(({ op }) => op === 'text') ? `labelled ${mark.id}` : label),
          )
        if (mark.op === 'text' || !players.includes(mark.fill)) return
        const key = `${label} ${outline(mark)}`
        found.set(key, (found.get(key) ?? new Set()).add(mark.fill))
      }
      marks.forEach((mark) => look(mark, ''))
      if (new Set([...found.values()].flatMap((tones) => [...tones])).size > 1) met++
      return [...found].flatMap(([key, tones]) => {
        const greys = [...tones].map(luminance).sort((a, b) => a - b)
        const close = greys.some((grey, i) => i > 0 && grey - greys[i - 1] < 0.04)
        return close ? [`${game.id} ${level.id}: ${key} ${[...tones].join(', ')}`] : []
      })
    }),
  )
  expect(faults).toEqual([])
  expect(met).toBeGreaterThan(10)
})
