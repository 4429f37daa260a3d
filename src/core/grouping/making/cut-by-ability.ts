import type { GroupingProblem } from '../problem/problem'

/**
 * The least cost of cutting the children, sorted by ability, into groups of allowed sizes, by
 * dynamic programming. Cost is convex in ability − difficulty, so some optimum without further
 * limits is such a cut: this proves the optimum there and bounds it from below elsewhere.
 *
 * @returns groups of child indices, or null if no sizes add up.
 */
export function cutSorted(
  problem: GroupingProblem,
  order: readonly number[],
  count: number,
): { cost: number; groups: number[][] } | null {
  const { min, max } = problem.limits.groups
  const n = order.length
  const prefix = problem.levels.map((_, level) => {
    const sums = new Float64Array(n + 1)
    order.forEach((child, i) => (sums[i + 1] = sums[i] + problem.cost[child][level]))
    return sums
  })
  const segment = (from: number, to: number) =>
    prefix.reduce((best, sums) => Math.min(best, sums[to] - sums[from]), Infinity)

  let least = new Float64Array(n + 1).fill(Infinity)
  least[0] = 0
  const cuts: Int32Array[] = []
  for (let group = 0; group < count; group++) {
    const next = new Float64Array(n + 1).fill(Infinity)
    const cut = new Int32Array(n + 1).fill(-1)
    for (let to = min; to <= n; to++)
      for (let from = Math.max(0, to - max); from <= to - min; from++) {
        if (least[from] === Infinity) continue
        const total = least[from] + segment(from, to)
        if (total < next[to] - 1e-12) {
          next[to] = total
          cut[to] = from
        }
      }
    least = next
    cuts.push(cut)
  }
  if (least[n] === Infinity) return null
  const groups: number[][] = []
  for (let group = count - 1, to = n; group >= 0; group--) {
    const from = cuts[group][to]
    groups.unshift(order.slice(from, to))
    to = from
  }
  return { cost: Math.max(0, least[n]), groups }
}
