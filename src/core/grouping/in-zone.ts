import { ownBand } from '../evidence/fit'
import { fitCost, inBand } from './problem/fit-cost'
import type { Group, Groups } from './groups'
import type { ClassFit } from './request'

/** Of the children of some groups: how many stand in their zone, of those known, and how many are not known yet. */
export interface InZone {
  fitting: number
  known: number
  notKnown: number
}

/** Counts those in their zone, of whom enough was seen to say so. */
export function countInZone(children: readonly { success: number; known: boolean }[]): InZone {
  const known = children.filter((child) => child.known)
  return {
    fitting: known.filter(({ success }) => inBand(success, ownBand)).length,
    known: known.length,
    notKnown: children.length - known.length,
  }
}

/** The share a child can be expected to get right alone at a level. */
const successAtLevel = ({ levels, success }: ClassFit, child: string, levelId: string): number =>
  success[child][
    Math.max(
      0,
      levels.findIndex(({ id }) => id === levelId),
    )
  ]

/** The same where the child plays: at its own level, where it has one, else at its group's. */
export const successInGroup = (
  fit: ClassFit,
  child: string,
  { levelId }: Pick<Group, 'levelId'>,
  own: Groups['own'],
): number => successAtLevel(fit, child, own[child] ?? levelId)

/**
 * Counts the children in their zone; the one computation behind the headline of the groups, the curve against their
 * number and the comparison with one level for all. Who is not known yet counts as neither in nor out.
 */
export function childrenInZone(fit: ClassFit, { groups, own }: Pick<Groups, 'groups' | 'own'>): InZone {
  const notKnown = new Set(fit.notKnown)
  return countInZone(
    groups.flatMap((group) =>
      group.pupils.map((child) => ({
        success: successInGroup(fit, child, group, own),
        known: !notKnown.has(child),
      })),
    ),
  )
}

/** How far the children are from their zone at a level, summed up. */
const costAtLevel = (fit: ClassFit, children: readonly string[], levelId: string): number =>
  children.reduce((sum, child) => sum + fitCost(successAtLevel(fit, child, levelId), ownBand), 0)

/** Groups taken to another game: a level that it has as well stays, else it is the one nearest to all in the group. */
export const atLevelsOf = (fit: ClassFit, groups: readonly Group[]): Group[] =>
  groups.map((group) => {
    if (fit.levels.some(({ id }) => id === group.levelId)) return group
    const cost = (levelId: string) => costAtLevel(fit, group.pupils, levelId)
    const nearest = fit.levels.reduce((best, level) => (cost(level.id) < cost(best.id) ? level : best))
    return { ...group, levelId: nearest.id }
  })

/**
 * Everybody at one level: what groups are compared with. Of the levels the one that brings most of the known into
 * their zone, for the comparison is to be fair; of those that bring as many, the one nearest to all.
 */
export function atOneLevel(fit: ClassFit, children: readonly string[]): InZone {
  const tried = fit.levels.map(({ id: levelId }) => ({
    zone: childrenInZone(fit, {
      groups: [{ pennant: 0, levelId, pupils: [...children], withAdult: false }],
      own: {},
    }),
    cost: costAtLevel(fit, children, levelId),
  }))
  return tried.reduce((best, one) => {
    const more = one.zone.fitting - best.zone.fitting
    return more > 0 || (more === 0 && one.cost < best.cost) ? one : best
  }).zone
}
