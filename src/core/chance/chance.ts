import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus'

/** The one source of randomness a rules engine may use, so that a game replays from its seed. */
export interface Chance {
  /** A whole number, each of `low … high` (both included) equally likely. */
  int(low: number, high: number): number
  /** Whole numbers in whatever order; left out: they are drawn one by one. See {@link inAnyOrder}. */
  several?(count: number, low: number, high: number, matters: Matters): readonly number[]
}

/** What of several numbers may matter: how often each came up, or no more than their total. */
export type Matters = 'numbers' | 'total'

/**
 * `count` independent whole numbers of `low … high`, in whatever order: an enumeration goes through the
 * 21 rolls of two dice then, or the 11 totals, not through 36.
 */
export function inAnyOrder(
  chance: Chance,
  count: number,
  low: number,
  high: number,
  matters: Matters = 'numbers',
): readonly number[] {
  if (chance.several) return chance.several(count, low, high, matters)
  const numbers: number[] = []
  for (let i = 0; i < count; i++) numbers.push(chance.int(low, high))
  return numbers
}

/** A chance whose state can be saved with a game and taken up again later. */
export interface SavedChance extends Chance {
  state(): readonly number[]
}

/**
 * Pseudo-random chance from a whole-number seed (xoroshiro128+). Its state is filled by {@link wordsFrom}: as it is, seeds
 * that follow each other begin with numbers that do so too.
 */
export function seededChance(seed: number): SavedChance {
  const next = wordsFrom(seed)
  return wrap(xoroshiro128plusFromState([next(), next(), next(), next()]))
}

/** Words of 32 bits, far apart for seeds that are near: a Weyl sequence, mixed by the finaliser of MurmurHash3 (SplitMix; Steele, Lea & Flood 2014; constants from memory). */
function wordsFrom(seed: number): () => number {
  let at = (seed ^ Math.floor(seed / 2 ** 32)) | 0
  return () => {
    at = (at + 0x9e3779b9) | 0
    let word = Math.imul(at ^ (at >>> 16), 0x85ebca6b)
    word = Math.imul(word ^ (word >>> 13), 0xc2b2ae35)
    return word ^ (word >>> 16)
  }
}

/** Goes on exactly where the chance stood that `state()` was read from. */
export function restoredChance(state: readonly number[]): SavedChance {
  return wrap(xoroshiro128plusFromState(state))
}

function wrap(generator: ReturnType<typeof xoroshiro128plusFromState>): SavedChance {
  return {
    int: (low, high) => uniformInt(generator, low, high),
    state: () => generator.getState(),
  }
}

/** Uniform in [0, 1) from 30 random bits: enough for simulated children, too coarse for cryptography. */
export function unit(chance: Chance): number {
  return chance.int(0, 2 ** 30 - 1) / 2 ** 30
}

/** A standard normal value by the polar method (Marsaglia & Bray 1964). */
export function normal(chance: Chance): number {
  for (;;) {
    const u = 2 * unit(chance) - 1
    const v = 2 * unit(chance) - 1
    const s = u * u + v * v
    if (s > 0 && s < 1) return u * Math.sqrt((-2 * Math.log(s)) / s)
  }
}

/** `count` of the items, drawn without putting back, in the order drawn. */
export function drawn<T>(items: readonly T[], count: number, chance: Chance): T[] {
  const left = [...items]
  const taken: T[] = []
  while (taken.length < count && left.length > 0) {
    const pick = chance.int(0, left.length - 1)
    taken.push(left[pick])
    left[pick] = left[left.length - 1]
    left.pop()
  }
  return taken
}

/** A new array in uniformly random order (Fisher–Yates). */
export function shuffled<T>(items: readonly T[], chance: Chance): T[] {
  const result = [...items]
  for (let last = result.length - 1; last > 0; last--) {
    const pick = chance.int(0, last)
    ;[result[last], result[pick]] = [result[pick], result[last]]
  }
  return result
}
