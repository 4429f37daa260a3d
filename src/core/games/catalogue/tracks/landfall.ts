import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import {
  defineGame,
  levelOf,
  nextTurn,
  quietTable,
  type GameState,
  type Sink,
  type Variant,
  replaced,
} from '../../engine/game'
import { cards, cardsSchema, diceSchema, pack, shorterBy, sum, without, range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, heap, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, onTable, place, stacked, trackRows, numeral, type Table } from '../../../table'

const square = z.number().int().min(0).max(1000)

const paramsSchema = z
  .object({
    start: square,
    goal: square,
    source: z.discriminatedUnion('kind', [
      /** From `oneDieWithin` squares left only one of the dice is rolled. */
      diceSchema.extend({ oneDieWithin: z.number().int().min(1).max(50).nullable().default(null) }),
      cardsSchema,
    ]),
    finish: z.enum(['exact', 'pass', 'bounce']).default('exact'),
    /** Write the number sentence of every go. */
    record: z.boolean().default(false),
    /** Say before the round how many rolls it will take. */
    predict: z.boolean().default(false),
  })
  .refine(({ start, goal }) => start !== goal, { path: ['goal'], error: 'The goal is the start square.' })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  positions: readonly number[]
  /** Cards each player still holds unused; empty with dice. */
  packs: readonly (readonly number[])[]
  /** What the go turned up, one number a die. */
  thrown: readonly number[]
  started: boolean
}

/** Squares to move, and the squares then left to the goal. */
interface Move {
  squares: number
}

interface View {
  position: number
  left: number
  thrown: readonly number[]
}

const left = ({ params, positions }: State, player: number) => Math.abs(params.goal - positions[player])

function setup(params: Params, players: number): State {
  const cards = params.source.kind === 'cards' ? pack(params.source) : []
  return {
    params,
    players,
    turn: 0,
    ended: false,
    positions: Array<number>(players).fill(params.start),
    packs: Array<readonly number[]>(players).fill(cards),
    thrown: [],
    started: false,
  }
}

function roll(state: State, chance: Chance, sink?: Sink): State {
  const { params, players, turn: player, ended, positions, packs } = state
  if (params.predict && !state.started) sink?.({ kind: 'predicted', player })
  const started = state.started || player === players - 1
  if (params.source.kind === 'dice') {
    const { count, oneDieWithin } = params.source
    const dice = oneDieWithin !== null && left(state, player) <= oneDieWithin ? 1 : count
    const thrown: number[] = []
    for (let die = 0; die < dice; die++) thrown.push(chance.int(1, 6))
    sink?.({ kind: 'rolled', player, faces: thrown })
    return { params, players, turn: player, ended, positions, packs, thrown, started }
  }
  const held = packs[player].length > 0 ? packs[player] : pack(params.source)
  const index = chance.int(0, held.length - 1)
  sink?.({ kind: 'drew', player, card: held[index] })
  const thrown = [held[index]]
  const packsLeft = replaced(packs, player, without(held, index))
  return { params, players, turn: player, ended, positions, packs: packsLeft, thrown, started }
}

function moves(state: State): readonly Move[] {
  const squares = sum(state.thrown)
  if (state.params.finish === 'exact' && squares > left(state, state.turn)) return []
  return [{ squares }]
}

function play(state: State, move: Move | null, sink?: Sink): State {
  const { params, players, turn: player, packs, started, thrown } = state
  const from = state.positions[player]
  let positions = state.positions
  // A number that does not fit is only judged; a zero is worked out: "seven and none is seven".
  if (move !== null) {
    const towards = Math.min(move.squares, left(state, player))
    const beyond = move.squares - towards
    tell(sink, params, player, from, towards, beyond === 0 ? state.thrown : [towards])
    let to = step(params, from, towards)
    let squares = towards
    if (beyond > 0 && params.finish === 'bounce') {
      // Reflected at the goal, and never further back than the start.
      const back = Math.min(beyond, Math.abs(params.goal - params.start))
      tell(sink, params, player, to, -back, [back])
      to = step(params, to, -back)
      squares += back
    }
    // There and back onto the same square is a move too.
    if (squares > 0) sink?.({ kind: 'moved', player, from, to, squares })
    positions = replaced(positions, player, to)
  }
  const ended = positions[player] === params.goal
  return { params, players, turn: nextTurn(state), ended, positions, packs, thrown, started }
}

/** `squares` on towards the goal, or back if negative. */
function step({ start, goal }: Params, from: number, squares: number): number {
  return from + Math.sign(goal - start) * squares
}

/** The sum or difference of a go, said aloud and written if sentences are kept. */
function tell(
  sink: Sink | undefined,
  params: Params,
  player: number,
  from: number,
  squares: number,
  addends: readonly number[],
) {
  if (!sink) return
  const to = step(params, from, squares)
  const plus = squares === 0 ? params.goal > params.start : to > from
  const b = Math.abs(squares)
  const item = { op: plus ? ('add' as const) : ('subtract' as const), a: from, b, answer: to }
  sink({ kind: 'answered', player, item, steps: b })
  if (params.record) {
    const sign = plus ? ' + ' : ' − '
    sink({ kind: 'wrote', player, what: 'sentence', text: `${[from, ...addends].join(sign)} = ${to}` })
  }
}

const dice = (count: number, oneDieWithin: number | null = null) => ({
  kind: 'dice' as const,
  count,
  oneDieWithin,
})
const toTwo = cards(0, 2)
const toTen = cards(0, 10)
const level = (
  id: string,
  title: string,
  start: number,
  goal: number,
  source: Params['source'],
  finish: Params['finish'] = 'exact',
) =>
  levelOf(id, title, Math.max(start, goal), 'numerals', {
    start,
    goal,
    source,
    finish,
    record: false,
    predict: false,
  })

function variants(params: Params): Variant<Params>[] {
  const found: Variant<Params>[] = []
  if (params.finish !== 'pass')
    found.push({ change: 'let-passing-count', params: { ...params, finish: 'pass' } })
  if (params.finish === 'exact')
    found.push({ change: 'bounce-back', params: { ...params, finish: 'bounce' } })
  if (params.source.kind === 'dice' && params.source.count > 1 && params.source.oneDieWithin === null)
    found.push({
      change: 'one-die-near-goal',
      params: { ...params, source: { ...params.source, oneDieWithin: 6 } },
    })
  // A shorter way to the same goal.
  const way = params.goal - params.start
  for (const squares of shorterBy(Math.abs(way), 8))
    found.push({
      change: 'shorter-track',
      amount: squares,
      params: { ...params, start: params.goal - Math.sign(way) * squares },
    })
  return found
}

const squareId = (n: number) => `square-${n}`
const squaresBetween = (from: number, to: number) =>
  range(1, Math.abs(to - from)).map((k) => squareId(from + Math.sign(to - from) * k))

const table: Table<Params, State, Move> = {
  layout({ start, goal, source }, players) {
    const track = trackRows(start, goal, (n) => ({
      id: squareId(n),
      shape: n === goal ? 'island' : 'circle',
      face: numeral(n),
    }))
    const device =
      source.kind === 'dice'
        ? deviceSpots(source, Math.abs(goal - start) > 40 ? 'under each other' : 'side by side')
        : beside(
            8,
            ...range(0, players - 1).map((player) => place(`pack-${player}`, [26, 34], { owner: player })),
            place('open', [24, 32]),
          )
    // A long track needs the height for itself, and nearly all of the width.
    return Math.abs(goal - start) > 40
      ? onTable(beside(8, track, device), 6)
      : onTable(stacked(14, track, device), 12)
  },
  things: ({ params, players, positions, packs, thrown }) => [
    ...positions.map((at, player) =>
      lie(`marker-${player}`, 'marker', squareId(at), null, { owner: player }),
    ),
    ...(params.source.kind === 'dice'
      ? deviceThings(params.source, thrown)
      : [
          ...range(0, players - 1).flatMap((player) =>
            heap(`pack-${player}`, 'number cards', `pack-${player}`, packs[player].length, player),
          ),
          ...(thrown.length > 0 ? [lie('card', 'number cards', 'open', numeral(thrown[0]))] : []),
        ]),
  ],
  say({ params, positions, turn }, { squares }) {
    const from = positions[turn]
    const towards = Math.min(squares, Math.abs(params.goal - from))
    const there = step(params, from, towards)
    const beyond =
      params.finish === 'bounce' ? Math.min(squares - towards, Math.abs(params.goal - params.start)) : 0
    const to = step(params, there, -beyond)
    return {
      verb: 'move',
      numbers: [from, squares, to],
      spots: [...squaresBetween(from, there), ...(beyond > 0 ? squaresBetween(there, to) : [])],
    }
  },
}

export const landfall = defineGame<Params, State, Move, View>({
  id: 'landfall',
  title: 'Landfall',
  summary: 'Count on along a track and land exactly on the goal.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('to-5-cards', '0 to 5, cards', 0, 5, toTwo),
    level('to-7-cards', '0 to 7, cards', 0, 7, toTwo),
    level('to-10-die', '0 to 10, one die', 0, 10, dice(1)),
    level('to-10-cards', '0 to 10, cards', 0, 10, toTen),
    level('back-10', '10 to 0, one die', 10, 0, dice(1)),
    level('to-12-die', '0 to 12, one die', 0, 12, dice(1)),
    level('to-15-cards', '0 to 15, cards', 0, 15, toTen),
    level('to-20-die', '0 to 20, one die', 0, 20, dice(1)),
    level('to-20-cards', '0 to 20, cards', 0, 20, toTen),
    level('back-20', '20 to 0, one die', 20, 0, dice(1)),
    level('to-30-die', '0 to 30, one die', 0, 30, dice(1)),
    level('20-to-50', '20 to 50, two dice', 20, 50, dice(2, 6)),
    level('to-100', '0 to 100, two dice', 0, 100, dice(2, 6)),
    level('back-100', '100 to 0, two dice', 100, 0, dice(2, 6)),
  ],
  usual: 'to-10-die',
  players: { min: 1, max: 4, typical: 2 },
  interaction: 'race',
  goes: 'alternate',
  setup,
  roll,
  moves,
  play,
  view: (state, player) => ({
    position: state.positions[player],
    left: left(state, player),
    thrown: state.thrown,
  }),
  lumpKey: ({ positions, packs }) => `${positions.join()}|${packs.join(';')}`,
  variants,
  table,
  materials: ({ start, goal, source, record }) => [
    perSet({ kind: 'track', from: Math.min(start, goal), to: Math.max(start, goal) }),
    perPlayer({ kind: 'marker' }),
    source.kind === 'dice'
      ? perSet({ kind: 'die', sides: 6 }, source.count)
      : perPlayer({ kind: 'number cards', from: source.low, to: source.high }),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'number sentences' })] : []),
  ],
  room: { ...quietTable, together: false, win: true },
})
