import { gameOf } from '@/core/games'
import { cheapestLevel } from '@/core/grouping/problem'
import { propose, type Proposal } from '@/core/grouping/propose'
import { problemOfRequest, type GroupingRequest } from '@/core/grouping/request'
import { ContradictoryLimits } from '@/core/grouping/units'
import type { StoredGrouping } from '@/data/queries/groupings'

export interface ShownGroup {
  pennant: number
  level: number
  children: string[]
  /** An adult stays near this group. */
  withAdult: boolean
}

/** Groups as they stand or are proposed, by the ids of children. */
export interface ShownGrouping {
  groups: ShownGroup[]
  /** Level of each child who has an own range in the same game. */
  own: Record<string, number>
  /** Pair of each child who plays in one. */
  pairs: Record<string, number>
}

/** The first groups of a proposal, which the browser may better; `onClash` where the limits can't hold at once. */
export function proposedOr<T>(request: GroupingRequest, onClash: T): ShownGrouping | T {
  try {
    return shown(request, propose(request).next().value)
  } catch (error) {
    if (error instanceof ContradictoryLimits) return onClash
    throw error
  }
}

/** Made by hand, or where no groups keep the limits: everybody in the first, to be moved by hand. */
export const everybodyInOne = ({ children }: GroupingRequest, count: number): ShownGrouping => ({
  groups: Array.from({ length: count }, (_, pennant) => ({
    pennant,
    level: 0,
    children: pennant === 0 ? [...children] : [],
    withAdult: false,
  })),
  own: {},
  pairs: {},
})

function shown({ children, limits }: GroupingRequest, { groups, own, pairs }: Proposal): ShownGrouping {
  const byChild = (values: number[] | null) =>
    Object.fromEntries((values ?? []).map((value, child) => [children[child], value]))
  return {
    groups: groups.map((group, pennant) => ({
      pennant,
      level: group.level,
      children: group.children.map((child) => children[child]),
      withAdult: limits.adultNear.length > 0 && limits.withAdult.includes(pennant),
    })),
    own: byChild(own),
    pairs: byChild(pairs),
  }
}

/** Stored groups as shown; children who came since stand in the first group until moved. */
function standingGroups({ groups, gameId }: StoredGrouping, children: readonly string[]): ShownGroup[] {
  const placed = new Set(groups.flatMap(({ pupils }) => pupils))
  const { levels } = gameOf(gameId)
  return groups.map(({ pennant, levelId, pupils, withAdult }, position) => ({
    pennant,
    withAdult,
    level: Math.max(
      0,
      levels.findIndex(({ id }) => id === levelId),
    ),
    children: [
      ...pupils.filter((id) => children.includes(id)),
      ...(position === 0 ? children.filter((id) => !placed.has(id)) : []),
    ],
  }))
}

/** The groups that stand, with the own ranges that today's estimates give. */
export function shownStanding(standing: StoredGrouping, request: GroupingRequest): ShownGrouping {
  const groups = standingGroups(standing, request.children)
  const pairs = Object.assign({}, ...standing.groups.map((group) => group.pairs)) as Record<string, number>
  if (standing.mode !== 'mixed' && standing.mode !== 'pairs') return { groups, own: {}, pairs: {} }
  return { groups, own: ownLevels(request, pairs), pairs }
}

/** The level that suits each child, or both of its pair, best. */
function ownLevels(request: GroupingRequest, pairs: Record<string, number>): Record<string, number> {
  const problem = problemOfRequest(request)
  const { children } = request
  return Object.fromEntries(
    children.map((id, child) => {
      const set =
        pairs[id] === undefined
          ? [child]
          : children.flatMap((other, index) => (pairs[other] === pairs[id] ? [index] : []))
      return [id, cheapestLevel(problem, set).level]
    }),
  )
}
