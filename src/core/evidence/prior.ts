import { z } from 'zod'
import { strandOf, type StrandId } from '../skills'

export const yearGroups = ['Reception', 'Year 1', 'Year 2', 'Year 3', 'Year 4'] as const
export type YearGroup = (typeof yearGroups)[number]
export const yearGroupSchema = z.enum(yearGroups)

export const surenesses = ['about', 'sure', 'unknown'] as const
export type Sureness = (typeof surenesses)[number]

/** Spread of a first placement in logits, by how sure the teacher is. */
const spread: Record<Sureness, number> = { about: 1, sure: 0.5, unknown: 2 }

/** The step a child of a year group usually works on in the autumn. Common practice, no source. */
const usualStep: Record<StrandId, Record<YearGroup, number>> = {
  count: byYear(1, 3, 4, 5, 6),
  'count-back': byYear(0, 1, 2, 3, 3),
  numerals: byYear(1, 2, 3, 4, 5),
  'how-many': byYear(1, 3, 4, 5, 5),
  order: byYear(0, 2, 3, 4, 6),
  add: byYear(1, 5, 8, 11, 13),
  place: byYear(0, 0, 2, 3, 4),
  'skip-tens': byYear(0, 0, 1, 1, 1),
  'skip-fives': byYear(0, 0, 0, 1, 1),
  'skip-twos': byYear(0, 0, 0, 1, 1),
  'skip-more': byYear(0, 0, 0, 0, 1),
  facts: byYear(0, 0, 0, 1, 2),
  time: byYear(0, 0, 1, 2, 2),
  pattern: byYear(0, 1, 2, 2, 2),
}

/** Steps from Reception to Year 4. */
function byYear(...steps: [number, number, number, number, number]): Record<YearGroup, number> {
  return Object.fromEntries(yearGroups.map((year, index) => [year, steps[index]])) as Record<
    YearGroup,
    number
  >
}

export interface Placement {
  step: number
  sureness: Sureness
}

/** Where a child of this year group is placed until more is known. */
export function placementByYear(strand: StrandId, year: YearGroup): Placement {
  return { step: usualStep[strand][year], sureness: 'unknown' }
}

/**
 * Prior ability of a placed child. Placed on a step means working on it: half the answers or a few
 * more are right alone, so the mean stands just above the step's difficulty.
 */
export function priorOf(strand: StrandId, { step, sureness }: Placement): { mean: number; sd: number } {
  return { mean: strandOf(strand).steps[step].difficulty + 0.5, sd: spread[sureness] }
}
