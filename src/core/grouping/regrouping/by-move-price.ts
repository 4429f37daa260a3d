import { fewMoves } from './few-moves'
import type { PresentGroup } from './arrangements'
import { makeGroups } from '../making/make-groups'
import type { Grouping, GroupingProblem } from '../problem/problem'

/** Prices on a move, from dear to cheap: the dearer, the fewer moves. */
const movePrices = [2, 1, 0.5, 0.25, 0.1, 0.04]

/** Moves that are tried out one by one. */
const fewest = 6

/** Regroupings found so far and how much of the search is done. */
export interface RegroupingSearch {
  found: Grouping[]
  done: number
}

/**
 * Regroupings from the present groups: the best of a few moves, tried out move by move, then those for a
 * price on each move that falls, every one the best found for its price, so that none does better with as few
 * moves. Yields now and then, so that a worker can tell how far it is and be stopped.
 * @throws {ContradictoryLimits}
 */
export function* regroup(
  problem: GroupingProblem,
  present: readonly PresentGroup[],
): Generator<RegroupingSearch, Grouping[]> {
  const all: Grouping[] = []
  const steps = fewest + movePrices.length
  let done = 0
  for (const few of fewMoves(problem, present, fewest)) {
    all.push(...few)
    yield { found: all, done: ++done / steps }
  }
  for (const moveCost of movePrices) {
    const made = makeGroups({ ...problem, limits: { ...problem.limits, moveCost, milliseconds: 120 } })
    all.push({ ...made, cost: made.cost - moveCost * made.moved.length })
    yield { found: all, done: ++done / steps }
  }
  return all
}

/** All of {@link regroup} at once. */
export function everyRegrouping(problem: GroupingProblem, present: readonly PresentGroup[]): Grouping[] {
  const search = regroup(problem, present)
  let step = search.next()
  while (!step.done) step = search.next()
  return step.value
}
