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
      const limits = {
        ...problem.limits,
        groups,
        locked: {},
        adultNear: [],
        current: null,
        moveCost: 0,
        milliseconds: 40,
      }
      return { groups: count, fitting: makeGroups({ ...problem, limits }).fitting }
    })
}

/** Prices on a move, from dear to cheap: the dearer, the fewer moves. */
export const movePrices = [2, 1, 0.5, 0.25, 0.1, 0.04]

/**
 * Regroupings from the present groups with fewer and fewer moves, from a price on each move that
 * rises: every one is the best found for its price, so no other does better with as few moves. Yields
 * after every price, so that a worker can tell how far it is and be stopped.
 */
export function* regroup(problem: GroupingProblem): Generator<Grouping[], Grouping[]> {
  const found = new Map<number, Grouping>()
  const inOrder = () => [...found.values()].sort((a, b) => a.moved.length - b.moved.length)
  for (const moveCost of movePrices) {
    const made = makeGroups({ ...problem, limits: { ...problem.limits, moveCost, milliseconds: 120 } })
    const known = found.get(made.moved.length)
    if (!known || made.cost - moveCost * made.moved.length < known.cost)
      found.set(made.moved.length, { ...made, cost: made.cost - moveCost * made.moved.length })
    yield inOrder()
  }
  return inOrder()
}
