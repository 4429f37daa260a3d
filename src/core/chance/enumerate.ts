import type { Chance } from './chance'

/** One way a random procedure can turn out, with its probability. */
export interface Branch<T> {
  probability: number
  result: T
}

/**
 * Every way `procedure` can turn out, found by running it once per branch of its random decisions.
 *
 * The procedure must be pure but for the chance it is handed. Because it is the same code that is
 * simulated and played, an exact analysis needs no second copy of a game's rules.
 *
 * @returns one entry a branch; probabilities sum to 1. Equal results are not merged. Null if there
 * are more than `limit` branches.
 */
export function enumerate<T>(procedure: (chance: Chance) => T): Branch<T>[]
export function enumerate<T>(procedure: (chance: Chance) => T, limit: number): Branch<T>[] | null
export function enumerate<T>(procedure: (chance: Chance) => T, limit = Infinity): Branch<T>[] | null {
  const branches: Branch<T>[] = []
  const script: { pick: number; size: number }[] = []
  do {
    if (branches.length >= limit) return null
    let depth = 0
    let probability = 1
    const chance: Chance = {
      int(low, high) {
        if (depth === script.length) script.push({ pick: 0, size: high - low + 1 })
        const decision = script[depth++]
        probability /= decision.size
        return low + decision.pick
      },
    }
    const result = procedure(chance)
    branches.push({ probability, result })
  } while (advance(script))
  return branches
}

/** Moves the script to the next untried branch; false when all have been tried. */
function advance(script: { pick: number; size: number }[]): boolean {
  while (script.length > 0) {
    const last = script[script.length - 1]
    last.pick++
    if (last.pick < last.size) return true
    script.pop()
  }
  return false
}
