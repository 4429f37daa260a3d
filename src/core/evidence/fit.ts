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

/** A step with at least this share of the items that a level is for may be marked. */
const worthMarking = 0.2

/**
 * The step a level is marked at: the hardest of which it holds a fair share, for easier items come with every level.
 * In the strand of the groups where the level practises a fair share of that, else in the one it practises most.
 * @param profile of the items the game is for, see `focusedSteps`
 */
export function markedStep(
  profile: readonly ProfileStep[],
  focus?: StrandId,
  least: number = worthMarking,
): ProfileStep {
  const total = new Map<StrandId, number>()
  for (const { strand, share } of profile) total.set(strand, (total.get(strand) ?? 0) + share)
  const most = [...total].reduce((best, entry) => (entry[1] > best[1] ? entry : best))[0]
  const strand = focus !== undefined && (total.get(focus) ?? 0) >= least ? focus : most
  const open = profile.filter((step) => step.strand === strand)
  const commonest = open.reduce((best, step) => (step.share > best.share ? step : best))
  return open
    .filter(({ share }) => share >= least)
    .reduce((hardest, step) => (stepIndex(step) > stepIndex(hardest) ? step : hardest), commonest)
}
