import { z } from 'zod'
import { stepIndex, strandOf, type StrandId } from '../skills'

export const yearGroups = ['Reception', 'Year 1', 'Year 2', 'Year 3', 'Year 4'] as const
export type YearGroup = (typeof yearGroups)[number]
export const yearGroupSchema = z.enum(yearGroups)

export const surenesses = ['about', 'sure', 'unknown'] as const
export type Sureness = (typeof surenesses)[number]

/** Spread of a first placement in logits, by how sure the teacher is. */
export const spread: Record<Sureness, number> = { about: 1, sure: 0.5, unknown: 2 }

/** The step a child of a year group usually works on in the autumn. Common practice, no source. */
export const usualStep: Record<StrandId, Record<YearGroup, string>> = {
  count: byYear('count-10 count-30 count-100 count-120 count-1000'),
  'count-back': byYear('back-5 back-10 back-20 back-100 back-100'),
  numerals: byYear('numerals-10 numerals-20 numerals-100 numerals-120 numerals-1000'),
  'how-many': byYear('count-out-10 five-and-some count-out-20 tens-and-ones-100 tens-and-ones-100'),
  order: byYear('more-5 order-10 order-20 order-100 order-1000'),
  add: byYear('take-away-5 count-on-10 count-on-20 tens-ones-100 complement-100'),
  place: byYear('ten-and-some ten-and-some tens-ones ten-more-grid hundreds'),
  'skip-tens': byYear('tens-50 tens-50 tens-100 tens-100 tens-100'),
  'skip-fives': byYear('fives-50 fives-50 fives-50 fives-100 fives-100'),
  'skip-twos': byYear('twos-20 twos-20 twos-20 twos-100 twos-100'),
  'skip-more': byYear('threes-fours threes-fours threes-fours threes-fours sevens'),
  groups: byYear('share-12 equal-groups-20 rows-25 quarter-20 quarter-20'),
  facts: byYear('x2-10-5 x2-10-5 x2-10-5 x3-4 x6-9'),
  coins: byYear('like-coins-20 like-coins-20 coins-50 change-20 change-20'),
  recall: byYear('recall-5 recall-5 recall-10 recall-20 recall-20'),
  time: byYear('hour hour half-hour quarter quarter'),
  pattern: byYear('pattern-ab pattern-aab pattern-abc pattern-abc pattern-abc'),
}

const schoolDaysAYear = 190

/**
 * How far children usually come on a strand in a school day, in logits: from where Reception begins to where Year 4 does, over
 * the days between. Common practice, no source.
 */
export function growthPerDay(strand: StrandId): number {
  const { steps } = strandOf(strand)
  const at = (year: YearGroup) => steps[stepIndex({ strand, step: usualStep[strand][year] })].difficulty
  return (at('Year 4') - at('Reception')) / ((yearGroups.length - 1) * schoolDaysAYear)
}

/** Ids of steps from Reception to Year 4. */
function byYear(steps: string): Record<YearGroup, string> {
  const ids = steps.split(' ')
  return Object.fromEntries(yearGroups.map((year, index) => [year, ids[index]])) as Record<YearGroup, string>
}

export interface Placement {
  step: string
  sureness: Sureness
}

/** Where a child of this year group is placed until more is known. */
export function placementByYear(strand: StrandId, year: YearGroup): Placement {
  return { step: usualStep[strand][year], sureness: 'unknown' }
}

/** Logits above a step's difficulty from which four answers in five are right alone, and a little more. */
const secureAbove = Math.log(4) + 0.06

/**
 * Prior ability of a placed child. Placed on a step means working on it: half the answers or a few more are right alone, so
 * the mean stands just above the step's difficulty; and the step below is no longer worked on, however near it is.
 */
export function priorOf(strand: StrandId, { step, sureness }: Placement): { mean: number; sd: number } {
  const { steps } = strandOf(strand)
  const at = stepIndex({ strand, step })
  const below = steps[at - 1]?.difficulty ?? -Infinity
  return { mean: Math.max(steps[at].difficulty + 0.5, below + secureAbove), sd: spread[sureness] }
}
