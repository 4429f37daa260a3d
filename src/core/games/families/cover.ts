import type { Chance } from '../../chance/chance'
import type { SceneThing } from '../../table'
import type { ThingKind } from '../../things'
import { lie } from './on-table'
import { mostOwned, nextTurn, type Engine, type GameState, type Sink, replaced } from '../engine/game'

export interface CoverState<P> extends GameState {
  params: P
  /** For each board, which spaces are covered. One board a player, or one for all. */
  boards: readonly (readonly boolean[])[]
  /** Of one board in colours: who covered each space; −1: nobody. */
  owners?: readonly number[]
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
  /** One board for all, each covering in a colour: most spaces win. */
  colours?: (params: P) => boolean
  /** Spaces that match are as good as each other: the first open one is taken. */
  firstOpen?: boolean
  throw: (params: P, chance: Chance, player: number, sink?: Sink) => readonly number[]
  /** Spaces, by index, that this throw may cover if they are open. */
  matching: (params: P, thrown: readonly number[]) => readonly number[]
  cover: (params: P, space: number, thrown: readonly number[], player: number, sink: Sink) => void
  /** Nothing matches at all: who threw throws again. */
  again?: (params: P, thrown: readonly number[]) => boolean
  planner?: (view: CoverView<P>, moves: readonly number[], chance: Chance) => number
  key?: (state: CoverState<P>) => string
}

/** Character by character: a chain asks for it at every branch. */
function coveredKey({ boards }: { boards: readonly (readonly boolean[])[] }): string {
  let key = ''
  for (const board of boards) {
    for (const covered of board) key += covered ? '#' : '.'
    key += '|'
  }
  return key
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
        ...(rules.colours?.(params) ? { owners: empty.map(() => -1), winner: null } : {}),
        thrown: [],
      }
    },
    roll({ params, players, turn, ended, boards, owners, winner }, chance, sink) {
      const thrown = rules.throw(params, chance, turn, sink)
      const next = { params, players, turn, ended, boards, thrown }
      return owners ? { ...next, owners, winner } : next
    },
    moves(state) {
      const board = state.boards[boardOf(state.turn)]
      const matching = rules.matching(state.params, state.thrown)
      if (matching.length === 1) return board[matching[0]] ? [] : matching
      const open = matching.filter((space) => !board[space])
      return rules.firstOpen ? open.slice(0, 1) : open
    },
    play(state, move, sink) {
      const { params, players, turn: player, boards, thrown } = state
      const turn = nextTurn(state)
      if (move === null) {
        const next = rules.again?.(params, thrown) ? player : turn
        const waited = { params, players, turn: next, ended: false, boards, thrown }
        return state.owners ? { ...waited, owners: state.owners, winner: null } : waited
      }
      if (sink) rules.cover(params, move, thrown, player, sink)
      const at = boardOf(player)
      const board = replaced(boards[at], move, true)
      const enough = rules.enough?.(params) ?? board.length
      let covered = 0
      for (const space of board) if (space) covered++
      const ended = covered >= enough
      const next = { params, players, turn, ended, boards: replaced(boards, at, board), thrown }
      if (!state.owners) return next
      const owners = replaced(state.owners, move, player)
      return { ...next, owners, winner: ended ? mostOwned(owners, players) : null }
    },
    view: (state, player) => ({
      params: state.params,
      covered: state.boards[boardOf(player)],
      thrown: state.thrown,
    }),
    planner: rules.planner,
    lumpKey: rules.key ?? coveredKey,
  }
}

/** What covers the spaces of each child's board. */
export const coversOn = (
  boards: readonly (readonly boolean[])[],
  kind: ThingKind,
  spaceId: (player: number, space: number) => string,
): SceneThing[] =>
  boards.flatMap((board, player) =>
    board.flatMap((covered, space) =>
      covered ? [lie(`cover-${player}-${space}`, kind, spaceId(player, space), null, { owner: player })] : [],
    ),
  )
