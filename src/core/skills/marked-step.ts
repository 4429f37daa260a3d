import { stepIndex, type StepPlace, type StrandId } from './index'

/** Share of a level's items that practise one step. */
export interface ProfileStep extends StepPlace {
  share: number
}

/**
 * A level is marked at a step only if it asks for it often enough: at least a tenth of all its items are of that very step,
 * and a fifth are of that step or a harder one of its strand. A mark at a rung that was hardly met would say nothing.
 */
const [leastAtStep, leastFromStep] = [0.1, 0.2]
/** Of a strand that a group works on, enough to be marked there: a fifth of all items. */
const leastOfStrand = 0.2
/** Shares are sums of many; one that is a fifth but for rounding is a fifth. */
const rounding = 1e-9

/**
 * The step a level is marked at: the hardest that it asks for often enough, for easier items come with every level.
 * In the strand of the groups where the level practises a fair share of that, else in the one it practises most; in a strand
 * of which no step is asked often enough, its commonest.
 * @param profile of the items the game is for, as shares of all its items, see `focusedSteps`
 */
export function markedStep(profile: readonly ProfileStep[], focus?: StrandId): ProfileStep {
  const total = new Map<StrandId, number>()
  for (const { strand, share } of profile) total.set(strand, (total.get(strand) ?? 0) + share)
  const most = [...total].reduce((best, entry) => (entry[1] > best[1] ? entry : best))[0]
  const strand = focus !== undefined && (total.get(focus) ?? 0) >= leastOfStrand - rounding ? focus : most
  const open = profile.filter((step) => step.strand === strand)
  // One step alone is the one that was named.
  if (open.length === 1) return open[0]
  return (
    open.filter((step) => isAskedEnough(step, open)).sort((a, b) => stepIndex(b) - stepIndex(a))[0] ??
    open.reduce((best, step) => (step.share > best.share ? step : best))
  )
}

/** @param ofStrand every step of its strand in the same profile */
export function isAskedEnough(step: ProfileStep, ofStrand: readonly ProfileStep[]): boolean {
  const from = ofStrand
    .filter((one) => stepIndex(one) >= stepIndex(step))
    .reduce((sum, { share }) => sum + share, 0)
  return step.share >= leastAtStep - rounding && from >= leastFromStep - rounding
}
