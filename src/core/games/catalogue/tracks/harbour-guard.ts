import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import { anyMove, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink } from '../../engine/game'
import { range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { hundredGrid, onTable, numeral, type Table } from '../../../table'

/** Squares 1 to 100 in ten rows. */
const column = (square: number) => (square - 1) % 10
const row = (square: number) => Math.floor((square - 1) / 10)
const steps = (a: number, b: number) => Math.abs(column(a) - column(b)) + Math.abs(row(a) - row(b))
const inside = (square: number) =>
  column(square) > 0 && column(square) < 9 && row(square) > 0 && row(square) < 9

const squareSchema = z
  .number()
  .int()
  .min(12)
  .max(89)
  .refine(inside, 'A target lies inside the grid, not on its edge.')

const paramsSchema = z
  .object({
    /** The two targets; null: chosen by chance at the start. */
    targets: z.tuple([squareSchema, squareSchema]).nullable(),
    /** The most tens or ones in one move. */
    most: z.number().int().min(2).max(9).default(9),
    record: z.boolean().default(false),
  })
  .refine(({ targets }) => !targets || steps(targets[0], targets[1]) >= 3, {
    path: ['targets'],
    error: 'The targets must lie at least three steps apart.',
  })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  targets: readonly number[]
  /** Squares of the pieces, four a player. */
  pieces: readonly number[]
  /** The last move of who is to move, not to be made twice in a row, and of the other; 0: none. */
  last: number
  othersLast: number
}

interface Move {
  piece: number
  /** Ones, or tens as 10, 20 …; negative: back or up. */
  by: number
}

interface View {
  goal: number
  own: readonly number[]
  others: readonly number[]
  target: number
  most: number
}

/** Targets by chance: both inside, three steps apart. */
function someTargets(chance: Chance): number[] {
  const anywhere = () => 12 + chance.int(0, 7) + 10 * chance.int(0, 7)
  const first = anywhere()
  for (;;) {
    const second = anywhere()
    if (steps(first, second) >= 3) return [first, second]
  }
}

/** Above, below, left and right of the target. */
const round = (target: number) => [target - 10, target + 10, target - 1, target + 1]

const units = [1, -1, 10, -10] as const

/** Free places before and after a place in a line of ten, by which places of it are taken: two a place. */
const freeInLine = Uint8Array.from(
  range(0, 1023).flatMap((line) =>
    range(0, 9).flatMap((place) => {
      const free = (step: number) => {
        let places = 0
        for (let at = place + step; at >= 0 && at < 10 && !(line & (1 << at)); at += step) places++
        return places
      }
      return [free(-1), free(1)]
    }),
  ),
)

/** Which places of each row and column are taken, while moves are looked for. */
const rows = new Uint16Array(10)
const columns = new Uint16Array(10)

/** How far each piece can go by each unit: four a piece. Good until the next look. */
const reach = new Uint8Array(16)

/** Row and column of each square, looked up: working them out takes longer. */
const rowOf = Uint8Array.from(range(0, 100), (square) => Math.max(0, row(square)))
const columnOf = Uint8Array.from(range(0, 100), (square) => Math.max(0, column(square)))

/**
 * Looks how far the pieces of the player whose go it is can go, in straight lines over free squares.
 * @returns the number of moves there are, the one not to be made twice running included
 */
function look({ params, pieces, turn }: State): number {
  for (let line = 0; line < 10; line++) rows[line] = columns[line] = 0
  for (let piece = 0; piece < pieces.length; piece++) {
    const square = pieces[piece]
    rows[rowOf[square]] |= 1 << columnOf[square]
    columns[columnOf[square]] |= 1 << rowOf[square]
  }
  const { most } = params
  let count = 0
  for (let piece = 0; piece < 4; piece++) {
    const square = pieces[4 * turn + piece]
    const inRow = 20 * rows[rowOf[square]] + 2 * columnOf[square]
    const inColumn = 20 * columns[columnOf[square]] + 2 * rowOf[square]
    const way = 4 * piece
    count += reach[way] = Math.min(most, freeInLine[inRow + 1])
    count += reach[way + 1] = Math.min(most, freeInLine[inRow])
    count += reach[way + 2] = Math.min(most, freeInLine[inColumn + 1])
    count += reach[way + 3] = Math.min(most, freeInLine[inColumn])
  }
  return count
}

/** Every move there is, nine a piece and unit: handed out from here, not made anew. */
const allMoves: readonly Move[] = range(0, 3).flatMap((piece) =>
  units.flatMap((unit) => range(1, 9).map((n) => ({ piece, by: n * unit }))),
)

function moves(state: State): readonly Move[] {
  look(state)
  const { last } = state
  const found: Move[] = []
  for (let way = 0; way < 16; way++)
    for (let n = 0; n < reach[way]; n++) {
      const move = allMoves[9 * way + n]
      if (move.by !== last) found.push(move)
    }
  return found
}

/** A beginner's move, found by counting: listing the thirty there are would take most of the go. */
function beginner(state: State, chance: Chance): Move | null {
  let count = look(state)
  // What may not be made twice running, as the n-th move of a unit; the 0th: nothing yet.
  const { last } = state
  const size = Math.abs(last)
  const barredUnit = (size < 10 ? 0 : 2) + (last < 0 ? 1 : 0)
  const barred = size < 10 ? size : size / 10
  if (barred > 0)
    for (let way = barredUnit; way < 16; way += 4)
      if (reach[way] >= barred) {
        count--
        // Counted over below: the moves beyond it are one place nearer.
        reach[way]--
      }
  if (count === 0) return null
  let pick = count === 1 ? 0 : chance.int(0, count - 1)
  let way = 0
  for (; pick >= reach[way]; way++) pick -= reach[way]
  return allMoves[9 * way + pick + (barred > 0 && way % 4 === barredUnit && pick + 1 >= barred ? 1 : 0)]
}

function play(state: State, move: Move | null, sink?: Sink): State {
  const { params, pieces, targets, othersLast, turn: player } = state
  if (move === null) return { ...state, turn: nextTurn(state), last: othersLast, othersLast: 0 }
  const at = 4 * player + move.piece
  const from = pieces[at]
  const to = from + move.by
  const b = Math.abs(move.by)
  if (sink) {
    const item = { op: move.by > 0 ? ('add' as const) : ('subtract' as const), a: from, b, answer: to }
    const count = b % 10 === 0 ? b / 10 : b
    sink({ kind: 'answered', player, item, steps: count })
    sink({ kind: 'moved', player, from, to, squares: count })
    if (params.record)
      sink({
        kind: 'wrote',
        player,
        what: 'sentence',
        text: `${from} ${move.by > 0 ? '+' : '−'} ${b} = ${to}`,
      })
  }
  const won = to === targets[(player + 1) % targets.length] && state.players > 1
  return {
    params,
    players: state.players,
    turn: nextTurn(state),
    // A child alone has no harbour to reach: one move is all there is.
    ended: won || state.players === 1,
    winner: won ? player : null,
    targets,
    pieces: replaced(pieces, at, to),
    last: othersLast,
    othersLast: move.by,
  }
}

/** Free squares from which a piece could land on the goal, and the first piece met in each direction. */
function sight(goal: number, taken: ReadonlySet<number>, most: number) {
  const free = new Set<number>()
  const met: { square: number; between: number[] }[] = []
  for (const unit of units) {
    const between: number[] = []
    for (let n = 1; n <= most; n++) {
      const square = goal + n * unit
      if (square < 1 || square > 100 || (Math.abs(unit) === 1 && row(square) !== row(goal))) break
      if (taken.has(square)) {
        met.push({ square, between })
        break
      }
      between.push(square)
      free.add(square)
    }
  }
  return { free, met }
}

/** Wins where it can, else stands in the way of a threat, else makes one, else moves as it comes. */
function guard({ goal, own, others, target, most }: View, options: readonly Move[], chance: Chance): Move {
  const to = ({ piece, by }: Move) => own[piece] + by
  const winning = options.find((move) => to(move) === goal)
  if (winning) return winning
  const taken = new Set([...own, ...others])
  const threat = sight(target, taken, most).met.find(({ square }) => others.includes(square))
  if (threat) {
    const blocking = options.filter((move) => threat.between.includes(to(move)))
    if (blocking.length > 0) return anyMove(blocking, chance)
  }
  const { free } = sight(goal, taken, most)
  const attacking = options.filter((move) => free.has(to(move)))
  return anyMove(attacking.length > 0 ? attacking : options, chance)
}

const level = (id: string, title: string, to: number, most: number, record = false) =>
  levelOf<Params>(id, title, to, 'numerals', { targets: null, most, record })

const squareId = (n: number) => `square-${n}`

const table: Table<Params, State, Move> = {
  layout: () => onTable(hundredGrid(100, (n) => ({ id: squareId(n), shape: 'square', face: numeral(n) }))),
  things: ({ targets, pieces, players }) => [
    ...targets
      .slice(0, players)
      .map((square, player) => lie(`target-${player}`, 'marker', squareId(square), null, { owner: player })),
    ...pieces.map((square, piece) =>
      lie(`piece-${piece}`, 'counter', squareId(square), null, { owner: Math.floor(piece / 4) }),
    ),
  ],
  say({ pieces, turn }, { piece, by }) {
    const from = pieces[4 * turn + piece]
    const unit = Math.abs(by) >= 10 ? Math.sign(by) * 10 : Math.sign(by)
    return {
      verb: 'move',
      numbers: [from, Math.abs(by), from + by],
      spots: range(1, by / unit).map((k) => squareId(from + k * unit)),
    }
  },
}

export const harbourGuard = defineGame<Params, State, Move, View>({
  id: 'harbour-guard',
  title: 'Harbour Guard',
  summary: 'Move four boats by tens and ones; land one on the other harbour before they reach yours.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('short', 'up to 3 tens or ones', 100, 3),
    level('long', 'up to 9 tens or ones', 100, 9),
    level('written', 'up to 9, every sum written', 100, 9, true),
  ],
  players: { min: 2, max: 2, typical: 2 },
  goes: 'alternate',
  interaction: 'contest',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    targets: params.targets ?? [],
    pieces: params.targets ? params.targets.slice(0, players).flatMap(round) : [],
    last: 0,
    othersLast: 0,
  }),
  roll(state, chance) {
    if (state.pieces.length > 0) return state
    const targets = someTargets(chance)
    return { ...state, targets, pieces: targets.slice(0, state.players).flatMap(round) }
  },
  moves,
  beginner,
  play,
  view: ({ params, targets, pieces }, player) => {
    const other = (player + 1) % targets.length
    return {
      goal: targets[other],
      own: pieces.slice(4 * player, 4 * player + 4),
      others: pieces.slice(4 * other, 4 * other + 4),
      target: targets[player],
      most: params.most,
    }
  },
  planner: guard,
  variants: () => [],
  table,
  materials: ({ record }) => [
    perSet({ kind: 'hundred grid', to: 100 }),
    perPlayer({ kind: 'counter', own: true }, 4),
    perPlayer({ kind: 'marker', target: true }),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'number sentences' })] : []),
  ],
  room: { ...quietTable, alone: false, together: false, win: true },
})
