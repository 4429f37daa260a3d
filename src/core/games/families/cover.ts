import type { Chance } from '../../chance/chance'
import { anyMove, nextTurn, type Engine, type GameState, type Sink } from '../game'

export interface CoverState<P> extends GameState {
  params: P
  /** For each board, which spaces are covered. One board a player, or one for all. */
  boards: readonly (readonly boolean[])[]
  thrown: readonly number[]
}

interface CoverView<P> {
  params: P
  covered: readonly boolean[]
  thrown: readonly number[]
}

interface CoverRules<P> {
  spaces: (params: P) => number
  /** Spaces to be covered; as many as there are where left out. */
  enough?: (params: P) => number
  /** A board for each player, or one for all. */
  own: boolean
  /** Spaces that match are as good as each other: the first open one is taken. */
  firstOpen?: boolean
  throw: (params: P, chance: Chance, player: number, sink?: Sink) => readonly number[]
  /** Spaces, by index, that this throw may cover if they are open. */
  matching: (params: P, thrown: readonly number[]) => readonly number[]
  cover: (params: P, space: number, thrown: readonly number[], player: number, sink: Sink) => void
  planner?: (view: CoverView<P>, moves: readonly number[], chance: Chance) => number
  key?: (state: CoverState<P>) => string
}

/** Spaces to cover: what matches the throw and is still open may be covered; nothing open: a dead go. */
export function covering<P>(rules: CoverRules<P>): Engine<P, CoverState<P>, number, CoverView<P>> {
  const boardOf = (player: number) => (rules.own ? player : 0)
  return {
    setup(params, players) {
      const empty = Array<boolean>(rules.spaces(params)).fill(false)
      return {
        params,
        players,
        turn: 0,
        ended: false,
        boards: Array<readonly boolean[]>(rules.own ? players : 1).fill(empty),
        thrown: [],
      }
    },
    roll: (state, chance, sink) => ({
      ...state,
      thrown: rules.throw(state.params, chance, state.turn, sink),
    }),
    moves(state) {
      const board = state.boards[boardOf(state.turn)]
      const open = rules.matching(state.params, state.thrown).filter((space) => !board[space])
      return rules.firstOpen ? open.slice(0, 1) : open
    },
    play(state, move, sink) {
      const { params, thrown, turn } = state
      if (move === null) return { ...state, thrown: [], turn: nextTurn(state) }
      if (sink) rules.cover(params, move, thrown, turn, sink)
      const at = boardOf(turn)
      const board = state.boards[at].with(move, true)
      const enough = rules.enough?.(params) ?? board.length
      let covered = 0
      for (const space of board) if (space) covered++
      return {
        ...state,
        thrown: [],
        boards: state.boards.with(at, board),
        ended: covered >= enough,
        turn: nextTurn(state),
      }
    },
    view: (state, player) => ({
      params: state.params,
      covered: state.boards[boardOf(player)],
      thrown: state.thrown,
    }),
    choose: { novice: anyMove, planner: rules.planner ?? anyMove },
    key: rules.key ?? (({ boards }) => boards.map((board) => board.map(Number).join('')).join('|')),
  }
}
