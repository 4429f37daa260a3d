import type { Chance } from '../../chance/chance'
import { nextTurn, noChoice, type Engine, type GameState, type Sink } from '../game'

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
  cards: (params: P, chance: Chance, player: number, sink?: Sink) => readonly number[]
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
    roll(state, chance, sink) {
      const turned = Array.from({ length: state.players }, (_, player) =>
        rules.cards(state.params, chance, player, sink),
      )
      return { ...state, turned, sign: rules.sign(state.params, chance, sink) }
    },
    moves: () => ['answer'],
    play(state, _move, sink) {
      const { params, turn: player, players } = state
      if (sink) rules.answer(params, state, player, sink)
      if (player < players - 1) return { ...state, turn: nextTurn(state) }
      return settle(rules, state, sink)
    },
    view: () => null,
    choose: noChoice,
    alike: (params) => ({ goes: rules.rounds(params), pack: null }),
  }
}

function settle<P>(rules: CompareRules<P>, state: CompareState<P>, sink?: Sink): CompareState<P> {
  const { params, turned, sign, waiting } = state
  const worth = turned.map((cards) => (sign === 1 ? 1 : -1) * rules.worth(params, cards))
  const best = Math.max(...worth)
  const first = worth.indexOf(best)
  const alone = worth.lastIndexOf(best) === first
  if (alone) sink?.({ kind: 'took', player: first, cards: turned.flat() })
  const won = alone ? state.won.with(first, state.won[first] + 1 + waiting) : state.won
  const done = state.done + 1
  const most = Math.max(...won)
  const winner = won.filter((count) => count === most).length === 1 ? won.indexOf(most) : null
  return {
    ...state,
    won,
    waiting: alone ? 0 : waiting + 1,
    done,
    ended: done >= rules.rounds(params),
    winner,
    turn: 0,
  }
}
