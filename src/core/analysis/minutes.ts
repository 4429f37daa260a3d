import { added, certainly, convolve, summed, type Distribution } from '../chance/distribution'
import type { GoChain } from './go-chain'

/** Probability of the longest games left out of a law of seconds. */
const TAIL = 1e-9
/** Multiplications beyond which a law of seconds is left to simulation: a third of a second. */
const MOST_WORK = 1e8

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
  // Not by spreading: there are more branches than a call takes arguments.
  const slowest = seconds.reduce((most, own) => Math.max(most, own), 0)
  // The seconds to come, one after the other in a ring: place `second · states + state`.
  const length = slowest + 1
  const ring = new Float64Array(length * states)
  ring.set(initial)
  const ends: number[] = []
  let unended = 1
  let work = 0
  for (let second = 0; unended > TAIL; second++) {
    const now = second % length
    ends[second] ??= 0
    for (let state = 0; state < states; state++) {
      const mass = ring[now * states + state]
      if (mass < 1e-16) continue
      work += start[state + 1] - start[state]
      for (let branch = start[state]; branch < start[state + 1]; branch++) {
        const moved = mass * probability[branch]
        if (next[branch] >= 0) {
          const then = now + seconds[branch]
          ring[(then < length ? then : then - length) * states + next[branch]] += moved
        } else {
          const at = second + seconds[branch]
          ends[at] = (ends[at] ?? 0) + moved
          unended -= moved
        }
      }
    }
    ring.fill(0, now * states, (now + 1) * states)
    if (work > MOST_WORK) return null
  }
  return { from: 0, mass: Float64Array.from(ends, (mass) => mass ?? 0) }
}

/**
 * A race: a player who ends at own go t has A_t(s), one still under way after t goes B_t(s). The
 * game that player j ends at go t lasts A_t ∗ B_t^(j−1) ∗ B_{t−1}^(n−j), in all A_t ∗ othersBeside(B_{t−1}, B_t).
 */
function race(chain: GoChain, racers: number, seconds: Int32Array): Distribution | null {
  const fresh = () => Array.from({ length: chain.states + 1 }, () => new Law())
  let before = fresh()
  let after = fresh()
  let underWay = new Law()
  let now = new Law()
  underWay.set(0, 1)
  chain.initial.forEach((mass, state) => mass > 0 && before[state].set(0, mass))
  const total: number[] = []
  let work = 0
  for (;;) {
    for (const law of after) law.clear()
    for (let state = 0; state < chain.states; state++) {
      const law = before[state]
      if (law.length === 0) continue
      for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++) {
        const next = chain.next[branch] < 0 ? chain.states : chain.next[branch]
        after[next].add(law, seconds[branch], chain.probability[branch])
      }
      work += law.length * (chain.start[state + 1] - chain.start[state])
    }
    now.clear()
    for (const law of after) law.trim()
    for (let state = 0; state < chain.states; state++) now.add(after[state], 0, 1)
    now.trim()
    const finished = after[chain.states]
    if (finished.length > 0) {
      const others = othersBeside(underWay.read(), now.read(), racers - 1)
      work += finished.length * others.mass.length
      const { from, mass } = convolve(finished.read(), others)
      for (let i = 0; i < mass.length; i++) total[from + i] = (total[from + i] ?? 0) + mass[i]
    }
    const left = summed(now.read().mass)
    if (left ** racers < TAIL) return { from: 0, mass: Float64Array.from(total, (mass) => mass ?? 0) }
    if (work > MOST_WORK) return null
    ;[underWay, now] = [now, underWay]
    ;[before, after] = [after, before]
  }
}

/** Σ over j = 0 … n of later^j ∗ before^(n−j): the others' seconds, j of them having had the go already. */
function othersBeside(before: Distribution, later: Distribution, n: number): Distribution {
  let sum = certainly(0)
  let allLater = certainly(0)
  for (let others = 0; others < n; others++) {
    allLater = convolve(allLater, later)
    sum = added(convolve(sum, before), allLater)
  }
  return sum
}

/** Less than this at the ends of a law is let go, so that later steps stay short. */
const TOO_LITTLE = 1e-14

/** A law of seconds as it is gathered, in an array that is used again from step to step. */
class Law {
  private mass = new Float64Array(16)
  /** Seconds that the first place of the array stands for, and the places in use. */
  private from = 0
  private low = 0
  private high = 0

  get length() {
    return this.high - this.low
  }

  clear() {
    // Mostly a place or two: quicker than a call of `fill`.
    for (let i = this.low; i < this.high; i++) this.mass[i] = 0
    this.low = this.high = 0
  }

  set(seconds: number, probability: number) {
    this.clear()
    this.reach(seconds, seconds + 1)
    this.mass[this.low] = probability
  }

  /** Adds another law, `shift` seconds later and times `probability`. */
  add(other: Law, shift: number, probability: number) {
    const { low, high, mass } = other
    if (low === high) return
    const from = other.from + low + shift
    let at = from - this.from
    if (at < this.low || at + high - low > this.high || this.low === this.high) {
      this.reach(from, from + high - low)
      at = from - this.from
    }
    for (let i = low; i < high; i++) this.mass[at++] += mass[i] * probability
  }

  /** The law, in place: good until the next change. */
  read(): Distribution {
    return { from: this.from + this.low, mass: this.mass.subarray(this.low, this.high) }
  }

  trim() {
    while (this.high > this.low && this.mass[this.high - 1] < TOO_LITTLE) this.mass[--this.high] = 0
    while (this.low < this.high && this.mass[this.low] < TOO_LITTLE) this.mass[this.low++] = 0
  }

  /** Makes room for the seconds `first … beyond − 1` beside those in use. */
  private reach(first: number, beyond: number) {
    if (this.length === 0) {
      this.from = first
      this.low = this.high = 0
    }
    const low = Math.min(first - this.from, this.low)
    const high = Math.max(beyond - this.from, this.high)
    if (low < 0 || high > this.mass.length) {
      const room = Math.ceil((high - low) / 2)
      const wider = new Float64Array(high - low + 2 * room)
      wider.set(this.mass.subarray(this.low, this.high), room + this.low - low)
      this.from += low - room
      this.mass = wider
      this.low = room
      this.high = room + high - low
    } else {
      this.low = low
      this.high = high
    }
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
