import { seededChance } from '../../chance/chance'
import { cheapestLevel, type GroupingProblem } from '../problem/problem'
import type { Units } from '../problem/units'
import { cheapestAssignment } from './assign'
import { brokenLink, costsAt, moveCosts, openToChildren } from './at-levels'

/** Choices of levels tried in one descent for each millisecond of the budget. */
const triesPerMillisecond = 12

/** Descents from other beginnings for each millisecond of the budget. */
const kicksPerMillisecond = 0.012

interface Found {
  group: Int32Array
  cost: number
}

/**
 * Betters groups by their levels: at other levels of one group, then of two, the cheapest assignment of all children is a
 * flow, which moves any number of them at once; walks that move one or two get there only over dearer groupings. One
 * that breaks a link between children is passed over.
 * @returns the same grouping where none is found
 */
export function betterLevels(problem: GroupingProblem, units: Units, from: Found): Found {
  const { limits, levels } = problem
  const { count, min, max } = limits.groups
  const moves = moveCosts(problem)
  const masks = openToChildren(units, problem.children.length)
  let left = Math.round(limits.milliseconds * triesPerMillisecond)
  let best = from
  let chosen = levelsOf(problem, units, best.group)

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
    chosen = levelsOf(problem, units, best.group)
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

/**
 * Betters groups where the proof was given up: the levels of two to four groups are drawn anew, all children assigned to
 * what that gives, and that bettered in turn; what is no dearer is gone on from (iterated local search; Lourenço, Martin
 * & Stützle 2003, Handbook of Metaheuristics, ch. 11). In large classes with a price on moves walks stay 1 to 2 % above the
 * optimum, and this does not.
 */
export function kickedLevels(problem: GroupingProblem, units: Units, from: Found): Found {
  const { limits, levels } = problem
  const { count } = limits.groups
  const chance = seededChance(limits.seed)
  const moves = moveCosts(problem)
  const masks = openToChildren(units, problem.children.length)
  let best = from
  for (let kick = 0; kick < limits.milliseconds * kicksPerMillisecond; kick++) {
    const chosen = levelsOf(problem, units, best.group)
    for (let more = chance.int(2, 4); more > 0; more--)
      chosen[chance.int(0, count - 1)] = chance.int(0, levels.length - 1)
    const found = cheapestAssignment(costsAt(problem, moves, chosen), masks, count, limits.groups)
    if (!found || brokenLink(found.group, units)) continue
    const group = Int32Array.from(units.members, ([child]) => found.group[child])
    const bettered = betterLevels(problem, units, { group, cost: found.cost })
    if (bettered.cost <= best.cost) best = bettered
  }
  return best
}

/** The cheapest level of each group as it stands. */
const levelsOf = (problem: GroupingProblem, units: Units, group: Int32Array): number[] =>
  Array.from(
    { length: problem.limits.groups.count },
    (_, g) =>
      cheapestLevel(
        problem,
        units.members.flatMap((members, unit) => (group[unit] === g ? members : [])),
      ).level,
  )

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
