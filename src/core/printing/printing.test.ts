import { seededChance } from '../chance/chance'
import type { Mark } from '../drawing/marks'
import { games, gameOf, usualLevel } from '../games'
import { materialsOf } from '../planning/materials'
import { isPrinted, nameOf, thing } from '../things'
import { bagOf } from './bag'
import { byHand } from './by-hand'
import { gamePile } from './game-pile'
import { packed } from './pack'
import { pagesOf, type Job } from './pages'
import { safeMargin } from './paper'
import { net } from './pieces/die-net'
import { centimetreTrack } from './pieces/lines'
import { piecesOf } from './pieces/of-thing'
import { thanksSlip } from './sheets/signs'
import { countsToPrint } from './to-print'
import { TooMuch } from './too-much'

const usual: Omit<Job, 'counts'> = { paper: 'A4', backs: 'none', seed: 1, taskCards: 'small' }
const pileFor = (gameId: string, levelId: string, children: number) => {
  const game = gameOf(gameId)
  return gamePile(
    game,
    game.levels.find(({ id }) => id === levelId)!,
    children,
  )
}
const groupsOf = (marks: readonly Mark[], begins: string) =>
  marks.filter(
    (mark): mark is Extract<Mark, { op: 'group' }> => mark.op === 'group' && mark.id.startsWith(begins),
  )

test('the net of the die folds to a cube: opposite faces add to seven', () => {
  // Each face rolls onto the table from the one it hangs on; where its outside points then is its side of the cube.
  type Vector = readonly [number, number, number]
  interface Way {
    right: Vector
    down: Vector
    out: Vector
  }
  const minus = ([x, y, z]: Vector): Vector => [-x, -y, -z]
  const ways = new Map<string, Way>()
  const key = ({ x, y }: { x: number; y: number }) => `${x} ${y}`
  const first: Way = { right: [1, 0, 0], down: [0, 1, 0], out: [0, 0, 1] }
  const fold = (at: { x: number; y: number }, way: Way) => {
    if (ways.has(key(at)) || !net.some((face) => key(face) === key(at))) return
    ways.set(key(at), way)
    const { right, down, out } = way
    fold({ x: at.x + 1, y: at.y }, { right: minus(out), down, out: right })
    fold({ x: at.x - 1, y: at.y }, { right: out, down, out: minus(right) })
    fold({ x: at.x, y: at.y + 1 }, { right, down: minus(out), out: down })
    fold({ x: at.x, y: at.y - 1 }, { right, down: out, out: minus(down) })
  }
  fold(net[0], first)
  const bySide = new Map(net.map((face) => [String(ways.get(key(face))!.out.map((n) => n + 0)), face.dots]))
  expect(bySide.size).toBe(6)
  for (const [side, dots] of bySide) {
    const across = String(side.split(',').map((n) => -Number(n) + 0))
    expect(dots + bySide.get(across)!).toBe(7)
  }
})

test('every printed thing of the catalogue is made by hand in three lines, with its own numbers', () => {
  const things = games.flatMap((game) =>
    game.levels.flatMap(({ params }) => game.materials(params).map((material) => material.thing)),
  )
  for (const one of things) {
    const lines = byHand(one)
    expect([nameOf(one), lines.length]).toEqual([nameOf(one), isPrinted(one) ? 3 : 0])
    if (one.kind === 'number cards' && one.some === null) {
      expect(lines.join(' ')).toContain(`${one.from} to ${one.to}`)
    }
    if (one.kind === 'track') expect(lines.join(' ')).toContain(`${one.from} to ${one.to}`)
  }
})

test('the same job gives the same pages; another seed other cards, as many pages', () => {
  const pile = pileFor('five-flags', 'two-dice', 6)
  const counts = countsToPrint(pile.bundles, new Map())
  const pages = pagesOf(pile, { ...usual, counts })
  expect(pagesOf(pileFor('five-flags', 'two-dice', 6), { ...usual, counts })).toEqual(pages)
  const others = pagesOf(pile, { ...usual, seed: 2, counts })
  expect(others).toHaveLength(pages.length)
  expect(JSON.stringify(others)).not.toBe(JSON.stringify(pages).replaceAll('seed 1', 'seed 2'))
})

test('thirty line cards are thirty different ones, and numbers stand on them as often as they are called', () => {
  const { params } = gameOf('five-flags').levels.find(({ id }) => id === 'two-dice')!
  const level = { game: gameOf('five-flags'), params, players: 4 }
  const one = gameOf('five-flags')
    .materials(params)
    .map((material) => material.thing)
    .find(({ kind }) => kind === 'line card')!
  const cards = piecesOf(one, 30, level, 1)!
  const onCard = cards.map(({ marks }) => numbersIn(marks))
  expect(new Set(onCard.map(String)).size).toBe(30)
  const all = onCard.flat()
  const share = (n: number) => all.filter((one_) => one_ === n).length / all.length
  // Two dice: a total of 7 comes six times as often as one of 2 or 12.
  for (let total = 2; total <= 12; total++)
    expect(Math.abs(share(total) - (6 - Math.abs(7 - total)) / 36)).toBeLessThan(0.05)
})

const numbersIn = (marks: readonly Mark[]): number[] =>
  marks.flatMap((mark) =>
    mark.op === 'group'
      ? numbersIn(mark.marks)
      : mark.op === 'text' && /^\d+$/.test(mark.text)
        ? [Number(mark.text)]
        : [],
  )

test.each(['long edge', 'short edge'] as const)('backs, turned on the %s, meet their fronts', (backs) => {
  const pile = pileFor('landfall', 'to-20-cards', 4)
  const counts = countsToPrint(pile.bundles, new Map())
  const pages = pagesOf(pile, { ...usual, backs, counts })
  expect(pages).toHaveLength(2 * pagesOf(pile, { ...usual, counts }).length)
  let met = 0
  for (let i = 0; i < pages.length; i += 2) {
    const [front, back] = [pages[i], pages[i + 1]]
    const across = front.width > front.height
    const fronts = groupsOf(front.marks, 'piece')
    for (const one of groupsOf(back.marks, 'back')) {
      // The sheet turned over: what was left is right, or what was on top is below.
      const sideways = (backs === 'long edge') !== across
      const through = sideways ? [front.width - one.x, one.y] : [one.x, front.height - one.y]
      const piece = fronts.find(({ id }) => id === `piece ${one.id.slice(5)}`)!
      expect(piece.x).toBeCloseTo(through[0], 9)
      expect(piece.y).toBeCloseTo(through[1], 9)
      met++
    }
  }
  // Four packs of eleven cards.
  expect(met).toBe(44)
})

test('pages stand in the order of the bags; what a bag holds is not printed again, what is missing from it is', () => {
  const [first, second] = ['landfall', 'hidden-corner'].map((gameId) => {
    const game = gameOf(gameId)
    const { id: levelId, params } = usualLevel(game)
    const needs = materialsOf([{ slot: 0, station: 0, materials: game.materials(params), sets: [2] }], 1).all
    return bagOf(gameId, needs, [{ levelId, players: 2, sets: 1 }])
  })
  const pile = { title: 'two bags', bundles: [second, first] }
  const all = countsToPrint(pile.bundles, new Map())
  const titles = pagesOf(pile, { ...usual, counts: all }).map(({ title }) => title.split(' · ')[0])
  expect(titles).toEqual([...titles].sort((a, b) => Number(a === 'Landfall') - Number(b === 'Landfall')))
  expect(new Set(titles)).toEqual(new Set(['Hidden Corner', 'Landfall']))

  const cards = second.items.find(({ name }) => name.startsWith('triangle cards'))!
  const kept = (missing: number) =>
    countsToPrint(pile.bundles, new Map([[cards.id, { count: cards.count, missing }]]))[cards.id]
  expect(all[cards.id]).toBe(cards.count)
  expect(kept(0)).toBe(0)
  expect(kept(1)).toBe(1)
})

test('pieces of any sizes stay on their sheets, and none lies over another', () => {
  const chance = seededChance(7)
  for (let round = 0; round < 40; round++) {
    const parts = Array.from({ length: 4 }, (_, part) => ({
      title: `part ${part}`,
      across: chance.int(0, 3) === 0,
      pieces: Array.from({ length: chance.int(1, 14) }, () => ({
        width: chance.int(10, 240),
        height: chance.int(10, 330),
        marks: [{ op: 'circle', x: 0, y: 0, r: 1, fill: 'ink', stroke: 'none', line: 0 } as const],
      })),
    }))
    const pages = packed([{ title: 'any', parts }], { paper: 'Letter', backs: 'none', seed: 1 })
    const placed = pages.flatMap(({ marks }) => groupsOf(marks, 'piece')).length
    expect(placed).toBe(parts.flatMap(({ pieces }) => pieces).length)
    for (const { width, height, marks } of pages)
      for (const { x, y } of groupsOf(marks, 'piece')) {
        expect(x).toBeGreaterThan(safeMargin)
        expect(x).toBeLessThan(width - safeMargin)
        expect(y).toBeGreaterThan(safeMargin)
        expect(y).toBeLessThan(height - safeMargin)
      }
  }
})

test('what nobody can mean is refused before it is laid out', () => {
  const million = thing({ kind: 'number cards', from: 0, to: 1_000_000 })
  expect(() => piecesOf(million, 1, null, 1)).toThrow(TooMuch)
  expect(() => piecesOf(thing({ kind: 'number line', to: 1_000_000 }), 1, null, 1)).toThrow(TooMuch)
  const pile = pileFor('hidden-corner', 'totals-10', 4)
  const cards = pile.bundles[0].items.find(({ name }) => name.startsWith('triangle cards'))!
  expect(() => pagesOf(pile, { ...usual, counts: { [cards.id]: 499 } })).toThrow(TooMuch)
  expect(() => pagesOf(pile, { ...usual, counts: { [cards.id]: 80 } })).toThrow(/pages, and 400 are the most/)
})

test('a track in squares of a centimetre: every number once, each square ten millimetres wide and next to the last', () => {
  const strips = centimetreTrack(0, 30, [7, 13])
  const numbers: number[] = []
  for (const { marks, width } of strips) {
    const squares = groupsOf(marks, 'square ')
    numbers.push(...squares.map(({ id }) => Number(id.slice('square '.length))))
    const middles = squares.map(({ x }) => x)
    for (let i = 1; i < middles.length; i++) expect(middles[i] - middles[i - 1]).toBeCloseTo(10)
    expect(middles[0]).toBeCloseTo(-width / 2 + 5)
    // It fits between the margins of either paper.
    expect(width).toBeLessThanOrEqual(210 - 2 * safeMargin)
  }
  expect(numbers).toEqual(Array.from({ length: 31 }, (_, n) => n))
  const shaded = strips.flatMap(({ marks }) =>
    marks.filter((mark) => mark.op === 'rect' && mark.fill === 'hazard'),
  )
  expect(shaded).toHaveLength(2)
})

test('whoever wants it gets a track in centimetres with the bag; it is not printed unasked', () => {
  const { bundles } = pileFor('landfall', 'to-20-die', 4)
  const item = bundles[0].items.find(({ name }) => name.endsWith('squares of a centimetre'))!
  expect([item.name, item.role]).toEqual(['track 0 to 20, squares of a centimetre', 'more'])
  expect(countsToPrint(bundles, new Map())[item.id]).toBe(0)
  expect(item.part(2, { seed: 1, taskCards: 'small' }).pieces).toHaveLength(4)
})

test('a thank-you slip names the child and how it played, and nobody’s rank', () => {
  const { marks } = thanksSlip('Élodie', 2)
  const said = marks.flatMap((mark) => (mark.op === 'text' ? [mark.text] : []))
  expect(said).toContain('Thank you, Élodie')
  expect(said.join(' ')).not.toMatch(/\b(best|winner|first|fastest|level|points?)\b/i)
})
