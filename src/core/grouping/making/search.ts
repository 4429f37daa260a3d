import { seededChance, shuffled, unit as uniform, type SavedChance } from '../../chance/chance'
import { feasibleGroups } from '../problem/feasible'
import type { GroupingProblem } from '../problem/problem'
import { isFixed, type Units } from '../problem/units'

/** Tried changes per millisecond of the budget: a count, not a clock, so that equal seeds give equal groups. */
const triesPerMillisecond = 400
const triesPerStart = 12_000

/** Walks of a search that may take so long. */
export const runsWithin = (milliseconds: number) =>
  Math.max(1, Math.round((milliseconds * triesPerMillisecond) / triesPerStart))

/**
 * Multi-start search over who stands in which group: moves of one unit and swaps of two, accepted as
 * in simulated annealing (Kirkpatrick, Gelatt & Vecchi 1983); each group plays at its cheapest level.
 *
 * @param starts groupings worth trying first, as group number per unit
 * @param runs walks, each from a start of its own
 * @returns the group number of every unit, or null if no start could be made to fit the limits
 */
export function search(
  problem: GroupingProblem,
  units: Units,
  starts: Int32Array[],
  runs: number,
): { group: Int32Array; cost: number } | null {
  const { seed, milliseconds } = problem.limits
  const chance = seededChance(seed)
  // A budget smaller than a walk shortens it.
  const tries = Math.min(triesPerStart, Math.ceil(milliseconds * triesPerMillisecond))
  const firstStart = starts[0] ?? dealt(problem, units, chance) ?? tried(problem, units)
  if (!firstStart) return null
  let best = new Walk(problem, units, firstStart, chance).anneal(tries)
  for (let run = 1; run < runs && best.cost >= 1e-12; run++) {
    const start = starts[run] ?? dealt(problem, units, chance) ?? best.group
    const found = new Walk(problem, units, start, chance).anneal(tries)
    if (found.cost < best.cost - 1e-12) best = found
  }
  return best
}

/** Where dealing finds nothing within the limits, trying may. */
function tried(problem: GroupingProblem, units: Units): Int32Array | null {
  const found = feasibleGroups(units, problem.limits.groups)
  return found === 'unknown' ? null : found
}

/** A random grouping within the limits: units in random order, each to the emptiest group it may join. */
function dealt(problem: GroupingProblem, units: Units, chance: SavedChance): Int32Array | null {
  const { count, min, max } = problem.limits.groups
  const anywhere = 2 ** count - 1
  for (let attempt = 0; attempt < 200; attempt++) {
    const group = new Int32Array(units.members.length).fill(-1)
    const size = new Int32Array(count)
    const rank = (unit: number) =>
      (units.open[unit] === anywhere ? 1 : 0) * 1000 -
      units.members[unit].length * 10 -
      units.apart[unit].size
    const order = shuffled(
      units.members.map((_, unit) => unit),
      chance,
    ).sort((a, b) => rank(a) - rank(b))
    const placed = order.every((unit) => {
      const weight = units.members[unit].length
      const open = Array.from({ length: count }, (_, g) => g).filter(
        (g) =>
          units.open[unit] & (1 << g) &&
          size[g] + weight <= max &&
          ![...units.apart[unit]].some((other) => group[other] === g),
      )
      if (open.length === 0) return false
      const least = Math.min(...open.map((g) => size[g]))
      const emptiest = open.filter((g) => size[g] === least)
      group[unit] = emptiest[chance.int(0, emptiest.length - 1)]
      size[group[unit]] += weight
      return true
    })
    if (placed && size.every((children) => children >= min)) return group
  }
  return null
}

/** One annealing walk; keeps the cost of each group at each level, so that a try costs two rows of levels. */
class Walk {
  private readonly sums: Float64Array[]
  private readonly size: Int32Array
  private readonly value: Float64Array
  private moved = 0

  constructor(
    private readonly problem: GroupingProblem,
    private readonly units: Units,
    private readonly group: Int32Array,
    private readonly chance: SavedChance,
  ) {
    const { count } = problem.limits.groups
    this.group = Int32Array.from(group)
    this.sums = Array.from({ length: count }, () => new Float64Array(problem.levels.length))
    this.size = new Int32Array(count)
    this.group.forEach((g, unit) => {
      this.size[g] += units.members[unit].length
      units.cost[unit].forEach((cost, level) => (this.sums[g][level] += cost))
      this.moved += units.moves(unit, g)
    })
    this.value = Float64Array.from(this.sums, (row) => Math.max(0, Math.min(...row)))
  }

  anneal(tries: number): { group: Int32Array; cost: number } {
    const free = this.units.members.flatMap((_, unit) => (isFixed(this.units.open[unit]) ? [] : [unit]))
    let best = { group: Int32Array.from(this.group), cost: this.cost() }
    if (free.length === 0) return best
    const hot = Math.max(0.05, best.cost / 10)
    for (let attempt = 0; attempt < tries; attempt++) {
      const heat = hot * 0.0005 ** (attempt / tries)
      const unit = free[this.chance.int(0, free.length - 1)]
      const other = this.chance.int(0, 2) === 0 ? -1 : free[this.chance.int(0, free.length - 1)]
      const to = other < 0 ? this.chance.int(0, this.size.length - 1) : this.group[other]
      if (to === this.group[unit] || !this.allowed(unit, other, to)) continue
      const change = this.change(unit, other, to)
      if (change > 0 && uniform(this.chance) >= Math.exp(-change / heat)) continue
      this.apply(unit, other, to)
      if (this.cost() < best.cost - 1e-9) best = { group: Int32Array.from(this.group), cost: this.cost() }
    }
    return best
  }

  private cost(): number {
    return this.value.reduce((sum, value) => sum + value, 0) + this.problem.limits.moveCost * this.moved
  }

  private allowed(unit: number, other: number, to: number): boolean {
    const { min, max } = this.problem.limits.groups
    const from = this.group[unit]
    const { open } = this.units
    if (!(open[unit] & (1 << to)) || (other >= 0 && !(open[other] & (1 << from)))) return false
    const weight = this.units.members[unit].length
    const back = other < 0 ? 0 : this.units.members[other].length
    if (this.size[from] - weight + back < min || this.size[from] - weight + back > max) return false
    if (this.size[to] + weight - back > max || this.size[to] + weight - back < min) return false
    for (const far of this.units.apart[unit]) if (far !== other && this.group[far] === to) return false
    if (other >= 0)
      for (const far of this.units.apart[other]) if (far !== unit && this.group[far] === from) return false
    return true
  }

  private change(unit: number, other: number, to: number): number {
    const from = this.group[unit]
    const own = this.units.cost[unit]
    const swapped = other < 0 ? null : this.units.cost[other]
    let atFrom = Infinity
    let atTo = Infinity
    for (let level = 0; level < own.length; level++) {
      const shift = own[level] - (swapped ? swapped[level] : 0)
      atFrom = Math.min(atFrom, this.sums[from][level] - shift)
      atTo = Math.min(atTo, this.sums[to][level] + shift)
    }
    return (
      atFrom +
      atTo -
      this.value[from] -
      this.value[to] +
      this.problem.limits.moveCost * this.movesChange(unit, other, to)
    )
  }

  private movesChange(unit: number, other: number, to: number): number {
    const from = this.group[unit]
    const { moves } = this.units
    const own = moves(unit, to) - moves(unit, from)
    return other < 0 ? own : own + moves(other, from) - moves(other, to)
  }

  private apply(unit: number, other: number, to: number) {
    this.moved += this.movesChange(unit, other, to)
    const from = this.group[unit]
    this.shift(unit, from, to)
    if (other >= 0) this.shift(other, to, from)
    for (const g of [from, to]) this.value[g] = Math.max(0, Math.min(...this.sums[g]))
  }

  private shift(unit: number, from: number, to: number) {
    const weight = this.units.members[unit].length
    this.size[from] -= weight
    this.size[to] += weight
    const cost = this.units.cost[unit]
    for (let level = 0; level < cost.length; level++) {
      this.sums[from][level] -= cost[level]
      this.sums[to][level] += cost[level]
    }
    this.group[unit] = to
  }
}
