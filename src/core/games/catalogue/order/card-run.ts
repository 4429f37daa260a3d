import { z } from 'zod'
import { bestOf, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { without, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { beside, grid, onTable, place, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z
  .object({
    /** Cards from 1 to this number, several packs mixed. */
    high: z.number().int().min(5).max(12),
    /** Cards that lie open, and that the run must have. */
    row: z.number().int().min(3).max(6).default(5),
  })
  .refine(({ high, row }) => row <= high, { path: ['row'], error: 'The cards do not reach that far.' })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Open cards of each player, ascending; one more than the row while a card is to go. */
  rows: readonly (readonly number[])[]
}

interface View {
  params: Params
  row: readonly number[]
}

function maskOf(row: readonly number[]): number {
  let mask = 0
  for (const card of row) mask |= 1 << (card - 1)
  return mask
}

const runOf = (low: number, row: number) => ((1 << row) - 1) << (low - 1)

/** True if the open cards hold a run. */
function holdsRun({ high, row }: Params, mask: number): boolean {
  for (let low = 1; low + row - 1 <= high; low++) {
    const run = runOf(low, row)
    if ((mask & run) === run) return true
  }
  return false
}

const expectations = new Map<string, Float64Array>()

/** Expected draws under best play by which numbers lie open, found by value iteration (Bellman 1957). */
function expectedDraws(params: Params): Float64Array {
  const key = `${params.high} ${params.row}`
  const known = expectations.get(key)
  if (known) return known
  const { high, row } = params
  const all = 1 << high
  const expected = new Float64Array(all)
  const counted: number[] = []
  for (let mask = 0; mask < all; mask++)
    if (maskSize(mask) <= row && !holdsRun(params, mask)) counted.push(mask)
  for (let change = 1; change > 1e-12;) {
    change = 0
    for (const mask of counted) {
      let value = 1
      for (let card = 1; card <= high; card++)
        value += least(params, expected, mask | (1 << (card - 1))) / high
      change = Math.max(change, Math.abs(value - expected[mask]))
      expected[mask] = value
    }
  }
  expectations.set(key, expected)
  return expected
}

function maskSize(mask: number): number {
  let count = 0
  for (let left = mask; left; left &= left - 1) count++
  return count
}

/** The best that can be kept of these numbers. */
function least(params: Params, expected: Float64Array, mask: number): number {
  if (holdsRun(params, mask)) return 0
  if (maskSize(mask) <= params.row) return expected[mask]
  let best = Infinity
  for (let left = mask; left; left &= left - 1) best = Math.min(best, expected[mask & ~(left & -left)])
  return best
}

const keepAll = [-1] as const

/** Which card goes, by its place in the row; −1: none has to. */
function moves({ params, rows, turn }: State): readonly number[] {
  const row = rows[turn]
  if (row.length <= params.row) return keepAll
  const found: number[] = []
  for (let index = 0; index < row.length; index++) if (row[index] !== row[index - 1]) found.push(index)
  return found
}

function play(state: State, move: number | null, sink?: Sink): State {
  const { params, rows, turn: player } = state
  const row = move === null || move < 0 ? rows[player] : without(rows[player], move)
  if (sink) {
    row.forEach((card, index) => {
      if (row[index + 1] === card + 1)
        sink({
          kind: 'answered',
          player,
          item: { op: 'neighbour', of: card, by: 1, answer: card + 1 },
          steps: 1,
        })
    })
    sink({ kind: 'placed', player, space: row.length })
  }
  const ended = holdsRun(params, maskOf(row))
  const { players } = state
  return { params, players, turn: nextTurn(state), ended, rows: replaced(rows, player, row) }
}

const level = (id: string, title: string, high: number, row: number) =>
  levelOf<Params>(id, title, high, 'numerals', { high, row })

const rowId = (player: number, i: number) => `row-${player}-${i}`

const table: Table<Params, State, number> = {
  layout: ({ row }, players) =>
    onTable(
      beside(
        12,
        place('pack', [28, 36], { label: 'pack' }),
        stacked(
          8,
          ...range(0, players - 1).map((player) =>
            grid(
              range(0, row).map((i) => ({ id: rowId(player, i), shape: 'area', owner: player })),
              row + 1,
              [25, 33],
              3,
            ),
          ),
        ),
      ),
    ),
  things: ({ rows }) => [
    lie('pack', 'number cards', 'pack'),
    ...rows.flatMap((row, player) =>
      row.map((card, i) =>
        lie(`card-${player}-${i}`, 'number cards', rowId(player, i), numeral(card), { owner: player }),
      ),
    ),
  ],
  say: ({ rows, turn }, index) => ({
    verb: 'let-go',
    numbers: index < 0 ? [] : [rows[turn][index]],
    spots: index < 0 ? [] : [rowId(turn, index)],
  }),
}

export const cardRun = defineGame<Params, State, number, View>({
  id: 'card-run',
  title: 'Card Run',
  summary: 'Turn a card, let one go, until the cards before you make a run.',
  section: 'order',
  params: paramsSchema,
  levels: [
    level('three', 'three in a row, 1 to 6', 6, 3),
    level('four', 'four in a row, 1 to 9', 9, 4),
    level('five', 'five in a row, 1 to 9', 9, 5),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    rows: Array<readonly number[]>(players).fill([]),
  }),
  roll({ params, players, turn: player, ended, rows }, chance, sink) {
    const card = chance.int(1, params.high)
    sink?.({ kind: 'drew', player, card })
    const row = rows[player].slice()
    let place = row.length
    for (; place > 0 && row[place - 1] > card; place--) row[place] = row[place - 1]
    row[place] = card
    return { params, players, turn: player, ended, rows: replaced(rows, player, row) }
  },
  moves,
  play,
  view: ({ params, rows }, player) => ({ params, row: rows[player] }),
  planner: ({ params, row }, options) => {
    if (options[0] < 0) return options[0]
    const expected = expectedDraws(params)
    return bestOf(options, (index) => -least(params, expected, maskOf(without(row, index))))
  },
  // Cards of one number beyond the first are only there to be let go.
  // Best play looks at the different numbers alone; a beginner may let any of equal ones go.
  lumpKey: ({ rows }, choice) =>
    choice === 'planner'
      ? rows.map((row) => `${row.length}:${maskOf(row)}`).join()
      : rows.map((row) => row.join('.')).join(),
  variants: (params): Variant<Params>[] =>
    params.row > 3
      ? [{ change: 'fewer-cards', amount: params.row - 1, params: { ...params, row: params.row - 1 } }]
      : [],
  table,
  materials: ({ high }) => [perSet({ kind: 'number cards', from: 1, to: high, copies: 3 })],
  room: { ...quietTable, together: false, win: true },
})
