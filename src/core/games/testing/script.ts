import type { Chance } from '../../chance/chance'
import { gameOf, playGo, usualLevel, type Choice, type GameEvent, type GameState } from '../index'

/** Chance that gives the numbers asked for, in order. @throws where a number can't come up, or none is left */
function scripted(...numbers: number[]): Chance {
  return {
    int(low, high) {
      const next = numbers.shift()
      if (next === undefined || next < low || next > high)
        throw new Error(`The script gives ${next} where ${low} to ${high} may come.`)
      return next
    },
  }
}

/** A game set up at a level, or with some of its rules changed. */
export function start(id: string, { level, players = 1, rules = {} }: Setup = {}): GameState & Anything {
  const game = gameOf(id)
  const { params } = game.levels.find((one) => one.id === level) ?? usualLevel(game)
  return game.setup(game.params.parse({ ...params, ...rules }), players)
}

interface Setup {
  level?: string
  players?: number
  rules?: object
}

// Tests look into states of every game.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Anything = Record<string, any>

/** One go with scripted chance: the state after it, its events, and what was answered and written. */
export function go(
  id: string,
  state: GameState,
  numbers: number[],
  choice: Choice = 'planner',
): { next: GameState & Anything; events: GameEvent[]; kinds: string[]; items: object[]; written: string[] } {
  const events: GameEvent[] = []
  const next = playGo(gameOf(id), state, choice, scripted(...numbers), (event) => events.push(event))
  return {
    next,
    events,
    kinds: events.map(({ kind }) => kind),
    items: events.flatMap((event) => (event.kind === 'answered' ? [event.item] : [])),
    written: events.flatMap((event) => (event.kind === 'wrote' ? [event.text] : [])),
  }
}

/** A go in which a given move is made, whatever a planner would choose. */
export function make(id: string, state: GameState, move: unknown) {
  const events: GameEvent[] = []
  const next = gameOf(id).play(state, move, (event) => events.push(event)) as GameState & Anything
  return { next, events, kinds: events.map(({ kind }) => kind) }
}
