import { expectedSuccess, ownBand } from '../../evidence/fit'
import { gameOf } from '../../games'
import { inBand } from '../../grouping/problem/fit-cost'
import { countInZone, type InZone } from '../../grouping/in-zone'
import type { GroupingMode } from '../../grouping/making/mode'
import { cheapestLevel, groupingProblem, limitsSchema } from '../../grouping/problem/problem'
import type { StrandId } from '../../skills'
import type { Figures, PlannedChild, PlannedGroup } from './context'

/** The level at which a group plays a game, and who plays at another. */
export interface GroupLevel {
  level: number
  /** Along the group: level of each child where they have own ranges in the same game. */
  own: number[] | null
  /** Of all children, known or not, those in their zone by what is believed of them: what a plan is made by. */
  fitting: number
  /** Of those known, what is told. */
  zone: InZone
  /** Of those known, who can be expected to be right alone less than half the time. */
  tooHard: number
  /** Mean success to expect. */
  success: number
}

/** Right alone less often than this, a level is too hard to be played without help. */
const hard = 0.5

/** What is wrong with a level for a group as a whole, where at least half of it is known; null: nothing. */
export function misfitOf(
  { zone: { known, fitting }, tooHard }: Pick<GroupLevel, 'zone' | 'tooHard'>,
  children: number,
): 'too-hard' | 'nobody-in-zone' | null {
  if (known === 0 || known * 2 < children) return null
  if (tooHard * 2 > known) return 'too-hard'
  return fitting === 0 ? 'nobody-in-zone' : null
}

/** The strand a game practises most, over its levels: whether a child is known is asked there. */
export function mainStrand(gameId: string, { profile }: Pick<Figures, 'profile'>): StrandId {
  const total = new Map<StrandId, number>()
  for (const { id } of gameOf(gameId).levels)
    for (const { strand, share } of profile(gameId, id)) total.set(strand, (total.get(strand) ?? 0) + share)
  return [...total].reduce((most, entry) => (entry[1] > most[1] ? entry : most))[0]
}

/** Expected success of each child at each level of a game; shape [child][level]. */
export function successAt(
  gameId: string,
  children: readonly Pick<PlannedChild, 'rightAlone'>[],
  figures: Pick<Figures, 'profile'>,
): number[][] {
  const profiles = gameOf(gameId).levels.map(({ id }) => figures.profile(gameId, id))
  return children.map(({ rightAlone }) => profiles.map((profile) => expectedSuccess(profile, rightAlone)))
}

/**
 * What a group comes to at a game: one level for all, or in mixed groups and pairs each child's own, of
 * which the commonest stands for the group.
 * @param chosen the level the teacher set herself; null: the one that fits
 */
export function levelOfGroup(
  gameId: string,
  { pupils, pairs }: Pick<PlannedGroup, 'pupils' | 'pairs'>,
  mode: GroupingMode,
  chosen: number | null,
  figures: Pick<Figures, 'profile'>,
): GroupLevel {
  const success = successAt(gameId, pupils, figures)
  const sum = (at: (child: number) => number) =>
    pupils.reduce((total, _, child) => total + success[child][at(child)], 0)
  const strand = mainStrand(gameId, figures)
  const of = (level: number, at: (child: number) => number, own: number[] | null): GroupLevel => {
    const there = pupils.map(({ notKnown }, child) => ({
      success: success[child][at(child)],
      known: !notKnown.includes(strand),
    }))
    return {
      level,
      own,
      fitting: there.filter((child) => inBand(child.success, ownBand)).length,
      zone: countInZone(there),
      tooHard: there.filter((child) => child.known && child.success < hard).length,
      success: pupils.length === 0 ? 0 : sum(at) / pupils.length,
    }
  }
  if (chosen !== null) return of(chosen, () => chosen, null)
  const cheapest = levelFinder(gameId, success)
  const all = pupils.map((_, child) => child)
  if (mode !== 'mixed' && mode !== 'pairs') {
    const level = pupils.length === 0 ? 0 : cheapest(all)
    return of(level, () => level, null)
  }
  const own = all.map((child) => {
    const pair = pairs[child]
    return cheapest(pair === null ? [child] : all.filter((other) => pairs[other] === pair))
  })
  return of(commonest(own), (child) => own[child], own)
}

/** The level that costs some children of the group least by fit. */
function levelFinder(gameId: string, success: number[][]) {
  const problem = groupingProblem({
    children: success.map((_, child) => String(child)),
    levels: gameOf(gameId).levels.map(({ id }) => id),
    success,
    band: ownBand,
    limits: limitsSchema.parse({ groups: { count: 1, min: 1, max: Math.max(1, success.length) } }),
  })
  return (children: readonly number[]) => cheapestLevel(problem, children).level
}

function commonest(levels: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const level of levels) counts.set(level, (counts.get(level) ?? 0) + 1)
  return [...counts].reduce((most, entry) => (entry[1] > most[1] ? entry : most), [0, 0])[0]
}
