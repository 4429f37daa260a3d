import type { Chance, Matters } from './chance'

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
  const script: Decision[] = []
  let depth = 0
  let probability = 1
  const pickOf = (size: number) => {
    if (depth === script.length) script.push({ pick: 0, size })
    return script[depth++].pick
  }
  const chance: Chance = {
    int(low, high) {
      probability /= high - low + 1
      return low + pickOf(high - low + 1)
    },
    several(count, low, high, matters) {
      const ways = combinations(count, low, high, matters)
      const way = ways[pickOf(ways.length)]
      probability *= way.probability
      return way.result
    },
  }
  do {
    if (branches.length >= limit) return null
    depth = 0
    probability = 1
    const result = procedure(chance)
    branches.push({ probability, result })
  } while (advance(script))
  return branches
}

interface Decision {
  pick: number
  size: number
}

const combinationsKnown = new Map<string, readonly Branch<readonly number[]>[]>()

/**
 * Combinations of `count` independent uniform numbers, ascending, each with its multinomial probability;
 * where only the total matters, the first that has it for all that have.
 */
function combinations(
  count: number,
  low: number,
  high: number,
  matters: Matters,
): readonly Branch<readonly number[]>[] {
  const key = `${count} ${low} ${high} ${matters}`
  const known = combinationsKnown.get(key)
  if (known) return known
  const found: Branch<readonly number[]>[] = []
  const extend = (result: readonly number[], probability: number, from: number) => {
    if (result.length === count) return void found.push({ probability, result })
    for (let number = from; number <= high; number++) {
      const same = result.reduce((times, other) => times + Number(other === number), 1)
      // Orders of the numbers so far: the (n+1)-th to be placed, over how many there are of its kind.
      const orders = (result.length + 1) / same
      extend([...result, number], (probability * orders) / (high - low + 1), number)
    }
  }
  extend([], 1, low)
  const ways = matters === 'total' ? byTotal(found) : found
  combinationsKnown.set(key, ways)
  return ways
}

function byTotal(combinations: readonly Branch<readonly number[]>[]): Branch<readonly number[]>[] {
  const totals = new Map<number, Branch<readonly number[]>>()
  for (const { probability, result } of combinations) {
    const total = result.reduce((sum, number) => sum + number, 0)
    const same = totals.get(total)
    if (same) same.probability += probability
    else totals.set(total, { probability, result })
  }
  return [...totals.values()]
}

/** Moves the script to the next untried branch; false when all have been tried. */
function advance(script: Decision[]): boolean {
  while (script.length > 0) {
    const last = script[script.length - 1]
    last.pick++
    if (last.pick < last.size) return true
    script.pop()
  }
  return false
}
