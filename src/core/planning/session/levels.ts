import { isForLater } from '../../evidence/begun'
import { expectedSuccess, ownBand } from '../../evidence/fit'
import type { ProfileStep } from '../../skills/marked-step'
import { gameOf, type AnyGame } from '../../games'
import { fitCost, inBand } from '../../grouping/problem/fit-cost'
import { countInZone, type InZone } from '../../grouping/in-zone'
import { eachItsOwn } from '../../grouping/making/mode'
import { cheapestLevel, groupingProblem, limitsSchema } from '../../grouping/problem/problem'
import type { StrandId } from '../../skills'
import type { Learner, LevelsWithin, PlannedChild, PlannedGroup, Practised } from './context'

/** The level at which a group plays a game, and who plays at another. */
export interface GroupLevel {
  level: number
  /** Along the group: level of each child where not all play at the group's. */
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

/** So much a child who may play beside the group weighs at most in the choice of its level: as one at the edge of too hard. */
const mostPull = fitCost(hard, ownBand)

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
export function mainStrand(gameId: string, { profile }: Pick<Practised, 'profile'>): StrandId {
  const total = new Map<StrandId, number>()
  for (const { id } of gameOf(gameId).levels)
    for (const { strand, share } of profile(gameId, id)) total.set(strand, (total.get(strand) ?? 0) + share)
  return [...total].reduce((most, entry) => (entry[1] > most[1] ? entry : most))[0]
}

/**
 * Expected success of a child at a level; 0, by convention and not by estimate, where the level is for what the child has
 * not begun: so it is nobody's best level, and brings nobody into its zone.
 */
const successIn = (steps: readonly ProfileStep[], marked: readonly ProfileStep[], child: Learner): number =>
  isForLater(marked, child) ? 0 : expectedSuccess(steps, child.rightAlone)

/** The same at a level of the catalogue. */
export const successOf = (
  gameId: string,
  levelId: string,
  child: Learner,
  { profile, marked }: Practised,
): number => successIn(profile(gameId, levelId), marked(gameId, levelId), child)

/** Expected success of each child at each level of a game; shape [child][level]. */
export function successAt(gameId: string, children: readonly Learner[], figures: Practised): number[][] {
  const levels = gameOf(gameId).levels.map(
    ({ id }) => [figures.profile(gameId, id), figures.marked(gameId, id)] as const,
  )
  return children.map((child) => levels.map(([steps, marked]) => successIn(steps, marked, child)))
}

/** One child can play it by itself: so it can also play beside others, at another level with things of its own. */
export const playedBeside = ({ room, interaction }: AnyGame): boolean =>
  room.alone && !room.whole && interaction !== 'contest'

/**
 * What a group comes to at a game: one level for all but those whom it does not suit and another one would, where
 * the game can be played beside others; in mixed groups and pairs each child's own, of which the commonest stands
 * for the group.
 * @param chosen the level the teacher set for all herself; null: the one that fits
 */
export function levelOfGroup(
  gameId: string,
  { pupils, pairs }: Pick<PlannedGroup, 'pupils' | 'pairs'>,
  { mode, ownLevels }: LevelsWithin,
  chosen: number | null,
  figures: Practised,
): GroupLevel {
  const success = successAt(gameId, pupils, figures)
  const strand = mainStrand(gameId, figures)
  const at = (level: number, own: number[]) => comesTo(pupils, success, strand, level, own)
  const forAll = (level: number) =>
    at(
      level,
      pupils.map(() => level),
    )
  if (chosen !== null) return forAll(chosen)
  if (pupils.length === 0) return forAll(0)
  const problem = levelProblem(gameId, success)
  const cheapest = (children: readonly number[]) => cheapestLevel(problem, children).level
  const all = pupils.map((_, child) => child)
  if (eachItsOwn(mode)) {
    const own = all.map((child) => {
      const pair = pairs[child]
      return cheapest(pair === null ? [child] : all.filter((other) => pairs[other] === pair))
    })
    return at(commonest(own), own)
  }
  if (!ownLevels || !playedBeside(gameOf(gameId))) return forAll(cheapest(all))
  const pull = problem.cost.map((row, child) =>
    mayPlayBeside(pupils[child], success[child], strand) ? row.map((cost) => Math.min(cost, mostPull)) : row,
  )
  const { level } = cheapestLevel({ ...problem, cost: pull }, all)
  return at(
    level,
    pupils.map((child, i) => suiting(child, success[i], strand, level)),
  )
}

/** The level at which a child plays who comes to a group that plays at some level. */
export function levelBeside(
  gameId: string,
  child: PlannedChild,
  level: number,
  { mode, ownLevels }: LevelsWithin,
  figures: Practised,
): number {
  const success = successAt(gameId, [child], figures)
  if (eachItsOwn(mode)) return cheapestLevel(levelProblem(gameId, success), [0]).level
  if (!ownLevels || !playedBeside(gameOf(gameId))) return level
  return suiting(child, success[0], mainStrand(gameId, figures), level)
}

/** What a group comes to at levels that are given. @param own along the group */
export function levelsGiven(
  gameId: string,
  pupils: PlannedGroup['pupils'],
  level: number,
  own: number[],
  figures: Practised,
): GroupLevel {
  return comesTo(pupils, successAt(gameId, pupils, figures), mainStrand(gameId, figures), level, own)
}

function comesTo(
  pupils: PlannedGroup['pupils'],
  success: readonly number[][],
  strand: StrandId,
  level: number,
  own: number[],
): GroupLevel {
  const there = pupils.map(({ notKnown }, child) => ({
    success: success[child][own[child]],
    known: !notKnown.includes(strand),
  }))
  return {
    level,
    own: own.some((one) => one !== level) ? own : null,
    fitting: there.filter((child) => inBand(child.success, ownBand)).length,
    zone: countInZone(there),
    tooHard: there.filter((child) => child.known && child.success < hard).length,
    success: there.reduce((sum, child) => sum + child.success, 0) / Math.max(1, pupils.length),
  }
}

const fittingLevels = (success: readonly number[]) =>
  success.flatMap((share, level) => (inBand(share, ownBand) ? [level] : []))

/** Some level suits the child, and enough was seen of it to say which. */
const mayPlayBeside = (
  { notKnown }: Pick<PlannedChild, 'notKnown'>,
  success: readonly number[],
  strand: StrandId,
): boolean => !notKnown.includes(strand) && fittingLevels(success).length > 0

/** The group's level if it suits a child, or none is known to; else the one nearest to it that does. */
function suiting(
  child: Pick<PlannedChild, 'notKnown'>,
  success: readonly number[],
  strand: StrandId,
  level: number,
): number {
  const fitting = fittingLevels(success)
  if (!mayPlayBeside(child, success, strand) || fitting.includes(level)) return level
  return fitting.reduce((best, at) => (Math.abs(at - level) < Math.abs(best - level) ? at : best))
}

/** What each level of a game costs each child by fit. */
const levelProblem = (gameId: string, success: number[][]) =>
  groupingProblem({
    children: success.map((_, child) => String(child)),
    levels: gameOf(gameId).levels.map(({ id }) => id),
    success,
    band: ownBand,
    limits: limitsSchema.parse({ groups: { count: 1, min: 1, max: Math.max(1, success.length) } }),
  })

function commonest(levels: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const level of levels) counts.set(level, (counts.get(level) ?? 0) + 1)
  return [...counts].reduce((most, entry) => (entry[1] > most[1] ? entry : most), [0, 0])[0]
}
