import { z } from 'zod'
import { logistic } from '../../evidence/observation'
import { clashOf } from '../problem/contradiction'
import { betterLevels, kickedLevels } from './better-levels'
import { matchGroups } from './keep-group-names'
import {
  bandSchema,
  cheapestLevel,
  childrenFitting,
  costAt,
  groupingProblem,
  limitsSchema,
  type Grouping,
  type GroupingProblem,
} from '../problem/problem'
import { prove } from './prove'
import { runsWithin, search } from './search'
import { cutSorted } from './cut-by-ability'
import { ContradictoryLimits, unitsOf, type Units } from '../problem/units'

/**
 * Groups and levels chosen together: proved to cost least where one strand decides and nothing but sizes
 * limits the groups, and mostly elsewhere too; where the proof takes too long, the best that was found.
 * @throws {ContradictoryLimits}
 */
export function makeGroups(problem: GroupingProblem): Grouping {
  const units = unitsOrClash(problem)
  const { limits, order } = problem
  const numbered = Object.keys(limits.locked).length + limits.adultNear.length > 0
  const free = limits.together.length === 0 && limits.apart.length === 0 && !numbered
  const cut = order && cutSorted(problem, order, limits.groups.count)
  const bound = cut ? cut.cost : ownLevelBound(problem)
  if (cut && free && (limits.current === null || limits.moveCost === 0))
    return finish(problem, renumbered(problem, cut.groups), bound)

  const starts = startsOf(problem, units, cut?.groups)
  const first = search(problem, units, starts, Math.max(1, starts.length))
  if (!first) throw new ContradictoryLimits([{ kind: 'together-impossible' }], clashOf(problem))
  let found = betterLevels(problem, units, first)
  const { better, lowerBound } = prove(problem, units, found.cost)
  found = better ?? found
  if (found.cost > lowerBound + 1e-9) {
    const longer = search(problem, units, [found.group, ...starts], runsWithin(limits.milliseconds))
    if (longer && longer.cost < found.cost) found = betterLevels(problem, units, longer)
    found = kickedLevels(problem, units, found)
  }
  const groups = Array.from({ length: limits.groups.count }, (_, g) =>
    units.members.flatMap((members, unit) => (found.group[unit] === g ? members : [])).sort((a, b) => a - b),
  )
  const keepsNumbers = limits.moveCost > 0 || numbered
  return finish(problem, keepsNumbers ? groups : renumbered(problem, groups), Math.max(bound, lowerBound))
}

function unitsOrClash(problem: GroupingProblem): Units {
  try {
    return unitsOf(problem)
  } catch (error) {
    if (!(error instanceof ContradictoryLimits)) throw error
    const { contradictions } = error
    const unknown = contradictions.some(({ kind }) => kind === 'unknown-child' || kind === 'unknown-group')
    throw new ContradictoryLimits(contradictions, unknown ? null : clashOf(problem))
  }
}

/** The grouping that stands, with its levels as they are or, where null, the cheapest. */
export function presentGrouping(
  problem: GroupingProblem,
  groups: number[][],
  levels: readonly (number | null)[],
): Grouping {
  const made = groups.map((children, g) => ({
    level: levels[g] ?? cheapestLevel(problem, children).level,
    children,
  }))
  const cost = made.reduce((sum, { level, children }) => sum + costAt(problem, children, level), 0)
  return {
    groups: made,
    cost,
    lowerBound: 0,
    fitting: childrenFitting(problem, made),
    moved: movedOf(problem, groups),
  }
}

/** What it would cost if every child played at the own best level. */
function ownLevelBound({ cost }: GroupingProblem): number {
  return cost.reduce((sum, row) => sum + Math.min(...row), 0)
}

/** Where a search may begin: the present groups, and the proved cut if it happens to keep the limits. */
function startsOf(problem: GroupingProblem, units: Units, cut: number[][] | undefined): Int32Array[] {
  const { current, groups } = problem.limits
  const starts: Int32Array[] = []
  if (current)
    starts.push(Int32Array.from(units.members, ([child]) => current[problem.children[child]] ?? -1))
  if (cut) {
    const numbered = renumbered(problem, cut)
    starts.push(
      Int32Array.from(units.members, ([child]) => numbered.findIndex((group) => group.includes(child))),
    )
  }
  return starts.filter((start) => {
    const size = new Int32Array(groups.count)
    start.forEach((g, unit) => (size[g] += units.members[unit].length))
    return (
      start.every((g, unit) => g >= 0 && g < groups.count && (units.open[unit] & (1 << g)) > 0) &&
      start.every((g, unit) => ![...units.apart[unit]].some((other) => start[other] === g)) &&
      size.every((children) => children >= groups.min && children <= groups.max)
    )
  })
}

/** Numbered after the present groups by largest overlap; without present groups, as they come. */
function renumbered({ children, limits }: GroupingProblem, groups: number[][]): number[][] {
  const { current } = limits
  if (!current) return groups
  const names = matchGroups(
    groups.map((members) =>
      groups.map((_, old) => members.filter((child) => current[children[child]] === old).length),
    ),
  )
  const numbered: number[][] = []
  names.forEach((name, group) => (numbered[name] = groups[group]))
  return numbered
}

function movedOf({ children, limits }: GroupingProblem, groups: readonly number[][]): number[] {
  const { current } = limits
  if (!current) return []
  return groups.flatMap((members, g) =>
    members.filter((child) => current[children[child]] !== undefined && current[children[child]] !== g),
  )
}

function finish(problem: GroupingProblem, groups: number[][], lowerBound: number): Grouping {
  const made = groups.map((children) => ({ level: cheapestLevel(problem, children).level, children }))
  const moved = movedOf(problem, groups)
  const cost =
    groups.reduce((sum, children) => sum + cheapestLevel(problem, children).cost, 0) +
    problem.limits.moveCost * moved.length
  return {
    groups: made,
    cost,
    lowerBound: Math.min(lowerBound, cost),
    fitting: childrenFitting(problem, made),
    moved,
  }
}

export const groupInputSchema = limitsSchema
  .extend({
    children: z
      .array(z.object({ id: z.string().min(1), ability: z.number() }))
      .min(1)
      .max(60),
    levels: z
      .array(z.object({ id: z.string().min(1), difficulty: z.number() }))
      .min(1)
      .max(60),
    band: bandSchema.default([0.7, 0.9]),
  })
  .superRefine(({ children, levels, current, groups }, context) => {
    const problem = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    for (const [name, list] of [
      ['children', children],
      ['levels', levels],
    ] as const) {
      const seen = new Set<string>()
      list.forEach(({ id }, index) => {
        if (seen.has(id)) problem([name, index, 'id'], `“${id}” is there twice.`)
        seen.add(id)
      })
    }
    children.forEach(({ id }, index) => {
      if (id === '__proto__') problem(['children', index, 'id'], 'No child can be called “__proto__”.')
    })
    for (const [child, group] of Object.entries(current ?? {})) {
      if (!children.some(({ id }) => id === child)) problem(['current', child], 'There is no such child.')
      if (group >= groups.count)
        problem(['current', child], `There are ${groups.count} groups, counted from 0.`)
    }
  })

export type GroupInput = z.infer<typeof groupInputSchema>

/** The problem of the core command line: one ability a child, one difficulty a level. */
export function problemOf({ children, levels, band, ...limits }: GroupInput): GroupingProblem {
  return groupingProblem({
    children: children.map(({ id }) => id),
    levels: levels.map(({ id }) => id),
    success: children.map(({ ability }) => levels.map(({ difficulty }) => logistic(ability - difficulty))),
    band,
    limits,
    order: children.map((_, i) => i).sort((a, b) => children[a].ability - children[b].ability || a - b),
  })
}
