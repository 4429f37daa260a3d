import { ownBand } from '../../evidence/fit'
import { everyRegrouping, regroup } from './by-move-price'
import { presentGrouping } from '../making/make-groups'
import type { Group } from '../groups'
import { childrenFitting, type Grouping, type GroupingProblem } from '../problem/problem'
import { filled } from './request'
import { byPennant, groupsById, groupsByIndex, problemOfRequest, type GroupingRequest } from '../request'

/** A regrouping of the groups that stand. */
export interface Regrouping {
  fitting: number
  /** How far children stand outside their zone in all. */
  cost: number
  groups: Group[]
  /** Who moves from which group to which, and what is expected here and there. */
  moves: { pupil: string; from: number; to: number; here: number; there: number }[]
  /** Who stays in a group that plays another level then, and is clearly better or worse off with it. */
  staying: { pupil: string; here: number; there: number }[]
  /** Of all of them those who would stand clearly further outside their zone than now. */
  harmed: string[]
}

/**
 * Regroupings of the groups that stand that are worth their moves. Yields those so far and the share of the search
 * that is through, so that a worker can tell and be stopped.
 * @throws {ContradictoryLimits} with groups by their pennants
 */
export function* regroupings(
  request: GroupingRequest,
  groups: readonly Group[],
): Generator<{ found: Regrouping[]; done: number }, Regrouping[]> {
  const standing = filled(groups)
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
  const changes = changesOf(success, before, made.groups)
  return {
    fitting: made.fitting,
    cost: made.cost,
    // An adult stays where she is, whether anybody there needs one near or not.
    groups: groups.map((group, g) => ({ ...group, withAdult: standing[g].withAdult })),
    moves: changes
      .filter(({ from, to }) => from !== to)
      .map(({ child, from, to, here, there }) => ({
        pupil: request.children[child],
        from: standing[from].pennant,
        to: standing[to].pennant,
        here,
        there,
      })),
    staying: changes
      .filter(({ from, to, here, there }) => from === to && Math.abs(there - here) > worthNaming)
      .map(({ child, here, there }) => ({ pupil: request.children[child], here, there })),
    harmed: changes.filter(isHarmed).map(({ child }) => request.children[child]),
  }
}

/** From this change of predicted success on a child is named, moved or not. */
const worthNaming = 0.05

export interface Change {
  child: number
  /** Positions of the groups. */
  from: number
  to: number
  here: number
  there: number
}

/** What comes of a regrouping for every child that is in a group now, in their order. */
function changesOf(
  success: GroupingProblem['success'],
  before: Grouping['groups'],
  after: Grouping['groups'],
): Change[] {
  return success.flatMap((row, child) => {
    const from = before.findIndex(({ children }) => children.includes(child))
    const to = after.findIndex(({ children }) => children.includes(child))
    return from < 0 || to < 0
      ? []
      : [{ child, from, to, here: row[before[from].level], there: row[after[to].level] }]
  })
}

/** How far outside its zone a child stands. */
const outside = (share: number) => Math.max(0, ownBand[0] - share, share - ownBand[1])

/** A child that stands further outside its zone by more than this is harmed by a regrouping. */
const harmFrom = 0.1

const isHarmed = ({ here, there }: Change) => outside(there) - outside(here) > harmFrom

/**
 * A regrouping with what it brings, of the children that are known and of all by what is believed of them: those in their
 * zone, less those it harms, each of whom weighs as much.
 */
interface Weighed {
  made: Grouping
  gain: number
  believed: number
}

/**
 * The groups as they stand, then those regroupings that are worth their moves: with as much gain, as many who are believed
 * to be in their zone, and in all no further from it than with fewer moves; and more of either, or clearly nearer to it.
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
  const everybody = { ...problem, known: problem.known.map(() => true) }
  const weighed = (made: Grouping): Weighed => {
    const harmed = changesOf(problem.success, present, made.groups).filter(isHarmed).length
    return {
      made,
      gain: made.fitting - harmed,
      believed: childrenFitting(everybody, made.groups) - harmed,
    }
  }
  const worth = [weighed(now)]
  const counts = [...new Set(found.map(({ moved }) => moved.length))].sort((a, b) => a - b)
  const all = found.map(weighed)
  for (const count of counts) {
    const better = all.filter(({ made }) => made.moved.length === count).filter(isBetterThan(worth.at(-1)!))
    if (better.length > 0) worth.push(better.reduce((best, one) => (isFirst(one, best) ? one : best)))
  }
  return worth.map(({ made }) => made)
}

/**
 * The best that was found with so many moves at most, with what it changes for whom; the groups that stand where
 * nothing better was found. In core indices, for the command line.
 */
export function regroupWithin(
  problem: GroupingProblem,
  present: Grouping['groups'],
  mostMoves: number,
): { made: Grouping; changes: Change[] } {
  const found = everyRegrouping(problem, present).filter(({ moved }) => moved.length <= mostMoves)
  const made = worthTheirMoves(problem, present, found).at(-1)!
  return { made, changes: changesOf(problem.success, present, made.groups) }
}

/** The share of the distance from the zone that has to go for moves that gain nothing else. */
const clearly = 0.2

const isBetterThan =
  (last: Weighed) =>
  ({ gain, believed, made: { cost } }: Weighed): boolean =>
    cost <= last.made.cost + 1e-9 &&
    gain >= last.gain &&
    believed >= last.believed &&
    (gain > last.gain || believed > last.believed || cost < (1 - clearly) * last.made.cost - 1e-9)

const isFirst = (a: Weighed, b: Weighed) =>
  a.gain !== b.gain
    ? a.gain > b.gain
    : a.believed !== b.believed
      ? a.believed > b.believed
      : a.made.cost < b.made.cost
