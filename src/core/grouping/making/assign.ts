/** Who stands where at the least cost, when the level of every group is given. */
export interface Assignment {
  cost: number
  /** Group of every child. */
  group: Int8Array
}

/** Reward for the first children of a group up to its least size: more than any cost. */
const mustFill = 1e9

/**
 * The cheapest assignment of children to groups of allowed sizes, by shortest augmenting paths: each child
 * comes in where it costs least, and those in the way move on (Ford & Fulkerson 1962; ch. 9 of Ahuja,
 * Magnanti & Orlin 1993, Network Flows). It is a flow, so the optimum is whole.
 *
 * @param cost at `child * groups + group`
 * @param allowed bit g of a child's mask: it may stand in group g
 * @returns null if the sizes or masks leave no assignment
 */
export function cheapestAssignment(
  cost: Float64Array,
  allowed: Int32Array,
  groups: number,
  { min, max }: { min: number; max: number },
): Assignment | null {
  const n = allowed.length
  const group = new Int8Array(n).fill(-1)
  const size = new Int32Array(groups)
  // Cheapest move from group to group, and who would make it.
  const step = new Float64Array(groups * groups)
  const who = new Int32Array(groups * groups)
  const reach = new Float64Array(groups)
  const from = new Int32Array(groups)
  for (let child = 0; child < n; child++) {
    step.fill(Infinity)
    for (let other = 0; other < child; other++) {
      const g = group[other]
      const mask = allowed[other]
      const own = cost[other * groups + g]
      for (let h = 0; h < groups; h++) {
        if (h === g || !(mask & (1 << h))) continue
        const change = cost[other * groups + h] - own
        if (change < step[g * groups + h]) {
          step[g * groups + h] = change
          who[g * groups + h] = other
        }
      }
    }
    for (let g = 0; g < groups; g++) {
      reach[g] = allowed[child] & (1 << g) ? cost[child * groups + g] : Infinity
      from[g] = -1
    }
    // Bellman & Ford over the few groups.
    for (let changed = true, round = 0; changed && round < groups; round++) {
      changed = false
      for (let g = 0; g < groups; g++) {
        if (reach[g] === Infinity) continue
        for (let h = 0; h < groups; h++)
          if (reach[g] + step[g * groups + h] < reach[h] - 1e-12) {
            reach[h] = reach[g] + step[g * groups + h]
            from[h] = g
            changed = true
          }
      }
    }
    let end = -1
    let least = Infinity
    for (let g = 0; g < groups; g++) {
      if (size[g] >= max || reach[g] === Infinity) continue
      const total = reach[g] - (size[g] < min ? mustFill : 0)
      if (total < least) {
        least = total
        end = g
      }
    }
    if (end < 0) return null
    size[end]++
    let at = end
    while (from[at] >= 0) {
      group[who[from[at] * groups + at]] = at
      at = from[at]
    }
    group[child] = at
  }
  let total = 0
  for (let g = 0; g < groups; g++) if (size[g] < min) return null
  for (let child = 0; child < n; child++) total += cost[child * groups + group[child]]
  return { cost: total, group }
}
