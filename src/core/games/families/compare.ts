import type { Chance } from '../../chance/chance'
import { beside, place, stacked, type Layout, type SceneThing } from '../../table'
import type { ThingKind } from '../../things'
import { range } from '../engine/source'
import { heap } from './on-table'
import { type Engine, type GameState, type Sink, replaced } from '../engine/game'

export interface CompareState<P> extends GameState {
  params: P
  /** Cards each player turned in this round. */
  turned: readonly (readonly number[])[]
  /** Rounds whose cards wait for the next one, because nobody won. */
  waiting: number
  won: readonly number[]
  done: number
  /** What chance says beside the cards: 1 where more wins, 0 where less does. */
  sign: number
}

interface CompareRules<P> {
  rounds: (params: P) => number
  /** Each player's cards for one round. */
  cards: (
    params: P,
    chance: Chance,
    player: number,
    sink: Sink | undefined,
    /** What the others turned in this round. */
    turned: readonly (readonly number[])[],
  ) => readonly number[]
  sign: (params: P, chance: Chance, sink?: Sink) => number
  /** What a player's cards are worth. */
  worth: (params: P, cards: readonly number[]) => number
  answer: (params: P, state: CompareState<P>, player: number, sink: Sink) => void
}

/** All turn cards at once; the most (or the least) takes them, and equal cards wait for the next round. */
export function comparing<P>(rules: CompareRules<P>): Engine<P, CompareState<P>, 'answer', null> {
  return {
    setup: (params, players) => ({
      params,
      players,
      turn: 0,
      ended: false,
      winner: null,
      turned: [],
      waiting: 0,
      won: Array<number>(players).fill(0),
      done: 0,
      sign: 1,
    }),
    roll({ params, players, turn, ended, winner, waiting, won, done }, chance, sink) {
      const turned: (readonly number[])[] = []
      for (let player = 0; player < players; player++)
        turned.push(rules.cards(params, chance, player, sink, turned))
      const sign = rules.sign(params, chance, sink)
      return { params, players, turn, ended, winner, turned, waiting, won, done, sign }
    },
    moves: () => ['answer'],
    play(state, _move, sink) {
      const { params, turn: player, players } = state
      if (sink) rules.answer(params, state, player, sink)
      if (player < players - 1) {
        const { ended, winner, turned, waiting, won, done, sign } = state
        return { params, players, turn: player + 1, ended, winner, turned, waiting, won, done, sign }
      }
      return settle(rules, state, sink)
    },
    view: () => null,
    sameLawEachGo: (params) => ({ goes: rules.rounds(params), pack: null }),
  }
}

function settle<P>(rules: CompareRules<P>, state: CompareState<P>, sink?: Sink): CompareState<P> {
  const { params, players, turned, sign, waiting } = state
  const worth = turned.map((cards) => (sign === 1 ? 1 : -1) * rules.worth(params, cards))
  const first = alone(worth)
  if (first !== null) sink?.({ kind: 'took', player: first, cards: turned.flat() })
  const won = first === null ? state.won : replaced(state.won, first, state.won[first] + 1 + waiting)
  const done = state.done + 1
  const ended = done >= rules.rounds(params)
  const waits = first === null ? waiting + 1 : 0
  return { params, players, turn: 0, ended, winner: alone(won), turned, waiting: waits, won, done, sign }
}

/** Where the largest stands, if it stands alone. */
function alone(values: readonly number[]): number | null {
  const most = Math.max(...values)
  const first = values.indexOf(most)
  return values.lastIndexOf(most) === first ? first : null
}

/** A row for each child, where its cards are turned and those it won lie, and one for cards that wait. */
export const compareSpots = (players: number, size: readonly [number, number]): Layout =>
  stacked(
    6,
    ...range(0, players - 1).map((player) =>
      beside(
        10,
        place(`open-${player}`, size, { owner: player, shape: 'square', tone: 'quiet' }),
        place(`won-${player}`, [28, 34], { owner: player, label: 'won' }),
      ),
    ),
    place('waiting', [28, 34], { label: 'waiting' }),
  )

/** Cards won, and cards that wait for the next round. */
export const pilesOf = (
  kind: ThingKind,
  players: number,
  waiting: number,
  won: readonly number[],
): SceneThing[] => [
  ...heap('waiting', kind, 'waiting', players * waiting),
  ...won.flatMap((rounds, player) => heap(`won-${player}`, kind, `won-${player}`, players * rounds, player)),
]
