import { makeGroups } from './group'
import type { Grouping, GroupingProblem } from './problem'

/** Children in their zone against the number of groups; counts that the sizes can't make are left out. */
export function fitByNumberOfGroups(
  problem: GroupingProblem,
  counts: readonly number[],
): { groups: number; fitting: number }[] {
  const n = problem.children.length
  return counts
    .filter((count) => count <= n)
    .map((count) => {
      const groups = { count, min: Math.max(1, Math.floor(n / count) - 2), max: Math.ceil(n / count) + 2 }
      const limits = { ...problem.limits, groups, locked: {}, current: null, moveCost: 0, milliseconds: 40 }
      return { groups: count, fitting: makeGroups({ ...problem, limits }).fitting }
    })
}

/**
 * Regroupings from the present groups with fewer and fewer moves, from a price on each move that
 * rises: every one is the best found for its price, so no other does better with as few moves.
 */
export function fitByMoves(
  problem: GroupingProblem,
  prices: readonly number[] = [2, 1, 0.5, 0.25, 0.1, 0.04],
): Grouping[] {
  const found = new Map<number, Grouping>()
  for (const moveCost of prices) {
    const made = makeGroups({ ...problem, limits: { ...problem.limits, moveCost, milliseconds: 120 } })
    const known = found.get(made.moved.length)
    if (!known || made.cost - moveCost * made.moved.length < known.cost) {
      found.set(made.moved.length, { ...made, cost: made.cost - moveCost * made.moved.length })
    }
  }
  return [...found.values()].sort((a, b) => a.moved.length - b.moved.length)
}
