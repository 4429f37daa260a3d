import { pennantsFor, type Group } from '@/core/grouping/groups'
import { propose } from '@/core/grouping/making/propose'
import { allRegroupings } from '@/core/grouping/regrouping/regrouping'
import { regroupingRequest } from '@/core/grouping/regrouping/request'
import { evenSizes, requestFor, type ClassFit } from '@/core/grouping/request'
import { countLatest, usualCount } from '@/core/evidence/moving-up'
import { gameOf } from '@/core/games'
import { ownBand } from '@/core/evidence/fit'
import { fitCost } from '@/core/grouping/problem/fit-cost'
import { levelOfGroup, mainStrand, successAt } from '@/core/planning/session/levels'
import type { PlannedChild } from '@/core/planning/session/context'
import { stepIndex } from '@/core/skills'
import { practised } from '@/server/figures'
import { stepOfVisit } from '@/server/marks/marks'
import type { Believed } from './child'

/** The game that groups are made by, and how many groups there are. */
export const groupedBy = 'landfall'
const groupCount = 6

/** The class as groups are made of it. */
function fitOf(children: readonly PlannedChild[]): ClassFit {
  const strand = mainStrand(groupedBy, practised)
  const success = successAt(groupedBy, children, practised)
  return {
    levels: gameOf(groupedBy).levels.map(({ id, title }) => ({ id, title })),
    success: Object.fromEntries(children.map(({ id }, i) => [id, success[i]])),
    abilities: Object.fromEntries(
      children.map(({ id, rightAlone }) => [id, rightAlone[strand].reduce((sum, share) => sum + share, 0)]),
    ),
    spans: {},
    notKnown: children.flatMap(({ id, notKnown }) => (notKnown.includes(strand) ? [id] : [])),
  }
}

/** Groups as the product proposes them first. */
export function firstGroups(children: readonly PlannedChild[]): Group[] {
  const ids = children.map(({ id }) => id)
  const pennants = pennantsFor([], groupCount)
  const request = requestFor(ids, fitOf(children), {
    links: [],
    pennants,
    sizes: evenSizes(ids.length, groupCount),
    evenly: true,
  })
  return propose(request).next().value.groups
}

/** How a term is run: who changes groups every other week, and at which level a group plays a game. */
export interface Policy {
  name: string
  /**
   * Who judges where a child stands, if not the product: `truth`, from whom nothing is hidden, or `best`, who knows the law by
   * which the children were made and of each of them no more than the product does.
   */
  judge?: 'truth' | 'best'
  regroup(
    groups: Group[],
    children: readonly PlannedChild[],
    believed: ReadonlyMap<string, Believed>,
  ): Group[]
  /** Children whom their group's level does not suit play at their own, where the game lets them. */
  ownLevels?: true
  /** Along the group: the level each child plays a game at. */
  levels(
    gameId: string,
    group: readonly PlannedChild[],
    all: readonly PlannedChild[],
    pennant: number,
  ): number[]
}

const levelsFitting = (gameId: string, pupils: readonly PlannedChild[], ownLevels: boolean) =>
  levelOfGroup(
    gameId,
    { pupils: [...pupils], pairs: pupils.map(() => null) },
    { mode: 'similar', ownLevels },
    null,
    practised,
  )

const forAll = (group: readonly PlannedChild[], level: number) => group.map(() => level)

/** The level that brings most of these children into their zone; of those that bring as many the nearest to all. */
function levelForMost(gameId: string, pupils: readonly PlannedChild[]): number {
  const success = successAt(gameId, pupils, practised)
  const tried = gameOf(gameId).levels.map((_, level) => ({
    level,
    inZone: success.filter((row) => row[level] >= ownBand[0] && row[level] <= ownBand[1]).length,
    cost: success.reduce((sum, row) => sum + fitCost(row[level], ownBand), 0),
  }))
  return tried.reduce((best, one) =>
    one.inZone > best.inZone || (one.inZone === best.inZone && one.cost < best.cost) ? one : best,
  ).level
}

const stay = (groups: Group[]) => groups

/** The level that fitted a group as it was in the first week, by what was believed then, whoever is in it now. */
function levelsOfWeekOne(): Policy['levels'] {
  let begun: ReadonlyMap<string, PlannedChild> | null = null
  const members = new Map<number, string[]>()
  return (gameId, group, all, pennant) => {
    begun ??= new Map(all.map((child) => [child.id, child]))
    if (!members.has(pennant))
      members.set(
        pennant,
        group.map(({ id }) => id),
      )
    const then = members.get(pennant)!.map((id) => begun!.get(id)!)
    return forAll(group, levelsFitting(gameId, then, false).level)
  }
}

/** The product by its own defaults, beside what is done without it. */
export const policies: Record<string, () => Policy> = {
  product: () => ({
    name: 'by the product’s defaults',
    regroup(groups, children) {
      const ids = children.map(({ id }) => id)
      const best = allRegroupings(regroupingRequest(ids, fitOf(children), groups, [], []), groups).at(-1)
      return best && best.moves.length > 0 ? best.groups : groups
    },
    ownLevels: true,
    levels(gameId, group) {
      const { level, own } = levelsFitting(gameId, group, true)
      return own ?? forAll(group, level)
    },
  }),
  all: () => ({ ...policies.product(), name: 'the same with nothing hidden', judge: 'truth' }),
  best: () => ({
    ...policies.product(),
    name: 'the same with the best that guesses and marks can tell',
    judge: 'best',
  }),
  one: () => ({
    name: 'one level for all',
    regroup: stay,
    levels: (gameId, group, all) => forAll(group, levelForMost(gameId, all)),
  }),
  fixed: () => ({
    name: 'groups and levels of week one',
    regroup: stay,
    levels: levelsOfWeekOne(),
  }),
  count: () => ({
    name: 'moved up by counting, levels of week one',
    /** Who was right alone 8 times of the last 10 at its level's step goes to the next group up. */
    regroup(groups, _children, believed) {
      const { levels } = gameOf(groupedBy)
      const rank = ({ levelId }: Group) => levels.findIndex(({ id }) => id === levelId)
      const order = [...groups].sort((a, b) => rank(a) - rank(b))
      const next = groups.map((group) => ({ ...group, pupils: [...group.pupils] }))
      for (const [position, group] of order.entries()) {
        const above = order[position + 1]
        if (!above) continue
        const place = stepOfVisit(groupedBy, group.levelId, 'add')
        for (const id of group.pupils) {
          const seen = believed.get(id)!.judgedOn(place.strand)
          if (!countLatest(seen, stepIndex(place), usualCount).ready) continue
          const from = next.find(({ pennant }) => pennant === group.pennant)!
          from.pupils = from.pupils.filter((one) => one !== id)
          next.find(({ pennant }) => pennant === above.pennant)!.pupils.push(id)
        }
      }
      return next
    },
    levels: levelsOfWeekOne(),
  }),
}
