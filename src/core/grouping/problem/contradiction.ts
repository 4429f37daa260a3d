import { feasibleGroups } from './feasible'
import type { GroupingProblem } from './problem'
import { ContradictoryLimits, unitsOf, type Clash, type Limit } from './units'

/** Sets of limits tried to be dropped have at most as many members. */
const mostDropped = 3

/** The limits of a problem, one by one; sizes last, for they are given up last. */
function limitsOf({ limits }: GroupingProblem): Limit[] {
  return [
    ...limits.apart.map((children): Limit => ({ kind: 'apart', children })),
    ...limits.together.map((children): Limit => ({ kind: 'together', children })),
    ...Object.entries(limits.locked).map(([child, group]): Limit => ({ kind: 'locked', child, group })),
    ...limits.adultNear.map((child): Limit => ({ kind: 'adult-near', child })),
    { kind: 'sizes', ...limits.groups },
  ]
}

/** True if groups within these limits alone are known to be impossible. */
function impossible(problem: GroupingProblem, kept: readonly Limit[]): boolean {
  const sizes = kept.find((limit) => limit.kind === 'sizes')
  const n = problem.children.length
  const groups = sizes ?? { count: problem.limits.groups.count, min: 0, max: n }
  const limits = {
    ...problem.limits,
    groups,
    together: kept.flatMap((limit) => (limit.kind === 'together' ? [limit.children] : [])),
    apart: kept.flatMap((limit) => (limit.kind === 'apart' ? [limit.children] : [])),
    adultNear: kept.flatMap((limit) => (limit.kind === 'adult-near' ? [limit.child] : [])),
    locked: Object.fromEntries(
      kept.flatMap((limit) => (limit.kind === 'locked' ? [[limit.child, limit.group]] : [])),
    ),
  }
  try {
    return feasibleGroups(unitsOf({ ...problem, limits }), groups) === null
  } catch (error) {
    if (error instanceof ContradictoryLimits) return true
    throw error
  }
}

/** Which limits of a problem clash, and the smallest set to drop; null if groups within them are possible. */
export function clashOf(problem: GroupingProblem): Clash | null {
  const all = limitsOf(problem)
  if (!impossible(problem, all)) return null
  // Deletion filter (Chinneck & Dravnieks 1991, ORSA Journal on Computing 3:157): what can go without
  // making groups possible is no part of the clash.
  let clash = all
  for (const limit of all) {
    const without = clash.filter((other) => other !== limit)
    if (impossible(problem, without)) clash = without
  }
  return { limits: clash, drop: fewestToDrop(problem, all, clash) }
}

function fewestToDrop(problem: GroupingProblem, all: readonly Limit[], clash: readonly Limit[]): Limit[] {
  for (let size = 1; size <= mostDropped; size++)
    for (const dropped of choicesOf(all, size)) {
      // Whatever is dropped must break the clash that is known.
      if (!dropped.some((limit) => clash.includes(limit))) continue
      if (
        !impossible(
          problem,
          all.filter((limit) => !dropped.includes(limit)),
        )
      )
        return dropped
    }
  return [...clash]
}

/** Every choice of `size` of the limits, in their order. */
function* choicesOf(limits: readonly Limit[], size: number, from = 0): Generator<Limit[]> {
  if (size === 0) {
    yield []
    return
  }
  for (let i = from; i <= limits.length - size; i++)
    for (const rest of choicesOf(limits, size - 1, i + 1)) yield [limits[i], ...rest]
}
