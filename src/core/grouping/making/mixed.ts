import { seededChance } from '../../chance/chance'
import { clashOf } from '../problem/contradiction'
import { feasibleGroups } from '../problem/feasible'
import { cheapestLevel, type GroupingProblem } from '../problem/problem'
import { ContradictoryLimits, unitsOf, type Units } from '../problem/units'

export interface MixedGrouping {
  /** `levels[i]` suits `children[i]`: in mixed groups every child has an own range of the same game. */
  groups: { children: number[]; levels: number[] }[]
  /** Share of the spread of abilities that lies between the groups: 0 where their means are equal. */
  between: number
}

const starts = 12

/**
 * Groups that each span the abilities evenly: the means of the groups as near to each other as moves and
 * swaps within the limits can bring them, best of some starts.
 * @param abilities of the children, in logits
 * @throws {ContradictoryLimits}
 */
export function mixGroups(problem: GroupingProblem, abilities: readonly number[]): MixedGrouping {
  const units = unitsOf(problem)
  const { groups: sizes, seed } = problem.limits
  const first = feasibleGroups(units, sizes)
  if (first === null || first === 'unknown')
    throw new ContradictoryLimits([{ kind: 'together-impossible' }], clashOf(problem))
  const chance = seededChance(seed)
  const table = new MixTable(units, abilities, sizes, first)
  table.climb()
  let best = { group: table.group.slice(), cost: table.cost() }
  for (let start = 1; start < starts && best.cost > 1e-9; start++) {
    // Shaken by changes that keep the limits, whatever they cost.
    for (let change = 0; change < 4 * units.members.length; change++)
      table.tryChange(
        chance.int(0, units.members.length - 1),
        chance.int(0, units.members.length - 1),
        chance.int(0, sizes.count - 1),
        Infinity,
      )
    table.climb()
    if (table.cost() < best.cost - 1e-12) best = { group: table.group.slice(), cost: table.cost() }
  }
  const overall = abilities.reduce((a, b) => a + b, 0) / abilities.length
  const total = abilities.reduce((sum, ability) => sum + (ability - overall) ** 2, 0)
  return {
    between: total > 0 ? best.cost / total : 0,
    groups: Array.from({ length: sizes.count }, (_, g) => {
      const children = units.members
        .flatMap((set, unit) => (best.group[unit] === g ? set : []))
        .sort((a, b) => a - b)
      return { children, levels: children.map((child) => cheapestLevel(problem, [child]).level) }
    }),
  }
}

/** Who stands where, with sums by group, so that a change costs little to weigh. */
class MixTable {
  readonly group: Int32Array
  private readonly weight: number[]
  private readonly value: number[]
  private readonly size: Float64Array
  private readonly sum: Float64Array
  private readonly overall: number

  constructor(
    private readonly units: Units,
    abilities: readonly number[],
    private readonly sizes: { count: number; min: number; max: number },
    group: Int32Array,
  ) {
    this.group = group.slice()
    this.weight = units.members.map((set) => set.length)
    this.value = units.members.map((set) => set.reduce((sum, child) => sum + abilities[child], 0))
    this.size = new Float64Array(sizes.count)
    this.sum = new Float64Array(sizes.count)
    this.group.forEach((g, unit) => {
      this.size[g] += this.weight[unit]
      this.sum[g] += this.value[unit]
    })
    this.overall = abilities.reduce((a, b) => a + b, 0) / abilities.length
  }

  /** Σ over groups of size · (mean − overall mean)²: the sum of squares between groups. */
  cost(): number {
    let cost = 0
    for (let g = 0; g < this.size.length; g++) cost += this.part(this.size[g], this.sum[g])
    return cost
  }

  private part = (size: number, sum: number) => (size > 0 ? size * (sum / size - this.overall) ** 2 : 0)

  /** Takes every change that helps until none does. */
  climb() {
    const n = this.group.length
    for (let helped = true; helped;) {
      helped = false
      for (let unit = 0; unit < n; unit++) {
        for (let g = 0; g < this.sizes.count; g++) helped = this.tryChange(unit, unit, g, -1e-12) || helped
        for (let other = 0; other < unit; other++)
          helped = this.tryChange(unit, other, this.group[other], -1e-12) || helped
      }
    }
  }

  /**
   * Moves `unit` to group `to`, and `other`, if it is another one and stands there, back in exchange.
   * @returns true if the limits allow it and the cost changes by less than `most`
   */
  tryChange(unit: number, other: number, to: number, most: number): boolean {
    const { open } = this.units
    const from = this.group[unit]
    const swap = other !== unit && this.group[other] === to
    if (from === to || !(open[unit] & (1 << to)) || (swap && !(open[other] & (1 << from)))) return false
    const weight = this.weight[unit] - (swap ? this.weight[other] : 0)
    const value = this.value[unit] - (swap ? this.value[other] : 0)
    const { min, max } = this.sizes
    if (this.size[from] - weight < min || this.size[from] - weight > max) return false
    if (this.size[to] + weight > max || this.size[to] + weight < min) return false
    if (this.meets(unit, to, swap ? other : -1) || (swap && this.meets(other, from, unit))) return false
    const change =
      this.part(this.size[from] - weight, this.sum[from] - value) +
      this.part(this.size[to] + weight, this.sum[to] + value) -
      this.part(this.size[from], this.sum[from]) -
      this.part(this.size[to], this.sum[to])
    if (change >= most) return false
    this.size[from] -= weight
    this.size[to] += weight
    this.sum[from] -= value
    this.sum[to] += value
    this.group[unit] = to
    if (swap) this.group[other] = from
    return true
  }

  /** True if somebody to be kept apart from the unit stands in the group. */
  private meets(unit: number, group: number, but: number): boolean {
    for (const far of this.units.apart[unit]) if (far !== but && this.group[far] === group) return true
    return false
  }
}
