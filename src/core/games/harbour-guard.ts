import { z } from 'zod'
import type { Chance } from '../chance/chance'
import { smallParts } from './cautions'
import { anyMove, defineGame, levelOf, nextTurn, quietTable, replaced } from './game'
import type { GameState, Sink } from './game'
import { range } from './source'

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

type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  targets: readonly number[]
  /** Squares of each player's four pieces. */
  pieces: readonly (readonly number[])[]
  /** The last move of each player: not to be made twice in a row. */
  last: readonly number[]
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

/** Squares between each square and the edge, by square and unit: four a square. */
const squaresToEdge = Uint8Array.from(
  range(0, 100).flatMap((from) =>
    units.map((unit) => {
      const inLine = (to: number) => to >= 1 && to <= 100 && (Math.abs(unit) === 10 || row(to) === row(from))
      let squares = 0
      while (from > 0 && inLine(from + (squares + 1) * unit)) squares++
      return squares
    }),
  ),
)

/** Every move there is, by piece, unit and number less one: handed out from here, not made anew. */
const allMoves: readonly Move[] = range(0, 3).flatMap((piece) =>
  units.flatMap((unit) => range(1, 9).map((n) => ({ piece, by: n * unit }))),
)

/** Which squares are taken, while moves are looked for. */
const taken = new Uint8Array(101)

/** Moves of all pieces, each in a straight line over free squares. */
function moves({ params, pieces, last, turn }: State): readonly Move[] {
  for (const own of pieces) for (const square of own) taken[square] = 1
  const found: Move[] = []
  const own = pieces[turn]
  for (let piece = 0; piece < own.length; piece++)
    for (let unit = 0; unit < units.length; unit++) {
      const most = Math.min(params.most, squaresToEdge[4 * own[piece] + unit])
      let to = own[piece] + units[unit]
      for (let n = 0; n < most && taken[to] === 0; n++) {
        const move = allMoves[(4 * piece + unit) * 9 + n]
        if (move.by !== last[turn]) found.push(move)
        to += units[unit]
      }
    }
  for (const own of pieces) for (const square of own) taken[square] = 0
  return found
}

function play(state: State, move: Move | null, sink?: Sink): State {
  const { params, pieces, targets, last, turn: player } = state
  if (move === null) return { ...state, turn: nextTurn(state), last: replaced(last, player, 0) }
  const from = pieces[player][move.piece]
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
    pieces: replaced(pieces, player, replaced(pieces[player], move.piece, to)),
    last: replaced(last, player, move.by),
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
    pieces: params.targets ? params.targets.slice(0, players).map(round) : [],
    last: Array<number>(players).fill(0),
  }),
  roll(state, chance) {
    if (state.pieces.length > 0) return state
    const targets = someTargets(chance)
    return { ...state, targets, pieces: targets.slice(0, state.players).map(round) }
  },
  moves,
  play,
  view: ({ params, targets, pieces }, player) => {
    const other = (player + 1) % targets.length
    return {
      goal: targets[other],
      own: pieces[player],
      others: pieces[other] ?? [],
      target: targets[player],
      most: params.most,
    }
  },
  planner: guard,
  variants: () => [],
  materials: ({ record }) => [
    { item: 'hundred grid', perSet: 1 },
    { item: 'counter', perPlayer: 4, loose: true },
    { item: 'target marker', perPlayer: 1 },
    ...(record ? [{ item: 'recording sheet', perPlayer: 1 }] : []),
  ],
  texts: {
    rules: [
      'Put your four boats round your harbour.',
      'Move one boat by tens or by ones, in a straight line.',
      'Say the sum: “47 add 20 is 67”. Think again if you like.',
      'Never over or onto a boat, never the same move twice running.',
      'Land on the other harbour to win.',
    ],
    lookFors: [
      'A step down is ten, not one?',
      'Says the number before moving?',
      'Sees what the other could do next?',
    ],
    misconceptions: [
      { seen: 'Moves down one row and adds one.', ask: 'What is under 34? How much more is that?' },
      { seen: 'Goes round the end of a row with ones.', ask: 'Is 41 in the same row as 40?' },
    ],
    talk: 'What were you guarding against with that move?',
    cautions: [smallParts],
    homeVersion: 'Write a hundred grid, and use four buttons of two colours each.',
    finishEarly: 'Write down the three sums that took you nearest.',
  },
  room: { ...quietTable, alone: false, together: false, win: true },
})
