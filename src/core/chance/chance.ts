import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus, xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus'

/** The one source of randomness a rules engine may use, so that a game replays from its seed. */
export interface Chance {
  /** A whole number, each of `low … high` (both included) equally likely. */
  int(low: number, high: number): number
}

/** A chance whose state can be saved with a game and taken up again later. */
export interface SavedChance extends Chance {
  state(): readonly number[]
}

/** Pseudo-random chance from a whole-number seed (xoroshiro128+). */
export function seededChance(seed: number): SavedChance {
  return wrap(xoroshiro128plus(seed))
}

/** Goes on exactly where the chance stood that `state()` was read from. */
export function restoredChance(state: readonly number[]): SavedChance {
  return wrap(xoroshiro128plusFromState(state))
}

function wrap(generator: ReturnType<typeof xoroshiro128plus>): SavedChance {
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

/** A new array in uniformly random order (Fisher–Yates). */
export function shuffled<T>(items: readonly T[], chance: Chance): T[] {
  const result = [...items]
  for (let last = result.length - 1; last > 0; last--) {
    const pick = chance.int(0, last)
    ;[result[last], result[pick]] = [result[pick], result[last]]
  }
  return result
}
