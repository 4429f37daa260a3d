import type { GroupingProblem } from '../problem/problem'
import type { Units } from '../problem/units'

/** What it costs that a child stands in a group it is not in at present, at `child * groups + group`. */
export function moveCosts({ children, limits }: GroupingProblem): Float64Array {
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
export function openToChildren({ members, open }: Units, children: number): Int32Array {
  const masks = new Int32Array(children)
  members.forEach((set, unit) => set.forEach((child) => (masks[child] = open[unit])))
  return masks
}

/** Cost of each child in each group when the levels of the groups are given, moves included; at `child * groups + group`. */
export function costsAt(
  { children, cost, limits }: GroupingProblem,
  moves: Float64Array,
  chosen: readonly number[],
): Float64Array {
  const { count } = limits.groups
  const costs = new Float64Array(children.length * count)
  for (let child = 0; child < children.length; child++)
    for (let g = 0; g < count; g++)
      costs[child * count + g] = cost[child][chosen[g]] + moves[child * count + g]
  return costs
}

/**
 * A link between children that a grouping breaks, with the two ways to mend it: groups that are open to some children
 * from then on. Null: it breaks none.
 */
export function brokenLink(
  group: Int8Array,
  { members, apart }: Units,
): { branches: [number, number][][] } | null {
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
        branches: [unit, other].map((one) =>
          members[one].map((child): [number, number] => [child, ~(1 << g)]),
        ),
      }
    }
  return null
}
