import type { z } from 'zod'
import type { Chance } from '../../chance/chance'
import type { PracticeItem, StepPlace } from '../../skills'
import type { GameEvent } from './events'
import type { Table } from '../../table'
import type { Material } from './material'

/** Where events of a go are sent; left out when only the outcome counts. */
export type Sink = (event: GameEvent) => void

interface Level<P> {
  id: string
  title: string
  /** The largest number a child meets at this level. */
  to: number
  /** Things, pictures of them, part of them hidden, or numerals alone: met in that order. */
  shown: 'objects' | 'pictures' | 'hidden' | 'numerals'
  params: P
}

/** A change of a rule that a teacher could make; advice tries each and compares the figures. */
export interface Variant<P> {
  change:
    | 'let-passing-count'
    | 'bounce-back'
    | 'one-die-near-goal'
    | 'use-neighbour'
    | 'fewer-spaces'
    | 'fewer-hazards'
    | 'fewer-blanks'
    | 'fewer-cards'
    | 'fewer-rounds'
    | 'fewer-tokens'
    | 'shorter-track'
    | 'another-device'
  /** The number in the change, where there is one: spaces, cards, rounds, tokens, squares. */
  amount?: number
  params: P
}

/**
 * The rules of a game: pure, on states of plain data. Families make this half from a few functions.
 *
 * The busiest engines write the next state out field by field: in V8 that takes a tenth of the time of
 * a spread with changes, and simulation is little else than making states.
 */
export interface Engine<P, S extends GameState, M, V> {
  setup(params: P, players: number): S
  /** What chance decides at the start of a go. */
  roll(state: S, chance: Chance, sink?: Sink): S
  /** What the player whose go it is may do; none: a dead go. */
  moves(state: S): readonly M[]
  /**
   * A beginner's move, null where there is none: the one {@link anyMove} picks from `moves`, found
   * without listing them. Only where the list takes most of a go.
   */
  beginner?: (state: S, chance: Chance) => M | null
  /** Carries a move out and passes the turn on; `null` where there was no move. */
  play(state: S, move: M | null, sink?: Sink): S
  /** What the player can see: no hidden cards, no random state. */
  view(state: S, player: number): V
  /** How a thoughtful child picks among several moves; left out: as a beginner does, any. */
  planner?: (view: V, moves: readonly M[], chance: Chance) => M
  /**
   * Equal for states that go on alike: what an exact analysis lumps together. Left out where there are
   * too many states for one: then the game is simulated.
   */
  lumpKey?: (state: S, choice: Choice) => string
  /**
   * A state between goes with what chance has fixed and nobody has seen forgotten, so that it is drawn
   * anew: for an exact analysis, where it has the same law.
   */
  forget?: (state: S) => S
  /** True where working out the best move takes longer than a screen can wait. */
  thinksLong?: (params: P) => boolean
  /** True where the states are too many for a chain to be tried. */
  tooMany?: (params: P) => boolean
  /** True where a go may be followed by another of the same player: then a race is no product of tracks. */
  throwsAgain?: (params: P) => boolean
  /** Set where every go has the law of the first one. */
  sameLawEachGo?: (params: P) => SameLawEachGo
}

/**
 * Goes that are all of one law: cards turned one by one from a shuffled pack are exchangeable, so no
 * pack needs to be enumerated.
 */
export interface SameLawEachGo {
  /** Goes of a whole game; null: until the time is up. */
  goes: number | null
  /** Cards not put back until the pack is through; null: every go stands by itself. */
  pack: number | null
}

/** A game as a value: rules, levels, what it needs, and what adults read. */
export interface Game<P = unknown, S extends GameState = GameState, M = unknown, V = unknown> extends Engine<
  P,
  S,
  M,
  V
> {
  id: string
  title: string
  /** One sentence for a teacher who does not know the game. */
  summary: string
  section: Section
  params: z.ZodType<P>
  /** About from easy to hard. */
  levels: readonly Level<P>[]
  /** Id of the level that is set out and shown where none was chosen; left out: the first. */
  usual?: string
  players: { min: number; max: number; typical: number }
  /** How goes run: in turn; one call and all act; each on an own board at once. */
  goes: 'alternate' | 'call' | 'parallel'
  /**
   * `race`: each on an own track, the first to the end wins. `shared`: one board that all fill.
   * `rounds`: each plays an own round to its end. `contest`: what one does changes what others can do.
   */
  interaction: 'race' | 'shared' | 'rounds' | 'contest'
  /** What each player has at the end, where most wins; null: at these settings all win together. Left out: there is one winner. */
  scores?: (state: S) => readonly number[] | null
  /** At these settings somebody wins, though all fill one board: who that is, only games that are played can tell. */
  contested?: (params: P) => boolean
  /**
   * Kinds of items the game is for, where it is played at these settings: what it is marked by. Left out: all but
   * reading numbers, which comes with every game.
   */
  focus?: (params: P) => readonly PracticeItem['op'][]
  /** The step, or an item of the step, it is marked by where the shares of its items don't tell: null where they do. */
  marked?: (params: P) => StepPlace | PracticeItem | null
  /** Figures that only this game has, by name. */
  figures?: (params: P, players: number) => Record<string, unknown>
  variants(params: P): readonly Variant<P>[]
  materials(params: P): readonly Material[]
  /** What lies on the table: screens, pictures and paper are made from it. */
  table: Table<P, S, M>
  room: Room
}

/** The chapters of the catalogue. */
type Section = 'tracks' | 'collect' | 'lines' | 'order' | 'explain'

/** What a game asks of the room. */
interface Room {
  noise: 0 | 1 | 2 | 3
  floor: 0 | 1 | 2 | 3
  where: 'table' | 'carpet' | 'floor'
  /** An adult must be there. */
  adult: boolean
  alone: boolean
  together: boolean
  win: boolean
  /** Made for a whole group or class at once. */
  whole?: boolean
  /** Against the clock: not offered below Year 2. */
  timed?: boolean
}

export interface GameState {
  players: number
  /** Whose go it is, from 0. */
  turn: number
  ended: boolean
  /** Who won alone, in a contest; null: nobody did, and who shares it hangs on the scores; left out: whoever had the last go. */
  winner?: number | null
  /** The go is not over: the same player chooses again. */
  more?: boolean
}

export type Choice = 'novice' | 'planner'

/** Keeps a game's types together while the catalogue holds games of every kind. */
export function defineGame<P, S extends GameState, M, V>(game: Game<P, S, M, V>): Game<P, S, M, V> {
  return game
}

/** A level in one line. */
export function levelOf<P>(
  id: string,
  title: string,
  to: number,
  shown: Level<P>['shown'],
  params: P,
): Level<P> {
  return { id, title, to, shown, params }
}

/** A quiet game at a table, alone or together, for nobody's win: most differ from this in a word or two. */
export const quietTable: Room = {
  noise: 1,
  floor: 0,
  where: 'table',
  adult: false,
  alone: true,
  together: true,
  win: false,
}

/** A beginner's choice: any legal move, each as likely. */
export function anyMove<M>(moves: readonly M[], chance: Chance): M {
  return moves.length === 1 ? moves[0] : moves[chance.int(0, moves.length - 1)]
}

/** The move that scores most; of equals the first. */
export function bestOf<M>(moves: readonly M[], score: (move: M) => number): M {
  let best = moves[0]
  let most = score(best)
  for (let i = 1; i < moves.length; i++) {
    const own = score(moves[i])
    if (own > most) {
      best = moves[i]
      most = own
    }
  }
  return best
}

/**
 * The list with another value at one place. `Array.prototype.with` does the same, twenty times slower on
 * lists made by `fill` (V8 of Node 20).
 */
export function replaced<T>(list: readonly T[], at: number, value: T): readonly T[] {
  const copy = list.slice()
  copy[at] = value
  return copy
}

/** Who stands highest: one, or several who share it. */
export function leaders(scores: readonly number[]): number[] {
  const most = Math.max(...scores)
  return scores.flatMap((score, player) => (score === most ? [player] : []))
}

/** How many of these each player owns. `owners`: a player for each, negative: nobody. */
export function ownedBy(owners: readonly number[], players: number): number[] {
  const owned = Array.from({ length: players }, () => 0)
  for (const owner of owners) if (owner >= 0) owned[owner]++
  return owned
}

/**
 * Who has won a game that is over; several share a win, and all have won what all did together. Empty: nobody has.
 * @param last who had the last go
 */
export function winnersOf<P, S extends GameState, M, V>(
  game: Pick<Game<P, S, M, V>, 'room' | 'scores'>,
  state: S,
  last: number,
): number[] {
  const all = Array.from({ length: state.players }, (_, player) => player)
  const scores = game.scores?.(state)
  if (scores) return leaders(scores)
  if (scores === null || !game.room.win) return all
  if (typeof state.winner === 'number') return [state.winner]
  return state.winner === undefined ? [last] : []
}

/** Who owns most of these; null if several do. `owners`: a player for each, negative: nobody. */
export function mostOwned(owners: readonly number[], players: number): number | null {
  const first = leaders(ownedBy(owners, players))
  return first.length === 1 ? first[0] : null
}

/** Whose go comes next. */
export const nextTurn = ({ turn, players }: GameState) => (turn + 1) % players

/**
 * One go: one use of the device. Where a call serves all, every player acts on it.
 * Sends, beside the engine's own events, who chose among several moves, who had to wait, that the go is handed over, and the end.
 */
export function playGo<P, S extends GameState, M, V>(
  game: Game<P, S, M, V>,
  state: S,
  choice: Choice,
  chance: Chance,
  sink?: Sink,
): S {
  const player = state.turn
  let now = game.roll(state, chance, sink)
  if (game.goes === 'call')
    for (let i = 0; i < state.players && !now.ended; i++) now = act(game, now, choice, chance, sink)
  else
    do now = act(game, now, choice, chance, sink)
    while (now.more && !now.ended)
  if (sink) {
    sink({ kind: 'handed-over', player })
    if (now.ended) sink({ kind: 'ended', player: now.winner === undefined ? player : now.winner })
  }
  return now
}

function act<P, S extends GameState, M, V>(
  game: Game<P, S, M, V>,
  state: S,
  choice: Choice,
  chance: Chance,
  sink?: Sink,
): S {
  if (choice === 'novice' && game.beginner) {
    const move = game.beginner(state, chance)
    sink?.({ kind: move === null ? 'waited' : 'chose', player: state.turn })
    return game.play(state, move, sink)
  }
  const moves = game.moves(state)
  if (moves.length === 0) {
    sink?.({ kind: 'waited', player: state.turn })
    return game.play(state, null, sink)
  }
  if (moves.length > 1) sink?.({ kind: 'chose', player: state.turn })
  if (choice === 'novice' || !game.planner || moves.length === 1)
    return game.play(state, anyMove(moves, chance), sink)
  return game.play(state, game.planner(game.view(state, state.turn), moves, chance), sink)
}
