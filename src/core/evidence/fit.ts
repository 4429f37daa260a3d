import type { StrandId } from '../skills'

/** Share of a level's items that practise one step. */
export interface ProfileStep {
  strand: StrandId
  step: number
  share: number
}

/** Success alone that fits a child: Wilson, Shenhav, Straccia & Cohen 2019, Nature Communications 10:4646, best 0.85. */
export const ownBand: readonly [number, number] = [0.7, 0.9]

/**
 * Expected share of a level's items a child gets right alone.
 * @param rightAlone per strand and step, E[P(right alone)] under the child's estimate
 */
export function expectedSuccess(profile: readonly ProfileStep[], rightAlone: Record<StrandId, readonly number[]>): number {
  return profile.reduce((sum, { strand, step, share }) => sum + share * rightAlone[strand][step], 0)
}

/** The step a level is marked at: the one it practises most, in the focus strand where it does at all. */
export function markedStep(profile: readonly ProfileStep[], focus?: StrandId): ProfileStep {
  const inFocus = profile.filter(({ strand }) => strand === focus)
  return (inFocus.length > 0 ? inFocus : profile).reduce((most, step) => (step.share > most.share ? step : most))
}
