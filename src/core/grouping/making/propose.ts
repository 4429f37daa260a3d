import { makeGroups } from './make-groups'
import { mixGroups } from './mixed'
import { pairUp } from './pairs'
import type { Groups } from '../groups'
import { cheapestLevel, type GroupingProblem } from '../problem/problem'
import { byPennant, groupsById, mostUneven, problemOfRequest, type GroupingRequest } from '../request'
import { ContradictoryLimits, type Clash } from '../problem/units'

/** Longer searches after the first, for groups whose cost is not proved to be the least. */
const moreSearches = 6

/**
 * Makes groups as the class makes them. Yields what it has now and then, so that a worker can show it and
 * be stopped; where the first groups are proved to cost least, they are the last.
 * @throws {ContradictoryLimits} with groups by their pennants
 */
export function* propose(request: GroupingRequest): Generator<Groups, Groups> {
  let uneven: Clash | undefined
  for (let more = 0; ; more++)
    try {
      return yield* searched({ ...request, sizes: looser(request.sizes, more) }, uneven)
    } catch (error) {
      const told = byPennant(error, request)
      if (!(told instanceof ContradictoryLimits) || !request.evenly || more === mostUneven) throw told
      uneven ??= told.clash ?? { limits: [], drop: [] }
    }
}

const looser = ({ min, max }: GroupingRequest['sizes'], by: number) => ({
  min: Math.max(1, min - by),
  max: max + by,
})

function* searched(request: GroupingRequest, uneven: Clash | undefined): Generator<Groups, Groups> {
  const note = (made: Groups): Groups => (uneven ? { ...made, uneven } : made)
  const run = search(request)
  let step = run.next()
  for (; !step.done; step = run.next()) yield note(step.value)
  return note(step.value)
}

function* search(request: GroupingRequest): Generator<Groups, Groups> {
  const problem = problemOfRequest(request)
  if (request.mode === 'mixed') return mixed(request, problem, null)
  if (request.mode === 'pairs') {
    const pairs = partners(request, problem)
    const children = (set: readonly number[]) => set.map((child) => problem.children[child])
    const together = [...problem.limits.together, ...pairs.filter((set) => set.length > 1).map(children)]
    return mixed(request, { ...problem, limits: { ...problem.limits, together } }, pairs)
  }
  const { seed } = problem.limits
  let best = makeGroups(problem)
  for (let more = 1; more <= moreSearches && best.cost > best.lowerBound + 1e-9; more++) {
    yield { groups: groupsById(request, best.groups), own: {}, pairs: {} }
    const made = makeGroups({ ...problem, limits: { ...problem.limits, seed: seed + more } })
    if (made.cost < best.cost - 1e-12) best = made
  }
  return { groups: groupsById(request, best.groups), own: {}, pairs: {} }
}

function mixed(request: GroupingRequest, problem: GroupingProblem, pairs: number[][] | null): Groups {
  const { groups } = mixGroups(problem, request.abilities)
  const cheapest = (set: readonly number[]) => cheapestLevel(problem, set).level
  const byChild = <T>(value: (child: number) => T): Record<string, T> =>
    Object.fromEntries(problem.children.map((id, child) => [id, value(child)]))
  const pairOf = (child: number) => pairs?.findIndex((set) => set.includes(child)) ?? -1
  return {
    groups: groupsById(
      request,
      groups.map(({ children }) => ({ level: cheapest(children), children })),
    ),
    own: byChild((child) => problem.levels[cheapest(pairs?.[pairOf(child)] ?? [child])]),
    pairs: pairs ? byChild(pairOf) : {},
  }
}

/** Meeting again what is to be kept apart would cost more than any reach. */
const never = 1e6

/** Pairs within reach, new partners first; who is kept apart is never a pair. */
function partners(
  { children, abilities, met, apart }: GroupingRequest,
  { limits }: GroupingProblem,
): number[][] {
  const n = children.length
  const meetings = new Float64Array(n * n)
  const note = (sets: readonly (readonly string[])[], times: number) => {
    for (const set of sets) {
      const present = set.map((id) => children.indexOf(id)).filter((child) => child >= 0)
      for (const a of present) for (const b of present) if (a < b) meetings[a * n + b] += times
    }
  }
  note(met, 1)
  note(apart, never)
  return pairUp(abilities, meetings, limits.seed).pairs
}
