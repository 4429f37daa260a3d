import { stepIndex, type StrandId } from '../skills'
import type { ProfileStep } from '../skills/marked-step'

/** Success alone that fits a child: Wilson, Shenhav, Straccia & Cohen 2019, Nature Communications 10:4646, best 0.85. */
export const ownBand: readonly [number, number] = [0.7, 0.9]

/**
 * Expected share of a level's items a child gets right alone.
 * @param rightAlone per strand and step, E[P(right alone)] under the child's estimate
 */
export function expectedSuccess(
  profile: readonly ProfileStep[],
  rightAlone: Record<StrandId, readonly number[]>,
): number {
  return profile.reduce((sum, place) => sum + place.share * rightAlone[place.strand][stepIndex(place)], 0)
}
