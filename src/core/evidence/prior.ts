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
  add: { Reception: 1, 'Year 1': 5, 'Year 2': 8, 'Year 3': 11, 'Year 4': 13 },
  'how-many': { Reception: 1, 'Year 1': 3, 'Year 2': 4, 'Year 3': 5, 'Year 4': 5 },
  numerals: { Reception: 1, 'Year 1': 2, 'Year 2': 3, 'Year 3': 4, 'Year 4': 5 },
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
