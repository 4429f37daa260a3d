import { abilityBelow } from './ability'
import { observe, secureLogit, type Belief } from './estimate'
import { countLatest, readyByEstimate, usualCount } from './moving-up'
import type { Judgement } from './observation'
import { seenAt, type Seen } from './seen'

/** What each way of deciding to move up makes of the evidence for one step, and what would change it. */
export interface Weighed {
  estimate: {
    ready: boolean
    probability: number
    /** Days with evidence an adult saw; two are wanted. */
    days: number
    /** P(secure) after one more answer on the child's own, or one more “not yet”. */
    afterOwn: number
    afterNotYet: number
  }
  count: { ready: boolean; own: number; of: number; days: number; wanted: typeof usualCount }
}

/**
 * Weighs what stands for moving on from `step`: by the estimate, and by counting the latest judgements. A
 * third way is the teacher's own judgement, which needs no arithmetic.
 */
export function weigh(
  belief: Belief,
  difficulties: readonly number[],
  { step, seen }: { step: number; seen: readonly Seen[] },
  wanted = usualCount,
): Weighed {
  const secure = ({ ability }: Belief) => 1 - abilityBelow(ability, difficulties[step] + secureLogit)
  const after = (judged: Judgement) =>
    secure(observe(belief, { day: belief.day, step, judged, weight: 1 }, difficulties))
  const here = seenAt(seen, step)
  const probability = secure(belief)
  return {
    estimate: {
      ready: readyByEstimate(probability, here),
      probability,
      days: here.days,
      afterOwn: after('own'),
      afterNotYet: after('notYet'),
    },
    count: { ...countLatest(seen, step, wanted), wanted },
  }
}
