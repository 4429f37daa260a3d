import { regroup } from './curves'
import { presentGrouping } from './group'
import type { Group } from './groups'
import type { Grouping, GroupingProblem } from './problem'
import {
  byPennant,
  evenSizes,
  groupsById,
  groupsByIndex,
  problemOfRequest,
  requestFor,
  type ClassFit,
  type GroupingRequest,
  type Link,
} from './request'

/** A regrouping of the groups that stand. */
export interface Regrouping {
  fitting: number
  /** How far children stand outside their zone in all. */
  cost: number
  groups: Group[]
  /** Who moves from which group to which, and what is expected here and there. */
  moves: { pupil: string; from: number; to: number; here: number; there: number }[]
}

/** The groups that stand as a request to regroup them within their sizes. */
export function regroupingRequest(
  children: readonly string[],
  fit: ClassFit,
  groups: readonly Group[],
  links: readonly Link[],
  adultNear: readonly string[],
): GroupingRequest {
  // With an adult near no group there is nowhere to move to: then this limit waits until one has.
  const withAdult = groups.flatMap((group) => (group.withAdult ? [group.pennant] : []))
  const sizes = groups.map(({ pupils }) => pupils.length)
  const even = evenSizes(children.length, groups.length)
  return requestFor(children, fit, {
    links,
    pennants: groups.map(({ pennant }) => pennant),
    sizes: { min: Math.max(1, Math.min(even.min, ...sizes)), max: Math.max(even.max, ...sizes) },
    adultNear: withAdult.length > 0 ? [...adultNear] : [],
    withAdult,
    current: Object.fromEntries(groups.flatMap(({ pennant, pupils }) => pupils.map((id) => [id, pennant]))),
  })
}

/**
 * Regroupings of the groups that stand that are worth their moves. Yields those so far and the share of the search
 * that is through, so that a worker can tell and be stopped.
 * @throws {ContradictoryLimits} with groups by their pennants
 */
export function* regroupings(
  request: GroupingRequest,
  standing: readonly Group[],
): Generator<{ found: Regrouping[]; done: number }, Regrouping[]> {
  const problem = problemOfRequest(request)
  const present = groupsByIndex(request, standing)
  const told = (found: readonly Grouping[]) =>
    worthTheirMoves(problem, present, found).map((made) => byId(request, standing, problem, made))
  try {
    const run = regroup(problem, present)
    let step = run.next()
    for (; !step.done; step = run.next()) yield { found: told(step.value.found), done: step.value.done }
    return told(step.value)
  } catch (error) {
    throw byPennant(error, request)
  }
}

/** All of {@link regroupings} at once. */
export function allRegroupings(request: GroupingRequest, standing: readonly Group[]): Regrouping[] {
  const run = regroupings(request, standing)
  let step = run.next()
  while (!step.done) step = run.next()
  return step.value
}

function byId(
  request: GroupingRequest,
  standing: readonly Group[],
  { success }: GroupingProblem,
  made: Grouping,
): Regrouping {
  const before = groupsByIndex(request, standing)
  const groups = groupsById(request, made.groups)
  return {
    fitting: made.fitting,
    cost: made.cost,
    // An adult stays where she is, whether anybody there needs one near or not.
    groups: groups.map((group, g) => ({ ...group, withAdult: standing[g].withAdult })),
    moves: made.moved.map((child) => {
      const from = before.findIndex(({ children }) => children.includes(child))
      const to = made.groups.findIndex(({ children }) => children.includes(child))
      return {
        pupil: request.children[child],
        from: standing[from].pennant,
        to: standing[to].pennant,
        here: success[child][before[from].level],
        there: success[child][made.groups[to].level],
      }
    }),
  }
}

/**
 * The groups as they stand, then those regroupings that are worth their moves: as many children in their zone and in
 * all no further from it than with fewer moves, and either more in their zone or clearly nearer to it.
 * @param present the groups that stand
 * @param found by {@link regroup}, in any order
 */
function worthTheirMoves(
  problem: GroupingProblem,
  present: Grouping['groups'],
  found: readonly Grouping[],
): Grouping[] {
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
  return worth
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
