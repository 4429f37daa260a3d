import { faceMarks } from '../drawing/faces'
import { box, fitted, line, type Mark } from '../drawing/marks'
import { tableMarks } from '../drawing/table'
import { seededChance } from '../chance/chance'
import type { AnyGame } from '../games'
import { facesShown } from './shown-faces'
import { question, type QuestionKindId } from '../games/families/questions'
import { itemAsked, itemKey } from '../skills'
import { numeral, pattern, wheel, words, type Face } from '../things/face'
import type { Thing } from '../things'

/** One thing that is cut out, or a whole page: its marks lie round its middle; millimetres. */
export interface Piece {
  width: number
  height: number
  marks: readonly Mark[]
}

/** A game card, as large as a playing card. */
const card = [56, 82] as const
const wide = [82, 56] as const

const framed = (width: number, height: number, marks: readonly Mark[]): Piece => ({
  width,
  height,
  // The outline is the line to cut along: pieces stand edge to edge.
  marks: [box(0, 0, width, height, 0, 'none', 'soft', 0.25), ...marks],
})

const faceCard = (face: Face, [width, height]: readonly [number, number] = card): Piece =>
  framed(width, height, faceMarks(face, width * 0.8, height * 0.72))

const copiesOf = <T>(items: readonly T[], copies: number): T[] =>
  Array.from({ length: copies }, () => items).flat()

const range = (from: number, to: number, by = 1) =>
  Array.from({ length: Math.floor((to - from) / by) + 1 }, (_, i) => from + i * by)

/** How a pattern is called among the picture cards. */
const patterns = {
  'dice dots': 'dice',
  fingers: 'fingers',
  'ten frames': 'frame',
  'dots in two groups': 'groups',
} as const

/**
 * The pieces of so many of a thing, for sets of so many children; null: it cannot be printed yet. A board is the table of its game without what lies
 * beside it; line cards and question cards differ from one another.
 */
export function piecesOf(
  one: Thing,
  count: number,
  game: AnyGame,
  params: unknown,
  sets: readonly number[],
): Piece[] | null {
  if (one.kind === 'line card')
    return range(1, count).map((seed) => boardOf(game, { ...(params as object), seed }))
  if (one.kind === 'question cards') {
    const asked = questionCards(count === 1 ? fullPack : count, params)
    if (asked) return asked
  }
  const each = piecesOfOne(one, game, params)
  if (each) return copiesOf(each, count)
  // Only the game's own rules know what is on these: they are those of a round of it.
  const players = Math.max(...sets)
  const all = facesShown(game, params, one.kind, players)
  if (all.length === 0) return null
  // Who lines up needs one card each, whatever the rounds; other cards are used up.
  const shown = one.kind === 'line-up cards' ? all.slice(0, players) : all
  return copiesOf(
    shown.map((face) => faceCard(face, face.kind === 'words' ? [95, 30] : wide)),
    sets.length,
  )
}

/** Cards of a pack where a game counts packs. */
const fullPack = 30

function questionCards(count: number, params: unknown): Piece[] | null {
  const { kind, columns } = params as { kind?: QuestionKindId; columns?: QuestionKindId[] }
  const kinds = columns ?? (kind ? [kind] : [])
  if (kinds.length === 0) return null
  const chance = seededChance(1)
  const asked = new Set<string>()
  return range(0, count - 1).map((i) => {
    let item = question(kinds[i % kinds.length], chance)
    // No card twice, as long as there are others.
    for (let tries = 0; tries < 30 && asked.has(itemKey(item)); tries++)
      item = question(kinds[i % kinds.length], chance)
    asked.add(itemKey(item))
    return faceCard(words(itemAsked(item)), wide)
  })
}

function piecesOfOne(one: Thing, game: AnyGame, params: unknown): Piece[] | null {
  switch (one.kind) {
    case 'number cards': {
      const all = range(one.from, one.to, one.by)
      const some = one.some === null ? all : spread(all, one.some)
      return copiesOf(some, one.copies).map((n) => faceCard(numeral(n)))
    }
    case 'picture cards': {
      const { shows } = one
      return copiesOf(range(one.from, one.to), one.copies).map((n) =>
        shows === 'tens and ones'
          ? faceCard({ kind: 'tens', tens: Math.floor(n / 10), ones: n % 10 }, wide)
          : faceCard(pattern(patterns[shows], n, one.to), shows === 'ten frames' ? wide : card),
      )
    }
    case 'dominoes':
      return range(0, one.to).flatMap((a) =>
        range(a, one.to).map((b) => faceCard({ kind: 'domino', a, b }, [64, 34])),
      )
    case 'triangle cards':
      return range(0, one.to).flatMap((a) =>
        range(a, one.to).map((b) => {
          const top = one.op === 'add' ? a + b : a * b
          return faceCard({ kind: 'triangle', a, b, top, covered: 'none' }, [64, 58])
        }),
      )
    case 'time cards':
      return range(0, 719, one.every).map((minutes) => faceCard({ kind: 'clock', minutes }, [64, 64]))
    case 'creature halves':
      return range(one.from, one.to).map((n) => faceCard({ kind: 'objects', n }, wide))
    case 'pattern strip':
      return [
        faceCard(
          { kind: 'chain', colours: one.pattern.repeat(Math.ceil(12 / one.pattern.length)).slice(0, 12) },
          [186, 24],
        ),
      ]
    case 'cover strip':
      return [framed(180, 20, [])]
    case 'spinner':
      return [
        framed(
          90,
          90,
          faceMarks(
            one.sectors === 'more and less'
              ? { kind: 'wheel', sectors: ['more', 'less'], at: null }
              : wheel(one.sectors, null),
            84,
            84,
          ),
        ),
      ]
    case 'frame': {
      const [width, height] = { 5: [180, 40], 10: [180, 76], 20: [180, 160] }[one.cells]
      return [
        framed(
          width,
          height,
          faceMarks({ kind: 'frame', n: 0, cells: one.cells }, width * 0.94, height * 0.9),
        ),
      ]
    }
    case 'strip':
      return [row(range(1, one.to), 180)]
    case 'number line':
      return [numberLine(one.to, one.marks)]
    case 'hundred grid':
      return [hundredGrid(one.to)]
    case 'mat':
      return [placeValueMat()]
    case 'sheet':
      return [recordingSheet(one.columns)]
    case 'table':
      // It stands on the board it belongs to.
      return []
    case 'list':
      return [listOfThings()]
    case 'board':
    case 'track':
      return [boardOf(game, params)]
    default:
      return null
  }
}

/** So many of them, evenly spread, the first and the last among them. */
const spread = (all: readonly number[], some: number): number[] =>
  Array.from(
    { length: Math.min(some, all.length) },
    (_, i) => all[Math.round((i * (all.length - 1)) / Math.max(1, Math.min(some, all.length) - 1))],
  )

const at = (x: number, y: number, marks: readonly Mark[], id: string): Mark => ({
  op: 'group',
  id,
  x,
  y,
  marks,
})

/** Numbers in boxes side by side. */
function row(numbers: readonly number[], width: number): Piece {
  const side = width / numbers.length
  return framed(
    width,
    side + 6,
    numbers.map((n, i) =>
      at(
        -width / 2 + (i + 0.5) * side,
        0,
        [
          box(0, 0, side - 1, side - 1, 1, 'sheet', 'ink', 0.4),
          fitted(String(n), 0, 0, side * 0.7, side * 0.7),
        ],
        `box ${n}`,
      ),
    ),
  )
}

function numberLine(to: number, marks: 'all' | 'some' | 'ends'): Piece {
  const width = 180
  const every = marks === 'all' ? 1 : marks === 'ends' ? to : to > 50 ? 10 : 5
  const step = (width * 0.92) / to
  const fine = to <= 50 ? 1 : 10
  const x = (n: number) => Number((-width * 0.46 + n * step).toFixed(2))
  const ticks = range(0, to, marks === 'ends' ? to : fine).map((n) => line(`M${x(n)} -3V3`, 'ink', 0.4))
  const named = range(0, to, every).map((n) =>
    at(x(n), 8, [fitted(String(n), 0, 0, Math.max(6, step * every * 0.9), 7)], `number ${n}`),
  )
  return framed(width, 34, [line(`M${x(0)} 0H${x(to)}`, 'ink', 0.6), ...ticks, ...named])
}

/** Rows of ten from the left, from the top. */
function hundredGrid(to: number): Piece {
  const side = 18
  const rows = Math.ceil(to / 10)
  return framed(
    182,
    rows * side + 2,
    range(1, to).map((n) =>
      at(
        -90 + ((n - 1) % 10) * side + side / 2,
        (-rows * side) / 2 + Math.floor((n - 1) / 10) * side + side / 2,
        [box(0, 0, side, side, 0, 'sheet', 'ink', 0.3), fitted(String(n), 0, 0, side * 0.7, side * 0.62)],
        `square ${n}`,
      ),
    ),
  )
}

function placeValueMat(): Piece {
  const [width, height] = [186, 240]
  return framed(width, height, [
    line(`M0 ${-height / 2}V${height / 2}M${-width / 2} ${-height / 2 + 20}H${width / 2}`, 'ink', 0.5),
    at(-width / 4, -height / 2 + 10, [fitted('tens', 0, 0, 60, 12, 'ink', 'words')], 'tens'),
    at(width / 4, -height / 2 + 10, [fitted('ones', 0, 0, 60, 12, 'ink', 'words')], 'ones'),
  ])
}

/** Lines to write on, under what they are for. */
function recordingSheet(columns: string): Piece {
  const [width, height] = [186, 126]
  const lines = range(1, 6).map((i) => {
    const y = Number((-height / 2 + 14 + i * 17).toFixed(2))
    return line(`M${-width / 2 + 8} ${y}H${width / 2 - 8}`, 'soft', 0.4)
  })
  return framed(width, height, [
    at(0, -height / 2 + 9, [fitted(columns, 0, 0, width * 0.8, 8, 'ink', 'words')], 'title'),
    ...lines,
  ])
}

/** What may be fetched: nothing sharp, heavy or breakable. Common practice, no source. */
const toFetch = ['pencils', 'cubes', 'counters', 'paper clips', 'pegs', 'buttons', 'straws', 'bottle tops']

function listOfThings(): Piece {
  const [width, height] = [92, 120]
  return framed(width, height, [
    at(0, -height / 2 + 9, [fitted('You may fetch', 0, 0, width * 0.8, 9, 'ink', 'words')], 'title'),
    ...toFetch.map((name, i) =>
      at(0, -height / 2 + 24 + i * 12, [fitted(name, 0, 0, width * 0.8, 9, 'ink', 'words')], name),
    ),
  ])
}

/** What is printed of a game's table: its spaces with their numbers, without hands, piles and devices. */
function boardOf(game: AnyGame, params: unknown): Piece {
  const { spots, paths } = game.table.layout(params, Math.max(1, game.players.min))
  const printed = spots.filter(({ shape }) => shape !== 'area')
  const kept = new Set(printed.map(({ id }) => id))
  const left = Math.min(...printed.map(({ at: [x], size: [w] }) => x - w / 2)) - 4
  const right = Math.max(...printed.map(({ at: [x], size: [w] }) => x + w / 2)) + 4
  const top = Math.min(...printed.map(({ at: [, y], size: [, h] }) => y - h / 2)) - 4
  const bottom = Math.max(...printed.map(({ at: [, y], size: [, h] }) => y + h / 2)) + 4
  const [width, height] = [right - left, bottom - top]
  const layout = {
    width,
    height,
    spots: printed.map((spot) => ({ ...spot, at: [spot.at[0] - left, spot.at[1] - top] as const })),
    paths: paths.filter(([a, b]) => kept.has(a) && kept.has(b)),
  }
  return { width, height, marks: [at(-width / 2, -height / 2, tableMarks(layout, { things: [] }), 'board')] }
}
