import type { GroupingProblem } from '../problem/problem'
import { cheapestLevel } from '../problem/problem'
import type { Units } from '../problem/units'
import { cheapestAssignment } from './assign'
import { brokenLink, costsAt, moveCosts, openToChildren } from './at-levels'

/** Assignments solved for each millisecond of the budget. */
const assignmentsPerMillisecond = 12

/**
 * Betters groups by their levels: at other levels of one group, then of two, the cheapest assignment of all children is a
 * flow, which moves any number of them at once; walks that move one or two get there only over dearer groupings. One
 * that breaks a link between children is passed over.
 * @returns the same grouping where none is found
 */
export function betterLevels(
  problem: GroupingProblem,
  units: Units,
  from: { group: Int32Array; cost: number },
): { group: Int32Array; cost: number } {
  const { limits, levels } = problem
  const { count, min, max } = limits.groups
  const moves = moveCosts(problem)
  const masks = openToChildren(units, problem.children.length)
  let left = Math.round(limits.milliseconds * assignmentsPerMillisecond)
  let best = from
  let chosen = levelsOf(best.group)

  function levelsOf(group: Int32Array): number[] {
    return Array.from(
      { length: count },
      (_, g) =>
        cheapestLevel(
          problem,
          units.members.flatMap((members, unit) => (group[unit] === g ? members : [])),
        ).level,
    )
  }

  /** True if the cheapest assignment at these levels is a better grouping. */
  function better(tried: readonly number[]): boolean {
    if (left-- <= 0) return false
    const cost = costsAt(problem, moves, tried)
    if (cheapestAnywhere(cost, masks, count) >= best.cost - 1e-9) return false
    const found = cheapestAssignment(cost, masks, count, { min, max })
    if (!found || found.cost >= best.cost - 1e-9 || brokenLink(found.group, units)) return false
    best = {
      group: Int32Array.from(units.members, ([child]) => found.group[child]),
      cost: found.cost,
    }
    chosen = levelsOf(best.group)
    return true
  }

  const others = (g: number) => levels.map((_, level) => level).filter((level) => level !== chosen[g])
  const withLevels = (...changes: [number, number][]) => {
    const tried = chosen.slice()
    for (const [g, level] of changes) tried[g] = level
    return tried
  }
  const all = Array.from({ length: count }, (_, g) => g)
  const oneOther = () => all.some((g) => others(g).some((level) => better(withLevels([g, level]))))
  const twoOthers = () =>
    all.some((a) =>
      all
        .slice(a + 1)
        .some((b) =>
          others(a).some((atA) => others(b).some((atB) => better(withLevels([a, atA], [b, atB])))),
        ),
    )
  while (left > 0 && (oneOther() || twoOthers()));
  return best
}

/** What it costs if every child stands where it costs least, however full that group is: no assignment costs less. */
function cheapestAnywhere(cost: Float64Array, allowed: Int32Array, groups: number): number {
  let sum = 0
  for (let child = 0; child < allowed.length; child++) {
    let least = Infinity
    for (let g = 0; g < groups; g++)
      if (allowed[child] & (1 << g)) least = Math.min(least, cost[child * groups + g])
    sum += least
  }
  return sum
}
