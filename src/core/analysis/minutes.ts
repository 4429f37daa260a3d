import { convolve, trimmed, type Distribution } from '../chance/distribution'
import type { GoChain } from './go-chain'

/** Probability of the longest games left out of a law of seconds. */
const TAIL = 1e-9
/** Multiplications beyond which a law of seconds is left to simulation: a tenth of a second. */
const MOST_WORK = 2e7

/**
 * The distribution of a whole game's seconds on a 1 s lattice, or null if that is too much work.
 * `racers` play independent tracks in turn until the first is through; 1: one board.
 */
export function lattice(chain: GoChain, racers: number): Distribution | null {
  const seconds = Int32Array.from(chain.outcome, (outcome) => chain.outcomes[outcome].seconds)
  return racers === 1 ? oneBoard(chain, seconds) : race(chain, racers, seconds)
}

/** One board: walks through the seconds, so that the number of goes needs no dimension of its own. */
function oneBoard(
  { states, initial, start, probability, next }: GoChain,
  seconds: Int32Array,
): Distribution | null {
  const slowest = Math.max(...seconds)
  const ring = Array.from({ length: slowest + 1 }, () => new Float64Array(states))
  ring[0].set(initial)
  const ends: number[] = []
  let unended = 1
  let work = 0
  for (let second = 0; unended > TAIL; second++) {
    const now = ring[second % ring.length]
    ends[second] ??= 0
    for (let state = 0; state < states; state++) {
      const mass = now[state]
      if (mass < 1e-16) continue
      work += start[state + 1] - start[state]
      for (let branch = start[state]; branch < start[state + 1]; branch++) {
        const at = second + seconds[branch]
        const moved = mass * probability[branch]
        if (next[branch] >= 0) ring[at % ring.length][next[branch]] += moved
        else {
          ends[at] = (ends[at] ?? 0) + moved
          unended -= moved
        }
      }
    }
    now.fill(0)
    if (work > MOST_WORK) return null
  }
  return { from: 0, mass: Float64Array.from(ends, (mass) => mass ?? 0) }
}

/**
 * A race: a player who ends at own go t has A_t(s), one still under way after t goes B_t(s). The
 * game that player j ends at go t lasts A_t ∗ B_t^(j−1) ∗ B_{t−1}^(n−j).
 */
function race(chain: GoChain, racers: number, seconds: Int32Array): Distribution | null {
  const nothing: Distribution = { from: 0, mass: new Float64Array(0) }
  let masses: Distribution[] = Array.from(chain.initial, (mass) =>
    mass > 0 ? { from: 0, mass: Float64Array.of(mass) } : nothing,
  )
  let underWay: Distribution = { from: 0, mass: Float64Array.of(1) }
  const total: number[] = []
  let work = 0
  for (;;) {
    const after = Array.from({ length: chain.states + 1 }, () => new Sum())
    for (let state = 0; state < chain.states; state++) {
      const { from, mass } = masses[state]
      if (mass.length === 0) continue
      for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++) {
        const next = chain.next[branch] < 0 ? chain.states : chain.next[branch]
        after[next].add(mass, from + seconds[branch], chain.probability[branch])
        work += mass.length
      }
    }
    const still = new Sum()
    masses = after.slice(0, -1).map((sum) => sum.trimmed())
    for (const { from, mass } of masses) still.add(mass, from, 1)
    const now = still.trimmed()
    const finished = after[chain.states].trimmed()
    for (let ahead = 0; ahead < racers && finished.mass.length > 0; ahead++) {
      let game = finished
      for (let other = 0; other < racers - 1 && game.mass.length > 0; other++) {
        const along = other < ahead ? now : underWay
        if (along.mass.length === 0) game = nothing
        else {
          work += game.mass.length * along.mass.length
          game = convolve(game, along)
        }
      }
      game.mass.forEach((p, i) => (total[game.from + i] = (total[game.from + i] ?? 0) + p))
    }
    underWay = now
    const left = now.mass.reduce((sum, p) => sum + p, 0)
    if (left ** racers < TAIL) return { from: 0, mass: Float64Array.from(total, (mass) => mass ?? 0) }
    if (work > MOST_WORK) return null
  }
}

/** A law of seconds as it is gathered, in an array that grows at both ends. */
class Sum {
  private from = 0
  private mass = new Float64Array(0)

  add(mass: Float64Array, from: number, probability: number) {
    if (mass.length === 0) return
    if (this.mass.length === 0) {
      this.from = from
      this.mass = new Float64Array(mass.length)
    } else if (from < this.from || from + mass.length > this.from + this.mass.length) {
      const low = Math.min(from, this.from)
      const wider = new Float64Array(Math.max(from + mass.length, this.from + this.mass.length) - low)
      wider.set(this.mass, this.from - low)
      this.from = low
      this.mass = wider
    }
    const shift = from - this.from
    for (let s = 0; s < mass.length; s++) this.mass[s + shift] += mass[s] * probability
  }

  /** Without what is too little to matter, so that later steps stay short. */
  trimmed(): Distribution {
    return trimmed({ from: this.from, mass: this.mass })
  }
}

/**
 * Seconds of `turn` cards turned from a pack without putting back, card i taking `seconds[i]`:
 * counts the subsets of that size by their sum.
 */
export function drawnSeconds(seconds: readonly number[], turn: number): Distribution {
  const most = [...seconds]
    .sort((a, b) => b - a)
    .slice(0, turn)
    .reduce((sum, s) => sum + s, 0)
  // ways[k][s]: subsets of k of the cards so far whose seconds sum to s.
  const ways = Array.from({ length: turn + 1 }, () => new Float64Array(most + 1))
  ways[0][0] = 1
  seconds.forEach((own, index) => {
    for (let k = Math.min(turn, index + 1); k >= 1; k--)
      for (let s = most; s >= own; s--) ways[k][s] += ways[k - 1][s - own]
  })
  const all = ways[turn].reduce((sum, count) => sum + count, 0)
  return { from: 0, mass: ways[turn].map((count) => count / all) }
}
