import { z } from 'zod'
import { markersOn } from '../../families/track'
import { bestOf, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { dice, fewer, range, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { grid, onTable, ring, stacked, numeral, words, type Table } from '../../../table'

const paramsSchema = z.object({
  op: z.enum(['subtract', 'add']).default('subtract'),
  /** The largest number in a sentence. */
  to: z.number().int().min(4).max(20),
  /** Sentences of teens and ones only: 17 − 4, 13 + 5. */
  teens: z.boolean().default(false),
  /** Squares of the path round the pool; every eighth is wild. */
  squares: z.number().int().min(8).max(32).default(16),
  wild: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

interface Sentence {
  a: number
  b: number
  answer: number
}

interface Board {
  /** A sentence for each square; null: wild. */
  path: readonly (Sentence | null)[]
  /** Answers in the pool, each once. */
  pool: readonly number[]
}

interface State extends GameState {
  params: Params
  positions: readonly number[]
  covered: readonly boolean[]
  thrown: readonly number[]
}

interface View {
  board: Board
  covered: readonly boolean[]
}

const boards = new WeakMap<Params, Board>()

/** The path of sentences and the pool of their answers: every answer has a square that leads to it. */
function boardOf(params: Params): Board {
  const known = boards.get(params)
  if (known) return known
  const { op, to, teens, squares, wild } = params
  const all: Sentence[] = range(teens ? 11 : 1, to).flatMap((whole) =>
    range(1, teens ? whole - 10 : whole).map((b) =>
      op === 'subtract' ? { a: whole, b, answer: whole - b } : { a: whole - b, b, answer: whole },
    ),
  )
  const chosen = range(1, squares).map((square) =>
    // A stride with no common part spreads the sentences over the path.
    wild && square % 8 === 0 ? null : all[(square * 7) % all.length],
  )
  const pool = [...new Set(chosen.flatMap((sentence) => (sentence ? [sentence.answer] : [])))]
  const board = { path: chosen, pool: pool.sort((a, b) => a - b) }
  boards.set(params, board)
  return board
}

function moves({ params, positions, covered, turn }: State): readonly number[] {
  const { path, pool } = boardOf(params)
  const sentence = path[positions[turn]]
  const open: number[] = []
  for (let space = 0; space < pool.length; space++)
    if (!covered[space] && (!sentence || sentence.answer === pool[space])) open.push(space)
  return open
}

function play(state: State, space: number | null, sink?: Sink): State {
  const { params, players, positions, covered, thrown, turn: player } = state
  const { path, pool } = boardOf(params)
  const sentence = path[positions[player]]
  if (sentence && sink)
    sink({ kind: 'answered', player, item: { op: params.op, ...sentence }, steps: sentence.b })
  const turn = nextTurn(state)
  if (space === null) return { params, players, turn, ended: false, positions, covered, thrown }
  sink?.({ kind: 'placed', player, space: pool[space] })
  const now = replaced(covered, space, true)
  return { params, players, turn, ended: !now.includes(false), positions, covered: now, thrown }
}

/** On a wild square: the answer that the fewest sentences lead to. */
function hardest({ board }: View, options: readonly number[]): number {
  return bestOf(
    options,
    (space) => -board.path.filter((sentence) => sentence?.answer === board.pool[space]).length,
  )
}

const level = (id: string, title: string, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, params.to, 'numerals', paramsSchema.parse(params))

const squareId = (i: number) => `path-${i}`
const answerId = (space: number) => `answer-${space}`

const table: Table<Params, State, number> = {
  layout(params) {
    const { path, pool } = boardOf(params)
    const answers = grid(
      pool.map((answer, space) => ({ id: answerId(space), shape: 'circle', face: numeral(answer) })),
      Math.ceil(Math.sqrt(pool.length * 2.6)),
      [11, 11],
    )
    return onTable(
      stacked(
        10,
        ring(
          path.map((sentence, i) => ({
            id: squareId(i),
            shape: 'square',
            face: sentence
              ? { kind: params.op === 'add' ? 'sum' : 'difference', a: sentence.a, b: sentence.b }
              : words('any'),
            ...(sentence ? {} : { tone: 'wild' as const }),
          })),
          answers,
          [20, 12],
        ),
        deviceSpots(dice(1)),
      ),
    )
  },
  things: ({ covered, positions, thrown }) => [
    ...covered.flatMap((is, space) => (is ? [lie(`counter-${space}`, 'counter', answerId(space))] : [])),
    ...markersOn(positions, squareId),
    ...deviceThings(dice(1), thrown),
  ],
  say: ({ params, positions, turn }, space) => ({
    verb: 'cover',
    numbers: [boardOf(params).pool[space]],
    spots: [squareId(positions[turn]), answerId(space)],
  }),
}

export const lastCover = defineGame<Params, State, number, View>({
  id: 'last-cover',
  title: 'Last Cover',
  summary: 'Work out sentences round a pool and cover the answers; whoever covers the last one wins.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('add-5', 'adding within 5', { to: 5, op: 'add' }),
    level('within-5', 'taking away within 5', { to: 5 }),
    level('within-7', 'taking away within 7', { to: 7 }),
    level('add-10', 'adding within 10', { to: 10, op: 'add' }),
    level('within-10', 'taking away within 10', { to: 10 }),
    level('within-12', 'taking away within 12', { to: 12 }),
    level('add-20', 'adding within 20', { to: 20, op: 'add' }),
    level('teens', 'teens minus ones', { to: 19, teens: true }),
    level('within-20', 'taking away within 20', { to: 20, squares: 24 }),
  ],
  usual: 'within-5',
  players: { min: 2, max: 4, typical: 3 },
  goes: 'alternate',
  interaction: 'contest',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    positions: Array<number>(players).fill(0),
    covered: boardOf(params).pool.map(() => false),
    thrown: [],
  }),
  roll({ params, players, turn: player, ended, positions, covered }, chance, sink) {
    const [face] = turnUp(dice(1), chance, player, sink)
    const to = (positions[player] + face) % boardOf(params).path.length
    sink?.({ kind: 'moved', player, from: positions[player], to, squares: face })
    const moved = replaced(positions, player, to)
    return { params, players, turn: player, ended, positions: moved, covered, thrown: [face] }
  },
  moves,
  play,
  view: ({ params, covered }) => ({ board: boardOf(params), covered }),
  planner: hardest,
  variants: (params): Variant<Params>[] => fewer(params, 'squares', 'fewer-spaces', 8),
  table,
  materials: (params) => [
    perSet({
      kind: 'board',
      name: 'sentence path',
      shows: `${params.op === 'add' ? 'adding' : 'taking away'} to ${params.to}${params.teens ? ', teens' : ''}, ${params.squares} squares`,
    }),
    perPlayer({ kind: 'marker' }),
    perSet({ kind: 'counter' }, boardOf(params).pool.length),
    perSet({ kind: 'die', sides: 6 }),
  ],
  room: { ...quietTable, alone: false, win: true },
})
