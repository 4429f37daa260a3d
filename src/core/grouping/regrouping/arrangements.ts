import { inBand } from '../problem/fit-cost'
import {
  cheapestLevel,
  childrenFitting,
  costAt,
  type Grouping,
  type GroupingProblem,
} from '../problem/problem'
import { unitsOf, type Units } from '../problem/units'

/** A group as it stands: its level, and its children by index. */
export interface PresentGroup {
  level: number
  children: readonly number[]
}

interface Score {
  fitting: number
  cost: number
}

/** Where everybody is after some moves. */
export interface Step extends Score {
  /** [unit] */
  group: Int8Array
  /** [group] children */
  size: Int8Array
  /** [group · levels + level] what the group costs there, and how many are in their zone. */
  costs: Float64Array
  fits: Int16Array
}

/** One more move from a step, weighed but not made. */
interface Try extends Score {
  from: Step
  unit: number
  to: number
}

export const moreFitting = (a: Score, b: Score) => b.fitting - a.fitting || a.cost - b.cost
export const cheaper = (a: Score, b: Score) => a.cost - b.cost

export const distinct = (steps: readonly Step[]) => [
  ...new Map(steps.map((step) => [step.group.join(), step])).values(),
]

/** The classes that moves lead to. */
export class Classes {
  readonly units: Units
  private readonly levels: number
  private readonly home: Int8Array
  private readonly fitting: Int16Array[]

  constructor(
    private readonly problem: GroupingProblem,
    private readonly present: readonly PresentGroup[],
  ) {
    this.units = unitsOf(problem)
    this.levels = problem.levels.length
    this.home = Int8Array.from(this.units.members, ([child]) =>
      present.findIndex(({ children }) => children.includes(child)),
    )
    this.fitting = this.units.members.map((members) =>
      Int16Array.from(problem.levels, (_, level) =>
        members.reduce((sum, child) => sum + Number(inBand(problem.success[child][level], problem.band)), 0),
      ),
    )
  }

  first(): Step {
    const { present, levels, units } = this
    const costs = new Float64Array(present.length * levels)
    const fits = new Int16Array(present.length * levels)
    units.members.forEach((_, unit) => {
      for (let level = 0; level < levels; level++) {
        costs[this.home[unit] * levels + level] += units.cost[unit][level]
        fits[this.home[unit] * levels + level] += this.fitting[unit][level]
      }
    })
    const at = present.map(({ level }, g) => g * levels + level)
    return {
      group: this.home.slice(),
      size: Int8Array.from(present, (_, g) =>
        units.members.reduce((sum, { length }, unit) => sum + (this.home[unit] === g ? length : 0), 0),
      ),
      costs,
      fits,
      cost: at.reduce((sum, i) => sum + costs[i], 0),
      fitting: at.reduce((sum, i) => sum + fits[i], 0),
    }
  }

  /** Every group a unit may move to that has not moved yet. */
  tries(from: Step, unit: number): Try[] {
    const home = this.home[unit]
    if (from.group[unit] !== home) return []
    const { open, apart, members } = this.units
    const tried: Try[] = []
    for (let to = 0; to < this.present.length; to++) {
      if (to === home || (open[unit] & (1 << to)) === 0) continue
      if ([...apart[unit]].some((other) => from.group[other] === to)) continue
      const size = members[unit].length
      if (this.isOff(from.size[home] - size, 1) || this.isOff(from.size[to] + size, 1)) continue
      const before = [this.standing(from, home), this.standing(from, to)]
      const after = [this.changed(from, home, unit, -1), this.changed(from, to, unit, 1)]
      const change = (of: keyof Score) => after[0][of] + after[1][of] - before[0][of] - before[1][of]
      tried.push({
        from,
        unit,
        to,
        fitting: from.fitting + change('fitting'),
        cost: from.cost + change('cost'),
      })
    }
    return tried
  }

  /** The first classes of an order, each once, though several ways lead to it. */
  best(tried: Try[], order: (a: Score, b: Score) => number, most: number): Step[] {
    const made = new Map<string, Step>()
    for (const one of tried.sort(order)) {
      const step = this.taken(one)
      const key = step.group.join()
      if (!made.has(key)) made.set(key, step)
      if (made.size === most) break
    }
    return [...made.values()]
  }

  private taken({ from, unit, to, fitting, cost }: Try): Step {
    const [group, size] = [from.group.slice(), from.size.slice()]
    const [costs, fits] = [from.costs.slice(), from.fits.slice()]
    group[unit] = to
    for (const [g, sign] of [
      [this.home[unit], -1],
      [to, 1],
    ]) {
      size[g] += sign * this.units.members[unit].length
      for (let level = 0; level < this.levels; level++) {
        costs[g * this.levels + level] += sign * this.units.cost[unit][level]
        fits[g * this.levels + level] += sign * this.fitting[unit][level]
      }
    }
    return { group, size, costs, fits, fitting, cost }
  }

  /** True if all limits hold, also those that the present groups break. */
  holds({ group, size }: Step): boolean {
    const { open, apart } = this.units
    return (
      size.every((children) => !this.isOff(children, 0)) &&
      group.every((g, unit) => (open[unit] & (1 << g)) > 0) &&
      group.every((g, unit) => ![...apart[unit]].some((other) => group[other] === g))
    )
  }

  told({ group }: Step): Grouping {
    const { present, units, problem } = this
    const groups = present.map(({ level, children: before }, g) => {
      const children = units.members
        .flatMap((members, unit) => (group[unit] === g ? members : []))
        .sort((a, b) => a - b)
      const same = children.length === before.length && children.every((child) => before.includes(child))
      return { level: same ? level : cheapestLevel(problem, children).level, children }
    })
    return {
      groups,
      cost: groups.reduce((sum, { level, children }) => sum + costAt(problem, children, level), 0),
      lowerBound: 0,
      fitting: childrenFitting(problem, groups),
      // Child by child: who is to be kept together may stand in two groups at present.
      moved: groups
        .flatMap(({ children }, g) => children.filter((child) => !present[g].children.includes(child)))
        .sort((a, b) => a - b),
    }
  }

  private isOff(children: number, by: number): boolean {
    const { min, max } = this.problem.limits.groups
    return children < Math.max(1, min - by) || children > max + by
  }

  /** What a group comes to as it stands after some moves. */
  private standing({ costs, fits, group }: Step, g: number): Score {
    const changed = group.some((now, unit) => now !== this.home[unit] && (now === g || this.home[unit] === g))
    if (changed) return this.changed({ costs, fits }, g)
    const at = g * this.levels + this.present[g].level
    return { cost: costs[at], fitting: fits[at] }
  }

  /** What a changed group comes to at its cheapest level, with a unit more or less if one is given. */
  private changed({ costs, fits }: Pick<Step, 'costs' | 'fits'>, g: number, unit = -1, sign = 0): Score {
    const at = g * this.levels
    const cost = (level: number) => costs[at + level] + (unit < 0 ? 0 : sign * this.units.cost[unit][level])
    let cheapest = 0
    for (let level = 1; level < this.levels; level++)
      if (cost(level) < cost(cheapest) - 1e-12) cheapest = level
    return {
      cost: cost(cheapest),
      fitting: fits[at + cheapest] + (unit < 0 ? 0 : sign * this.fitting[unit][cheapest]),
    }
  }
}
