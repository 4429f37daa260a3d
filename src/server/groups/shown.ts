import { gameOf, usualLevel } from '@/core/games'
import type { Group, Groups } from '@/core/grouping/groups'
import { cheapestLevel } from '@/core/grouping/problem/problem'
import { eachItsOwn } from '@/core/grouping/making/mode'
import { propose } from '@/core/grouping/making/propose'
import { problemOfRequest, type GroupingRequest } from '@/core/grouping/request'
import { ContradictoryLimits } from '@/core/grouping/problem/units'
import type { StoredGrouping } from '@/data/queries/groupings'

/** The first groups of a proposal, which the browser may better; `onClash` where the limits can't hold at once. */
export function proposedOr<T>(request: GroupingRequest, onClash: T): Groups | T {
  try {
    return propose(request).next().value
  } catch (error) {
    if (error instanceof ContradictoryLimits) return onClash
    throw error
  }
}

/** Made by hand, or where no groups keep the limits: everybody in the first, to be moved by hand, at the level that suits most. */
export function everybodyInOne(request: GroupingRequest): Groups {
  const { children, levels, pennants } = request
  const everybody = children.map((_, child) => child)
  const levelId = levels[cheapestLevel(problemOfRequest(request), everybody).level]
  return {
    groups: pennants.map((pennant, position) => ({
      pennant,
      levelId,
      pupils: position === 0 ? [...children] : [],
      withAdult: false,
    })),
    own: {},
    pairs: {},
  }
}

/** Stored groups as shown, without those who have left; who came since is in none until moved. */
function standingGroups({ groups, gameId }: StoredGrouping, children: readonly string[]): Group[] {
  const game = gameOf(gameId)
  return groups.map(({ pennant, levelId, pupils, withAdult }) => ({
    pennant,
    withAdult,
    levelId: game.levels.some(({ id }) => id === levelId) ? levelId : usualLevel(game).id,
    pupils: pupils.filter((id) => children.includes(id)),
  }))
}

/** The groups that stand, with the own ranges that today's estimates give. */
export function shownStanding(standing: StoredGrouping, request: GroupingRequest): Groups {
  const groups = standingGroups(standing, request.children)
  const pairs = Object.assign({}, ...standing.groups.map((group) => group.pairs)) as Record<string, number>
  if (!eachItsOwn(standing.mode)) return { groups, own: {}, pairs: {} }
  return { groups, own: ownLevels(request, pairs), pairs }
}

/** The level that suits each child, or both of its pair, best. */
function ownLevels(request: GroupingRequest, pairs: Record<string, number>): Record<string, string> {
  const problem = problemOfRequest(request)
  const { children } = request
  return Object.fromEntries(
    children.map((id, child) => {
      const set =
        pairs[id] === undefined
          ? [child]
          : children.flatMap((other, index) => (pairs[other] === pairs[id] ? [index] : []))
      return [id, problem.levels[cheapestLevel(problem, set).level]]
    }),
  )
}
