import type { Chain } from '../chance/chain'
import { enumerate } from '../chance/enumerate'
import type { AnyGame, Choice, GameEvent, GameState } from '../games'
import { playGo } from '../games'
import { itemKey, type PracticeItem } from '../skills'
import { goTime, type Pace } from './pace'

/** What a go amounts to, apart from where it leads. */
export interface GoOutcome {
  dead: boolean
  seconds: number
  active: number
  items: readonly PracticeItem[]
}

/** The go-by-go chain of a game with `outcomes[branch]` beside the branches of the chain. */
export interface GoChain extends Chain {
  outcome: Int32Array
  outcomes: readonly GoOutcome[]
}

/** A dead go: the player moved, covered or took nothing. A zero card is one, though its sum is said. */
export function outcomeOf(events: readonly GameEvent[], pace: Pace): GoOutcome {
  const acts = events.some(
    ({ kind, ...event }) =>
      kind === 'moved' ||
      kind === 'built' ||
      (kind === 'answered' && 'item' in event && event.item.op === 'missing'),
  )
  return {
    dead: !acts,
    ...goTime(events, pace),
    items: events.flatMap((event) => (event.kind === 'answered' ? [event.item] : [])),
  }
}

/** Every way one go can turn out from `state`. */
export function goBranches(game: AnyGame, state: GameState, choice: Choice, pace: Pace) {
  return enumerate((chance) => {
    const events: GameEvent[] = []
    const next = playGo(game, state, choice, chance, (event) => events.push(event))
    return { next, outcome: outcomeOf(events, pace) }
  })
}

/**
 * Explores a game played by one child (or by a set on one shared board) from its set-up.
 * @returns the chain, or null if it has more than `limit` states.
 */
export function buildGoChain(
  game: AnyGame,
  params: unknown,
  choice: Choice,
  pace: Pace,
  limit = 30_000,
): GoChain | null {
  const first = game.setup(params, 1)
  const index = new Map([[game.key(first), 0]])
  const states: GameState[] = [first]
  const outcomes: GoOutcome[] = []
  const outcomeIndex = new Map<string, number>()
  const start: number[] = [0]
  const rows = { probability: [] as number[], next: [] as number[], outcome: [] as number[] }

  for (let at = 0; at < states.length; at++) {
    const merged = new Map<string, { probability: number; next: number; outcome: number }>()
    for (const { probability, result } of goBranches(game, states[at], choice, pace)) {
      const next = result.next.ended ? -1 : place(game.key(result.next), result.next)
      if (states.length > limit) return null
      const outcome = known(result.outcome)
      const key = `${next}:${outcome}`
      const same = merged.get(key)
      if (same) same.probability += probability
      else merged.set(key, { probability, next, outcome })
    }
    for (const branch of merged.values()) {
      rows.probability.push(branch.probability)
      rows.next.push(branch.next)
      rows.outcome.push(branch.outcome)
    }
    start.push(rows.next.length)
  }

  const initial = new Float64Array(states.length)
  initial[0] = 1
  return {
    states: states.length,
    initial,
    start: Int32Array.from(start),
    probability: Float64Array.from(rows.probability),
    next: Int32Array.from(rows.next),
    outcome: Int32Array.from(rows.outcome),
    outcomes,
  }

  function place(key: string, state: GameState): number {
    const found = index.get(key)
    if (found !== undefined) return found
    index.set(key, states.length)
    states.push(state)
    return states.length - 1
  }

  function known(outcome: GoOutcome): number {
    const key = `${outcome.dead}:${outcome.seconds}:${outcome.active}:${outcome.items.map(itemKey).join(' ')}`
    const found = outcomeIndex.get(key)
    if (found !== undefined) return found
    outcomeIndex.set(key, outcomes.length)
    outcomes.push(outcome)
    return outcomes.length - 1
  }
}
