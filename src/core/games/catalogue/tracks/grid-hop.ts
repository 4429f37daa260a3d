import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import { tellStep } from '../../families/track'
import { bestOf, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { dice, fewer, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, hundredGrid, onTable, place, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z.object({
  /** Squares to go: from 0 up to the goal, or from the goal down to 0. */
  goal: z.number().int().min(10).max(120),
  finish: z.enum(['pass', 'exact']).default('pass'),
  direction: z.enum(['up', 'down']).default('up'),
  /** Markers of each player; all must get there. */
  markers: z.number().int().min(1).max(2).default(1),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Squares still to go, for each player's markers. */
  left: readonly (readonly number[])[]
  thrown: number
}

interface Move {
  marker: number
  /** Ones or tens times the throw. */
  squares: number
}

interface View {
  params: Params
  left: readonly number[]
}

function moves({ params, left, thrown, turn }: State): readonly Move[] {
  const found: Move[] = []
  const own = left[turn]
  for (let marker = 0; marker < own.length; marker++) {
    if (own[marker] === 0) continue
    for (let squares = thrown; squares <= 10 * thrown; squares += 9 * thrown)
      if (params.finish === 'pass' || squares <= own[marker]) found.push({ marker, squares })
  }
  return found
}

function play(state: State, move: Move | null, sink?: Sink): State {
  const { params, players, left, turn: player, thrown } = state
  const turn = nextTurn(state)
  if (move === null) return { params, players, turn, ended: false, left, thrown }
  const before = left[player][move.marker]
  const after = Math.max(0, before - move.squares)
  if (sink) {
    const at = (squares: number) => (params.direction === 'up' ? params.goal - squares : squares)
    tellStep(sink, player, at(before), at(after))
    // Tens are stepped down the grid, a row at a time.
    const squares = move.squares % 10 === 0 ? move.squares / 10 : move.squares
    sink({ kind: 'moved', player, from: at(before), to: at(after), squares })
  }
  const own = replaced(left[player], move.marker, after)
  let toGo = 0
  for (const squares of own) toGo += squares
  return { params, players, turn, ended: toGo === 0, left: replaced(left, player, own), thrown }
}

/** Expected goes under best play for each pair of squares to go, by the rules that matter. */
const expectations = new Map<string, Float64Array>()

const side = 121

/**
 * Expected goes from every position under best play. A move only ever shortens the way, so positions
 * are worked out in the order of the way left; a throw that fits nowhere costs a go and changes nothing.
 */
function expectationOf({ goal, finish, markers }: Params): Float64Array {
  const key = `${goal} ${finish} ${markers}`
  const known = expectations.get(key)
  if (known) return known
  const expected = new Float64Array(side * side)
  const most = markers === 2 ? goal : 0
  for (let both = 1; both <= goal + most; both++)
    for (let b = Math.max(0, both - goal); b <= Math.min(most, both); b++) {
      const a = both - b
      let sum = 0
      let moving = 0
      for (let face = 1; face <= 6; face++) {
        let best = Infinity
        for (const squares of [face, 10 * face]) {
          if (a > 0 && (finish === 'pass' || squares <= a))
            best = Math.min(best, expected[Math.max(0, a - squares) * side + b])
          if (b > 0 && (finish === 'pass' || squares <= b))
            best = Math.min(best, expected[a * side + Math.max(0, b - squares)])
        }
        if (best === Infinity) continue
        sum += best
        moving++
      }
      expected[a * side + b] = (6 + sum) / moving
    }
  expectations.set(key, expected)
  return expected
}

/** The move after which the fewest goes are to be expected. */
function soonest({ params, left }: View, options: readonly Move[]): Move {
  const expected = expectationOf(params)
  return bestOf(options, ({ marker, squares }) => {
    const [a, b = 0] = replaced(left, marker, Math.max(0, left[marker] - squares))
    return -expected[a * side + b]
  })
}

const level = (id: string, title: string, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, params.goal, 'numerals', paramsSchema.parse(params))

function variants(params: Params): Variant<Params>[] {
  const found: Variant<Params>[] = fewer(params, 'goal', 'shorter-track', 20)
  if (params.finish === 'exact')
    found.push({ change: 'let-passing-count', params: { ...params, finish: 'pass' } })
  return found
}

const squareId = (n: number) => (n === 0 ? 'off' : `square-${n}`)

const at = ({ direction, goal }: Params, left: number) => (direction === 'up' ? goal - left : left)

const table: Table<Params, State, Move> = {
  layout: ({ goal, direction }) =>
    onTable(
      beside(
        8,
        stacked(
          8,
          place('off', [36, 20], { label: direction === 'up' ? 'start' : 'home' }),
          deviceSpots(dice(1)),
        ),
        hundredGrid(goal > 100 ? 120 : 100, (n) => ({
          id: squareId(n),
          shape: 'square',
          face: numeral(n),
          ...(n === goal ? { tone: 'wild' as const } : {}),
        })),
      ),
    ),
  things: ({ params, left, thrown }) => [
    ...left.flatMap((own, player) =>
      own.map((squares, i) =>
        lie(`marker-${player}-${i}`, 'marker', squareId(at(params, squares)), null, { owner: player }),
      ),
    ),
    ...deviceThings(dice(1), thrown > 0 ? [thrown] : []),
  ],
  say({ params, left, turn }, { marker, squares }) {
    const before = left[turn][marker]
    const after = Math.max(0, before - squares)
    const unit = squares % 10 === 0 ? 10 : 1
    const spots: string[] = []
    for (let now = before; now > after;) {
      now = Math.max(after, now - unit)
      spots.push(squareId(at(params, now)))
    }
    return { verb: 'move', numbers: [at(params, before), before - after, at(params, after)], spots }
  },
}

export const gridHop = defineGame<Params, State, Move, View>({
  id: 'grid-hop',
  title: 'Grid Hop',
  summary: 'On a hundred grid, choose each time whether the throw counts ones or tens.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('to-50', 'to 50 or beyond', { goal: 50 }),
    level('to-100', 'to 100 or beyond', { goal: 100 }),
    level('to-100-exactly', 'to 100 exactly', { goal: 100, finish: 'exact' }),
    level('back-100', 'back from 100', { goal: 100, finish: 'exact', direction: 'down' }),
    level('two-markers', 'two markers to 100', { goal: 100, markers: 2 }),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  marked: ({ finish, direction }) =>
    finish === 'exact' && direction === 'up' ? { strand: 'add', step: 'tens-ones-100' } : null,
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    left: Array.from({ length: players }, () => Array<number>(params.markers).fill(params.goal)),
    thrown: 0,
  }),
  roll({ params, players, turn, ended, left }, chance: Chance, sink) {
    return { params, players, turn, ended, left, thrown: turnUp(dice(1), chance, turn, sink)[0] }
  },
  moves,
  play,
  view: ({ params, left }, player) => ({ params, left: left[player] }),
  planner: soonest,
  lumpKey: ({ left }) => left.map((own) => own.join()).join('|'),
  variants,
  table,
  materials: ({ goal, markers }) => [
    perSet({ kind: 'hundred grid', to: goal > 100 ? 120 : 100 }),
    perPlayer({ kind: 'marker' }, markers),
    perSet({ kind: 'die', sides: 6 }),
  ],
  room: { ...quietTable, together: false, win: true },
})
