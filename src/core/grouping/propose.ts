import { makeGroups } from './group'
import { mixGroups } from './mixed'
import { pairUp } from './pairs'
import { cheapestLevel, type Grouping, type GroupingProblem } from './problem'
import { problemOfRequest, type GroupingRequest } from './request'

/** Groups proposed in one of the ways of making them; children and levels by index. */
export interface Proposal {
  groups: { level: number; children: number[] }[]
  /** Level of each child where children or pairs have own ranges in the same game; null: the group's. */
  own: number[] | null
  /** Pair of each child, counted from 0; null: not made of pairs. */
  pairs: number[] | null
}

/** Longer searches after the first, for groups whose cost is not proved to be the least. */
const moreSearches = 6

/**
 * Makes groups as the class makes them. Yields what it has now and then, so that a worker can show it and
 * be stopped; where the first groups are proved to cost least, they are the last.
 * @throws {ContradictoryLimits}
 */
export function* propose(request: GroupingRequest): Generator<Proposal, Proposal> {
  const problem = problemOfRequest(request)
  if (request.mode === 'mixed') return mixed(problem, request.abilities, null)
  if (request.mode === 'pairs') {
    const pairs = partners(request)
    const children = (set: readonly number[]) => set.map((child) => problem.children[child])
    const together = [...problem.limits.together, ...pairs.filter((set) => set.length > 1).map(children)]
    const inPairs = { ...problem, limits: { ...problem.limits, together } }
    return mixed(inPairs, request.abilities, pairs)
  }
  const { seed } = problem.limits
  let best = makeGroups(problem)
  for (let search = 1; search <= moreSearches && best.cost > best.lowerBound + 1e-9; search++) {
    yield oneLevelEach(best)
    const made = makeGroups({ ...problem, limits: { ...problem.limits, seed: seed + search } })
    if (made.cost < best.cost - 1e-12) best = made
  }
  return oneLevelEach(best)
}

const oneLevelEach = ({ groups }: Grouping): Proposal => ({ groups, own: null, pairs: null })

function mixed(problem: GroupingProblem, abilities: readonly number[], pairs: number[][] | null): Proposal {
  const { groups } = mixGroups(problem, abilities)
  const own = problem.children.map((_, child) => {
    const set = pairs?.find((one) => one.includes(child)) ?? [child]
    return cheapestLevel(problem, set).level
  })
  return {
    groups: groups.map(({ children }) => ({ level: cheapestLevel(problem, children).level, children })),
    own,
    pairs: pairs && own.map((_, child) => pairs.findIndex((set) => set.includes(child))),
  }
}

/** Meeting again what is to be kept apart would cost more than any reach. */
const never = 1e6

/** Pairs within reach, new partners first; who is kept apart is never a pair. */
function partners({ children, abilities, met, limits }: GroupingRequest): number[][] {
  const n = children.length
  const meetings = new Float64Array(n * n)
  const note = (sets: readonly (readonly string[])[], times: number) => {
    for (const set of sets) {
      const present = set.map((id) => children.indexOf(id)).filter((child) => child >= 0)
      for (const a of present) for (const b of present) if (a < b) meetings[a * n + b] += times
    }
  }
  note(met, 1)
  note(limits.apart, never)
  return pairUp(abilities, meetings, limits.seed).pairs
}
