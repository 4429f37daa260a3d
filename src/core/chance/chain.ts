/**
 * An absorbing Markov chain whose steps carry a reward vector, in compressed rows.
 *
 * Row i holds branches `start[i] … start[i + 1] − 1`; `next` is a state or −1 for absorption.
 */
export interface Chain {
  states: number
  initial: Float64Array
  start: Int32Array
  probability: Float64Array
  next: Int32Array
}

/** What one step of the whole population did: read it before asking for the next. */
export interface Step {
  /** Number of the step, from 1. */
  time: number
  /** Probability of each state before the step; shape [states]. */
  before: Float64Array
  /** P(absorbed at exactly this step). */
  absorbed: number
  /** P(not absorbed after this step). */
  surviving: number
}

/** Probability of a state that is let go: thousands of steps of thousands of states stay below the tail. */
const NOTHING = 1e-22

/**
 * Powers of the transient part, one step at a time, until less than `tail` is left.
 * With the tail at 1e-13 means come out to about 1e-11 (Kemeny & Snell 1960, ch. 3, gives the same by inversion).
 */
export function* evolve(chain: Chain, tail = 1e-13, limit = 200_000): Generator<Step> {
  const { states, start, probability, next } = chain
  let before = Float64Array.from(chain.initial)
  let after = new Float64Array(states)
  for (let time = 1; time <= limit; time++) {
    after.fill(0)
    let absorbed = 0
    for (let state = 0; state < states; state++) {
      const mass = before[state]
      if (mass < NOTHING) continue
      for (let branch = start[state]; branch < start[state + 1]; branch++) {
        const moved = mass * probability[branch]
        const to = next[branch]
        if (to < 0) absorbed += moved
        else after[to] += moved
      }
    }
    let surviving = 0
    for (let state = 0; state < states; state++) surviving += after[state]
    yield { time, before, absorbed, surviving }
    if (surviving < tail) return
    ;[before, after] = [after, before]
  }
}

/** True if every state that can be reached can still be absorbed. */
export function alwaysEnds(chain: Chain): boolean {
  const reachable = reach(chain)
  const ends = new Uint8Array(chain.states)
  for (let changed = true; changed;) {
    changed = false
    for (let state = chain.states - 1; state >= 0; state--) {
      if (ends[state]) continue
      for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++) {
        if (chain.next[branch] < 0 || ends[chain.next[branch]]) {
          ends[state] = 1
          changed = true
          break
        }
      }
    }
  }
  return reachable.every((can, state) => !can || ends[state] === 1)
}

function reach(chain: Chain): Uint8Array {
  const seen = new Uint8Array(chain.states)
  const open: number[] = []
  chain.initial.forEach((mass, state) => {
    if (mass > 0) {
      seen[state] = 1
      open.push(state)
    }
  })
  while (open.length > 0) {
    const state = open.pop()!
    for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++) {
      const next = chain.next[branch]
      if (next >= 0 && !seen[next]) {
        seen[next] = 1
        open.push(next)
      }
    }
  }
  return seen
}
