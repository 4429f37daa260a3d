import { cheapestAssignment } from './assign'
import type { GroupingProblem } from '../problem/problem'
import { alikeGroups, type Units } from '../problem/units'

export interface Proof {
  /** A better grouping than the one it began with, group per unit; null: there is none, or none was found. */
  better: { group: Int32Array; cost: number } | null
  /** No grouping within the limits costs less. */
  lowerBound: number
}

/** Level choices gone through before the proof is given up. */
const mostLevelChoices = 120_000

/** Assignments solved for each millisecond of the budget. */
const assignmentsPerMillisecond = 12

const differs = 1e-9

/** Groups at given levels, with what branching has decided so far. */
interface Node {
  levels: readonly number[]
  allowed: Int32Array
  bound: number
  group: Int8Array
}

/**
 * Branch and bound (Land & Doig 1960): for every choice of levels of the groups, the cheapest assignment
 * that heeds sizes and locks is a flow; it bounds what links between children can only make dearer. A
 * link that it breaks is branched on.
 *
 * @param upper cost of the grouping that is known
 */
export function prove(problem: GroupingProblem, units: Units, upper: number): Proof {
  const { limits } = problem
  const { count, min, max } = limits.groups
  const n = problem.children.length
  let left = Math.round(limits.milliseconds * assignmentsPerMillisecond)
  let best = upper
  let better: Proof['better'] = null
  const open: Node[] = []
  const moves = moveCosts(problem)
  const masks = openToChildren(units, n)

  const costsAt = (chosen: readonly number[]) => {
    const cost = new Float64Array(n * count)
    for (let child = 0; child < n; child++)
      for (let g = 0; g < count; g++)
        cost[child * count + g] = problem.cost[child][chosen[g]] + moves[child * count + g]
    return cost
  }
  const consider = (chosen: readonly number[], allowed: Int32Array) => {
    left--
    const found = cheapestAssignment(costsAt(chosen), allowed, count, { min, max })
    if (!found || found.cost >= best - differs) return
    open.push({ levels: chosen, allowed, bound: found.cost, group: found.group })
  }

  const choices = levelChoices(problem, units, moves, mostLevelChoices)
  if (!choices) return { better: null, lowerBound: -Infinity }
  for (const { chosen, bound } of choices) {
    if (bound >= best - differs) break
    if (left <= 0) return { better, lowerBound: Math.min(best, bound, ...open.map((node) => node.bound)) }
    consider(chosen, masks)
  }
  while (open.length > 0 && left > 0) {
    const at = open.reduce((least, node, i) => (node.bound < open[least].bound ? i : least), 0)
    const [node] = open.splice(at, 1)
    if (node.bound >= best - differs) continue
    const broken = brokenLink(node.group, units)
    if (!broken) {
      best = node.bound
      better = { group: Int32Array.from(units.members, ([child]) => node.group[child]), cost: node.bound }
      continue
    }
    for (const mask of broken.branches) {
      const allowed = node.allowed.slice()
      for (const [child, bits] of mask) allowed[child] &= bits
      consider(node.levels, allowed)
    }
  }
  const bounds = open.map(({ bound }) => bound)
  return { better, lowerBound: Math.min(best, ...bounds) }

  function brokenLink(group: Int8Array, { members, apart }: Units) {
    for (const set of members) {
      const g = group[set[0]]
      if (set.some((child) => group[child] !== g))
        return { branches: [set.map((child) => [child, 1 << g]), set.map((child) => [child, ~(1 << g)])] }
    }
    for (let unit = 0; unit < members.length; unit++)
      for (const other of apart[unit]) {
        const g = group[members[unit][0]]
        if (group[members[other][0]] !== g) continue
        return {
          branches: [unit, other].map((one) => members[one].map((child) => [child, ~(1 << g)])),
        }
      }
    return null
  }
}

/** What it costs that a child stands in a group it is not in at present. */
function moveCosts({ children, limits }: GroupingProblem): Float64Array {
  const { count } = limits.groups
  const costs = new Float64Array(children.length * count)
  if (limits.current === null || limits.moveCost === 0) return costs
  children.forEach((child, i) => {
    const present = limits.current![child]
    if (present === undefined) return
    for (let g = 0; g < count; g++) if (g !== present) costs[i * count + g] = limits.moveCost
  })
  return costs
}

/** Groups each child may stand in, a bit each. */
function openToChildren({ members, open }: Units, children: number): Int32Array {
  const masks = new Int32Array(children)
  members.forEach((set, unit) => set.forEach((child) => (masks[child] = open[unit])))
  return masks
}

/**
 * Every choice of a level for each group, cheapest bound first: each child in the best group, whatever the
 * sizes. Groups that nothing tells apart take their levels in ascending order.
 * @returns null if there are more than `most`
 */
function levelChoices(problem: GroupingProblem, units: Units, moves: Float64Array, most: number) {
  const { levels, limits, cost } = problem
  const { count } = limits.groups
  const n = problem.children.length
  const free = moves.every((one) => one === 0)
  const alike = free ? alikeGroups(units.open, count) : Array.from({ length: count }, (_, g) => g)
  const masks = openToChildren(units, n)
  const found: { chosen: number[]; bound: number }[] = []
  const chosen: number[] = []

  const boundOf = () => {
    let bound = 0
    for (let child = 0; child < n; child++) {
      let least = Infinity
      for (let g = 0; g < count; g++) {
        if (!(masks[child] & (1 << g))) continue
        const own = cost[child][chosen[g]] + moves[child * count + g]
        if (own < least) least = own
      }
      bound += least
    }
    return bound
  }
  const choose = (g: number): boolean => {
    if (g === count) {
      if (found.length === most) return false
      found.push({ chosen: chosen.slice(), bound: boundOf() })
      return true
    }
    const before = chosen.findLastIndex((_, other) => other < g && alike[other] === alike[g])
    for (let level = before < 0 ? 0 : chosen[before]; level < levels.length; level++) {
      chosen[g] = level
      if (!choose(g + 1)) return false
    }
    chosen.length = g
    return true
  }
  return choose(0) ? found.sort((a, b) => a.bound - b.bound) : null
}
