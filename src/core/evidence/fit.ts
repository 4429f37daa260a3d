import { stepIndex, type StepPlace, type StrandId } from '../skills'

/** Share of a level's items that practise one step. */
export interface ProfileStep extends StepPlace {
  share: number
}

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

/** A step with at least this share of a level's items is what the level is for. */
const worthMarking = 0.25

/**
 * The step a level is marked at: the hardest of which it holds a fair share, for easier items come
 * with every level. In the focus strand where the level practises it at all.
 */
export function markedStep(profile: readonly ProfileStep[], focus?: StrandId): ProfileStep {
  const inFocus = profile.filter(({ strand }) => strand === focus)
  const open = inFocus.length > 0 ? inFocus : profile
  const most = open.reduce((best, step) => (step.share > best.share ? step : best))
  return open
    .filter(({ share, strand }) => share >= worthMarking && strand === most.strand)
    .reduce((hardest, step) => (stepIndex(step) > stepIndex(hardest) ? step : hardest), most)
}
