import type { Chance } from '../../chance/chance'
import type { SceneThing } from '../../table'
import { lie } from './on-table'
import { nextTurn, type Engine, type GameState, type Sink, replaced } from '../engine/game'

export interface TrackState<P> extends GameState {
  params: P
  positions: readonly number[]
  /** Players who sit the next go out. */
  resting: readonly boolean[]
  thrown: readonly number[]
}

interface TrackView<P> {
  params: P
  position: number
  thrown: readonly number[]
}

interface TrackRules<P, M> {
  start: (params: P) => number
  throw: (params: P, at: number, chance: Chance, player: number, sink?: Sink) => readonly number[]
  /** What may be done with the throw from this square. */
  options: (params: P, at: number, thrown: readonly number[]) => readonly M[]
  /** Moves, tells the sums, and says where the marker stands and whether the next go is lost. */
  land: (params: P, at: number, move: M, player: number, sink?: Sink) => { to: number; rest?: boolean }
  /** Sends what is still said in a go without a move. */
  stay?: (params: P, at: number, thrown: readonly number[], player: number, sink: Sink) => void
  finished: (params: P, at: number) => boolean
  planner?: (view: TrackView<P>, moves: readonly M[], chance: Chance) => M
}

const nothing: readonly number[] = []

/** A marker for each child on an own track; the first at the end wins. */
export function tracking<P, M>(rules: TrackRules<P, M>): Engine<P, TrackState<P>, M, TrackView<P>> {
  return {
    setup: (params, players) => ({
      params,
      players,
      turn: 0,
      ended: false,
      positions: Array<number>(players).fill(rules.start(params)),
      resting: Array<boolean>(players).fill(false),
      thrown: [],
    }),
    roll({ params, players, turn, ended, positions, resting }, chance, sink) {
      const thrown = resting[turn] ? nothing : rules.throw(params, positions[turn], chance, turn, sink)
      return { params, players, turn, ended, positions, resting, thrown }
    },
    moves: ({ params, positions, resting, thrown, turn }) =>
      resting[turn] ? [] : rules.options(params, positions[turn], thrown),
    play(state, move, sink) {
      const { params, players, turn: player, positions, resting, thrown } = state
      const at = positions[player]
      const turn = nextTurn(state)
      if (move === null) {
        if (sink && !resting[player]) rules.stay?.(params, at, thrown, player, sink)
        const rested = resting[player] ? replaced(resting, player, false) : resting
        return { params, players, turn, ended: false, positions, resting: rested, thrown }
      }
      const { to, rest = false } = rules.land(params, at, move, player, sink)
      return {
        params,
        players,
        turn,
        ended: rules.finished(params, to),
        positions: replaced(positions, player, to),
        resting: rest ? replaced(resting, player, true) : resting,
        thrown,
      }
    },
    view: ({ params, positions, thrown }, player) => ({ params, position: positions[player], thrown }),
    planner: rules.planner,
    lumpKey: ({ positions, resting }) => `${positions.join()}|${resting.map(Number).join('')}`,
  }
}

/** The sum or difference of a step along a track, said aloud. */
export function tellStep(
  sink: Sink | undefined,
  player: number,
  from: number,
  to: number,
  record = false,
): void {
  if (!sink || from === to) return
  const b = Math.abs(to - from)
  const item = { op: to > from ? ('add' as const) : ('subtract' as const), a: from, b, answer: to }
  // Tens are counted as tens: three tens take three counts, not thirty.
  sink({ kind: 'answered', player, item, steps: Math.floor(b / 10) + (b % 10) })
  if (record)
    sink({
      kind: 'wrote',
      player,
      what: 'sentence',
      text: `${from} ${to > from ? '+' : '−'} ${b} = ${to}`,
    })
}

/** A marker for each child on the square it stands on. */
export const markersOn = (positions: readonly number[], squareId: (n: number) => string): SceneThing[] =>
  positions.map((at, player) => lie(`marker-${player}`, 'marker', squareId(at), null, { owner: player }))
