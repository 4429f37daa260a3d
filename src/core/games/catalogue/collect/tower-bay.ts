import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import {
  bestOf,
  defineGame,
  type GameState,
  levelOf,
  mostOwned,
  ownedBy,
  quietTable,
  replaced,
  type Sink,
  type Variant,
} from '../../engine/game'
import {
  deviceOf,
  dice,
  range,
  shorterBy,
  spinner,
  sum,
  throwSchema,
  totalsOf,
  rollInAnyOrder,
  turnUp,
  type Throw,
} from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { heap, deviceSpots, deviceThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral, type Table } from '../../../table'

const pickSchema = z.enum(['total', 'die-or-total'])

const paramsSchema = z
  .object({
    source: throwSchema,
    /** Towers that end the game; null: one on every space. */
    spaces: z.number().int().min(1).max(20).nullable().default(null),
    /** A number whose tower stands already: wait, or build on an empty space next to it. */
    taken: z.enum(['wait', 'neighbour']).default('wait'),
    /** With several dice: build the total, or one die or the total as you like. */
    pick: pickSchema.default('total'),
    /** Cooperative, or most towers in an own colour wins. */
    score: z.enum(['together', 'own-colours']).default('together'),
    /** Write the numeral beside the tower. */
    record: z.boolean().default(false),
  })
  .refine((params) => params.spaces === null || params.spaces <= board(params).length, {
    path: ['spaces'],
    error: 'The board has fewer spaces than that.',
  })

export type Params = z.infer<typeof paramsSchema>
type Rolls = { source: Throw; pick: z.infer<typeof pickSchema> }

interface State extends GameState {
  params: Params
  /** Whose tower stands on each space of the board; −1: none. */
  towers: readonly number[]
  thrown: readonly number[]
}

/** Build on the space of this number. */
interface Move {
  space: number
  cubes: number
}

interface View {
  board: readonly number[]
  empty: readonly number[]
  source: Params['source']
}

const boards = new WeakMap<Rolls, number[]>()

/** A tower for each number, on its space: moves are handed out from here, not made anew. */
const towerOf: readonly Move[] = range(0, 30).map((space) => ({ space, cubes: space }))
const none: readonly Move[] = []
const alone: readonly (readonly Move[])[] = towerOf.map((tower) => [tower])

/** One space for each number the source can give. */
function board(rolls: Rolls): number[] {
  const known = boards.get(rolls)
  if (known) return known
  const { source, pick } = rolls
  const low = source.kind === 'dice' && pick === 'total' ? source.count : 1
  const made = range(low, source.kind === 'dice' ? 6 * source.count : source.sectors)
  boards.set(rolls, made)
  return made
}

function setup(params: Params, players: number): State {
  return {
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    towers: board(params).map(() => -1),
    thrown: [],
  }
}

function roll({ params, players, turn, ended, winner, towers }: State, chance: Chance, sink?: Sink): State {
  const { source } = params
  const thrown =
    source.kind === 'dice'
      ? rollInAnyOrder(source.count, chance, turn, sink)
      : turnUp(source, chance, turn, sink)
  return { params, players, turn, ended, winner, towers, thrown }
}

function moves(state: State): readonly Move[] {
  const { params, thrown, towers } = state
  const total = sum(thrown)
  const spaces = board(params)
  if (params.pick === 'total' && params.taken === 'wait') {
    return towers[total - spaces[0]] < 0 ? alone[total] : none
  }
  const numbers = params.pick === 'total' ? [total] : [...new Set([...thrown, total])]
  const found = new Map<number, Move>()
  for (const number of numbers) {
    const index = spaces.indexOf(number)
    const open = towers[index] < 0 ? [index] : params.taken === 'neighbour' ? [index - 1, index + 1] : []
    for (const at of open) if (towers[at] === -1) found.set(at, towerOf[spaces[at]])
  }
  return [...found.values()]
}

function play(state: State, move: Move | null, sink?: Sink): State {
  const { params, turn: player, thrown } = state
  const spaces = board(params)
  let towers = state.towers
  if (move !== null) {
    const { space, cubes } = move
    const total = sum(thrown)
    if (thrown.length > 1 && space === total)
      thrown.slice(1).reduce((a, b) => {
        sink?.({ kind: 'answered', player, item: { op: 'add', a, b, answer: a + b }, steps: b })
        return a + b
      }, thrown[0])
    sink?.({ kind: 'answered', player, item: { op: 'numeral', answer: space }, steps: 0 })
    sink?.({ kind: 'answered', player, item: { op: 'count', answer: cubes }, steps: cubes })
    sink?.({ kind: 'built', player, cubes, space })
    if (params.record) sink?.({ kind: 'wrote', player, what: 'numeral', text: String(space) })
    towers = replaced(towers, space - spaces[0], params.score === 'own-colours' ? player : 0)
  }
  const { players } = state
  let standing = 0
  for (const owner of towers) if (owner >= 0) standing++
  const ended = standing >= (params.spaces ?? spaces.length)
  const winner = ended && params.score === 'own-colours' ? mostOwned(towers, players) : null
  return { params, players, turn: (player + 1) % players, ended, winner, towers, thrown }
}

/** Builds where the number comes up most rarely as a total, so that the common ones stay open. */
function rarestFirst({ source }: View, options: readonly Move[]): Move {
  const totals = totalsOf(source)
  return bestOf(options, ({ space }) => -(totals.get(space) ?? 0))
}

function variants(params: Params): Variant<Params>[] {
  const all = board(params).length
  const now = params.spaces ?? all
  const found: Variant<Params>[] = []
  for (const spaces of shorterBy(all, 2))
    if (spaces < now) found.push({ change: 'fewer-spaces', amount: spaces, params: { ...params, spaces } })
  if (params.taken === 'wait')
    found.push({ change: 'use-neighbour', params: { ...params, taken: 'neighbour' } })
  return found
}

const level = (id: string, title: string, to: number, source: Throw) =>
  levelOf(id, title, to, 'objects', paramsSchema.parse({ source }))

const spaceId = (n: number) => `space-${n}`

const table: Table<Params, State, Move> = {
  layout(params) {
    const spaces = board(params)
    return onTable(
      stacked(
        12,
        grid(
          spaces.map((n) => ({ id: spaceId(n), shape: 'square', face: numeral(n), head: true })),
          Math.min(6, spaces.length),
          [28, 34],
          4,
        ),
        deviceSpots(params.source),
      ),
    )
  },
  things: ({ params, towers, thrown }) => [
    ...towers.flatMap((owner, i) => {
      const n = board(params)[i]
      const own = params.score === 'own-colours' ? owner : null
      return owner >= 0 ? heap(`tower-${n}`, 'cube', spaceId(n), n, own) : []
    }),
    ...deviceThings(params.source, thrown),
  ],
  say: (_state, { space, cubes }) => ({ verb: 'build', numbers: [cubes], spots: [spaceId(space)] }),
}

export const towerBay = defineGame<Params, State, Move, View>({
  id: 'tower-bay',
  title: 'Tower Bay',
  summary: 'Find the numeral you rolled, build that tower and stand it there.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('spinner-5', '1 to 5, spinner', 5, spinner(5)),
    level('die', '1 to 6, one die', 6, dice(1)),
    level('spinner-10', '1 to 10, spinner', 10, spinner(10)),
    level('two-dice', '2 to 12, two dice', 12, dice(2)),
  ],
  players: { min: 1, max: 4, typical: 3 },
  interaction: 'shared',
  focus: () => ['count'],
  // Totals above ten come rarely.
  marked: ({ source }) =>
    source.kind === 'dice' && source.count > 1 ? { strand: 'how-many', step: 'count-out-10' } : null,
  contested: ({ score }) => score === 'own-colours',
  goes: 'alternate',
  setup,
  roll,
  moves,
  play,
  view: ({ params, towers }) => {
    const spaces = board(params)
    return { board: spaces, empty: spaces.filter((_, index) => towers[index] < 0), source: params.source }
  },
  planner: rarestFirst,
  // Whose tower it is changes the score, not how the game goes on.
  lumpKey({ towers }) {
    let key = ''
    for (const owner of towers) key += owner < 0 ? '.' : '#'
    return key
  },
  variants,
  table,
  scores: ({ params, towers, players }) => (params.score === 'own-colours' ? ownedBy(towers, players) : null),
  materials: (params) => [
    perSet({
      kind: 'board',
      name: 'tower board',
      shows: `spaces ${board(params)[0]} to ${board(params).at(-1)}`,
    }),
    perSet({ kind: 'cube' }, sum(board(params))),
    deviceOf(params.source),
    ...(params.record ? [perPlayer({ kind: 'sheet', columns: 'numbers' })] : []),
  ],
  room: { ...quietTable, noise: 2, win: true },
})
