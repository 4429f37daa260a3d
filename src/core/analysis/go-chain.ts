import type { Chain } from '../chance/chain'
import { enumerate } from '../chance/enumerate'
import type { AnyGame, Choice, GameEvent, GameState } from '../games'
import { playGo } from '../games'
import type { PracticeItem } from '../skills'
import { GoClock, type GoTime, type Pace } from './pace'

/** What a go amounts to, apart from where it leads. */
export interface GoOutcome extends GoTime {
  items: readonly PracticeItem[]
}

/** The go-by-go chain of a game with `outcomes[branch]` beside the branches of the chain. */
export interface GoChain extends Chain {
  outcome: Int32Array
  outcomes: readonly GoOutcome[]
}

/** More ways for one go to turn out than this are simulated instead. */
const MOST_BRANCHES = 50_000
/** More ways than this over all states, and the chain is not tried any further: a second or two of work. */
const MOST_IN_ALL = 250_000

/** Every way one go can turn out from `state`; null if there are more than `limit` to go through. */
export function goBranches(
  game: AnyGame,
  state: GameState,
  choice: Choice,
  pace: Pace,
  limit = MOST_BRANCHES,
) {
  const clock = new GoClock(pace, game.goes, state.players)
  return enumerate((chance) => {
    const items: PracticeItem[] = []
    const next = playGo(game, state, choice, chance, (event: GameEvent) => {
      clock.hear(event)
      if (event.kind === 'answered') items.push(event.item)
    })
    const { seconds, active, dead } = clock.read()
    return { next, outcome: { seconds, active, dead, items } }
  }, limit)
}

/**
 * Explores a game from its set-up.
 * @returns the chain, or null if it has more than `limit` states, a go with too many ways to turn out, or more
 * than `mostInAll` of them over all states.
 */
export function buildGoChain(
  game: AnyGame,
  params: unknown,
  players: number,
  choice: Choice,
  pace: Pace,
  limit = 20_000,
  mostInAll = MOST_IN_ALL,
): GoChain | null {
  const key = game.lumpKey
  if (!key) return null
  const first = game.setup(params, players) as GameState
  const index = new Map([[key(first, choice), 0]])
  const states: GameState[] = [first]
  const outcomes = new Outcomes()
  const start: number[] = [0]
  const rows = { probability: [] as number[], next: [] as number[], outcome: [] as number[] }
  let left = mostInAll

  for (let at = 0; at < states.length; at++) {
    const branches = goBranches(game, states[at], choice, pace, Math.min(MOST_BRANCHES, left))
    if (!branches) return null
    left -= branches.length
    const merged = new Map<number, { probability: number; next: number; outcome: number }>()
    for (const { probability, result } of branches) {
      const next = result.next.ended ? -1 : place(key(result.next, choice), result.next)
      if (states.length > limit) return null
      const outcome = outcomes.place(result.outcome)
      const both = outcome * (limit + 2) + next
      const same = merged.get(both)
      if (same) same.probability += probability
      else merged.set(both, { probability, next, outcome })
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
    outcomes: outcomes.all,
  }

  function place(of: string, state: GameState): number {
    const found = index.get(of)
    if (found !== undefined) return found
    index.set(of, states.length)
    states.push(game.forget?.(state) ?? state)
    return states.length - 1
  }
}

/** The different outcomes met, each once: there are few of them beside the goes that lead to them. */
class Outcomes {
  readonly all: GoOutcome[] = []
  private readonly byHash = new Map<number, number[]>()

  /** Where an outcome equal to this one stands in `all`. */
  place(outcome: GoOutcome): number {
    const hash = hashOf(outcome)
    let alike = this.byHash.get(hash)
    if (!alike) this.byHash.set(hash, (alike = []))
    for (const index of alike) if (isSame(this.all[index], outcome)) return index
    alike.push(this.all.length)
    this.all.push(outcome)
    return this.all.length - 1
  }
}

function isSame(a: GoOutcome, b: GoOutcome): boolean {
  if (a.dead !== b.dead || a.active !== b.active || a.items.length !== b.items.length) return false
  for (let i = 0; i < a.items.length; i++) if (!isSameItem(a.items[i], b.items[i])) return false
  return true
}

/** A number that equal outcomes share and others seldom: of all their figures, in the order they come. */
function hashOf({ seconds, active, dead, items }: GoOutcome): number {
  let hash = mixed(mixed(mixed(17, seconds), active), dead ? 1 : 0)
  for (const item of items)
    for (const field in item) {
      const value = (item as unknown as Record<string, unknown>)[field]
      if (typeof value === 'number') hash = mixed(hash, value)
      else if (typeof value === 'string') hash = mixed(hash, value.length * 31 + value.charCodeAt(0))
    }
  return hash
}

/** One step of FNV-1a (Fowler, Noll & Vo 1991), with halves kept so that they tell as well. */
const mixed = (hash: number, value: number) => Math.imul(hash ^ (value * 2), 16777619)

/** Field by field: building a name for each of a million items would take most of the time. */
function isSameItem(a: PracticeItem & Record<string, unknown>, b: PracticeItem & Record<string, unknown>) {
  for (const field in a) if (a[field] !== b[field]) return false
  return true
}
