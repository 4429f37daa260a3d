import { presentGrouping } from './group'
import type { Grouping, GroupingProblem } from './problem'
import { evenSizes, requestFor, type ClassFit, type Link } from './request'

/** A regrouping of the groups that stand; children by index, groups by number. */
export interface Regrouping {
  fitting: number
  /** How far children stand outside their zone in all. */
  cost: number
  groups: Grouping['groups']
  /** Who moves, and what is expected here and there. */
  moves: { child: number; from: number; to: number; here: number; there: number }[]
}

/** The groups that stand as a request to regroup them within their sizes, and by index as they are. */
export function regroupingOf(
  children: readonly string[],
  fit: ClassFit,
  groups: readonly { level: number; children: string[]; withAdult: boolean }[],
  links: readonly Link[],
  adultNear: readonly string[],
) {
  // With an adult near no group there is nowhere to move to: then this limit waits until one has.
  const withAdult = groups.flatMap((group, g) => (group.withAdult ? [g] : []))
  const sizes = groups.map((group) => group.children.length)
  const even = evenSizes(children.length, groups.length)
  const request = requestFor(children, fit, {
    links,
    sizes: {
      count: groups.length,
      min: Math.max(1, Math.min(even.min, ...sizes)),
      max: Math.max(even.max, ...sizes),
    },
    adultNear: withAdult.length > 0 ? adultNear : [],
    withAdult,
    current: Object.fromEntries(groups.flatMap((group, g) => group.children.map((id) => [id, g]))),
  })
  const present = groups.map(({ level, children: there }) => ({
    level,
    children: there.map((id) => children.indexOf(id)),
  }))
  return { request, present }
}

/**
 * The groups as they stand, then those regroupings that are worth their moves: as many children in their zone and in
 * all no further from it than with fewer moves, and either more in their zone or clearly nearer to it.
 * @param present children of each group and its level
 * @param found by {@link regroup}, in any order
 */
export function worthTheirMoves(
  problem: GroupingProblem,
  present: readonly { level: number; children: number[] }[],
  found: readonly Grouping[],
): Regrouping[] {
  const now = presentGrouping(
    problem,
    present.map(({ children }) => children),
    present.map(({ level }) => level),
  )
  const worth = [now]
  const counts = [...new Set(found.map(({ moved }) => moved.length))].sort((a, b) => a - b)
  for (const count of counts) {
    const better = found.filter(({ moved }) => moved.length === count).filter(isBetterThan(worth.at(-1)!))
    if (better.length > 0) worth.push(better.reduce((best, made) => (isFirst(made, best) ? made : best)))
  }
  return worth.map(({ fitting, cost, groups, moved }) => ({
    fitting,
    cost,
    groups,
    moves: moved.map((child) => {
      const from = present.findIndex(({ children }) => children.includes(child))
      const to = groups.findIndex(({ children }) => children.includes(child))
      return {
        child,
        from,
        to,
        here: problem.success[child][present[from].level],
        there: problem.success[child][groups[to].level],
      }
    }),
  }))
}

/** The share of the distance from the zone that has to go for moves that bring nobody more into it. */
const clearly = 0.2

const isBetterThan =
  (last: Grouping) =>
  ({ fitting, cost }: Grouping): boolean =>
    cost <= last.cost + 1e-9 &&
    (fitting > last.fitting || (fitting === last.fitting && cost < (1 - clearly) * last.cost - 1e-9))

const isFirst = (a: Grouping, b: Grouping) =>
  a.fitting > b.fitting || (a.fitting === b.fitting && a.cost < b.cost)
