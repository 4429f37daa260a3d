import type { z } from 'zod'
import type { Chance } from '../chance/chance'
import type { GameEvent } from './events'

/** Where events of a go are sent; left out when only the outcome counts. */
export type Sink = (event: GameEvent) => void

/** What the children of one set need: per set, whatever their number, and per player. */
export interface Material {
  item: string
  perPlayer?: number
  perSet?: number
  /** Small loose things get spares in the bag. */
  loose?: boolean
}

interface Level<P> {
  id: string
  title: string
  params: P
}

/** A change of a rule that a teacher could make; advice tries each and compares the figures. */
export interface Variant<P> {
  change:
    | 'let-passing-count'
    | 'bounce-back'
    | 'one-die-near-goal'
    | 'fewer-spaces'
    | 'use-neighbour'
    | 'fewer-cards'
  /** The number in the change, where there is one: spaces, cards. */
  amount?: number
  params: P
}

interface Misconception {
  seen: string
  ask: string
}

/**
 * A game as a value. The engine half is pure: a state is plain data, `roll` and `play` return a new
 * state and send their events to the sink, if there is one.
 */
export interface Game<P = unknown, S extends GameState = GameState, M = unknown, V = unknown> {
  id: string
  title: string
  /** One sentence for a teacher who does not know the game. */
  summary: string
  params: z.ZodType<P>
  levels: readonly Level<P>[]
  players: { min: number; max: number; typical: number }
  /** `race`: each on an own track, the first to the end wins. `shared`: one board that all fill. */
  interaction: 'race' | 'shared'
  /** How goes run; minutes and waiting follow from it. */
  goes: 'alternate'
  setup(params: P, players: number): S
  /** What chance decides at the start of a go. */
  roll(state: S, chance: Chance, sink?: Sink): S
  /** What the player whose go it is may do; none: a dead go. */
  moves(state: S): readonly M[]
  /** Carries a move out and passes the go on; `null` where there was no move. */
  play(state: S, move: M | null, sink?: Sink): S
  /** What the player can see: no hidden cards, no random state. */
  view(state: S, player: number): V
  /** How a beginner and a thoughtful child pick among several moves. */
  choose: Record<Choice, (view: V, moves: readonly M[], chance: Chance) => M>
  /** Equal for states that go on alike whoever's go it is: what an exact analysis lumps together. */
  key(state: S): string
  /**
   * Goes of a whole game, where that number is fixed and every go has the law of the first: cards
   * turned one by one from a shuffled pack are exchangeable, so no pack needs to be enumerated.
   */
  fixedGoes?: (params: P) => number
  variants(params: P): readonly Variant<P>[]
  materials(params: P): readonly Material[]
  texts: GameTexts
  room: {
    noise: 0 | 1 | 2 | 3
    floor: 0 | 1 | 2 | 3
    adult: boolean
    alone: boolean
    together: boolean
    win: boolean
  }
}

export interface GameState {
  players: number
  /** Whose go it is, from 0. */
  turn: number
  ended: boolean
}

export type Choice = 'novice' | 'planner'

/** What adults read: a game's own words. */
interface GameTexts {
  rules: readonly string[]
  lookFors: readonly string[]
  misconceptions: readonly Misconception[]
  talk: string
  cautions: readonly string[]
  homeVersion: string
  finishEarly: string
}

/** Keeps a game's types together while the catalogue holds games of every kind. */
export function defineGame<P, S extends GameState, M, V>(game: Game<P, S, M, V>): Game<P, S, M, V> {
  return game
}

/** A beginner's choice: any legal move, each as likely. */
export function anyMove<M>(_view: unknown, moves: readonly M[], chance: Chance): M {
  return moves.length === 1 ? moves[0] : moves[chance.int(0, moves.length - 1)]
}

/** One whole go of the player whose turn it is. */
export function playGo<P, S extends GameState, M, V>(
  game: Game<P, S, M, V>,
  state: S,
  choice: Choice,
  chance: Chance,
  sink?: Sink,
): S {
  const rolled = game.roll(state, chance, sink)
  const moves = game.moves(rolled)
  if (moves.length === 0) return game.play(rolled, null, sink)
  return game.play(rolled, game.choose[choice](game.view(rolled, rolled.turn), moves, chance), sink)
}
