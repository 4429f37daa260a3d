import { abilityBelow } from './ability'
import { observe, secureLogit, type Belief } from './estimate'
import type { Standing } from './moving-up'
import type { Judgement } from './observation'

/** Own successes wanted by the policy that counts. Common practice, no source. */
export const countWanted = { own: 8, of: 10, days: 2 }

/** P(secure) at which the policy of the model speaks. */
export const secureWanted = 0.8

/** What each way of deciding to move up makes of the evidence for one step, and what would change it. */
export interface Weighed {
  model: {
    ready: boolean
    probability: number
    /** Days with evidence an adult saw; two are wanted. */
    days: number
    /** P(secure) after one more answer on the child's own, or one more “not yet”. */
    afterOwn: number
    afterNotYet: number
  }
  count: { ready: boolean; own: number; of: number; days: number }
}

/**
 * Weighs what stands for moving on from `step`: by the estimate, and by counting the latest judgements. A
 * third way is the teacher's own judgement, which needs no arithmetic.
 */
export function weigh(
  belief: Belief,
  difficulties: readonly number[],
  { step, seen }: Pick<Standing, 'step' | 'seen'>,
): Weighed {
  const secure = ({ ability }: Belief) => 1 - abilityBelow(ability, difficulties[step] + secureLogit)
  const after = (judged: Judgement) =>
    secure(observe(belief, { day: belief.day, step, judged, weight: 1 }, difficulties))
  const here = seen.filter((observation) => observation.step >= step)
  const daysOf = (list: typeof here) => new Set(list.map(({ day }) => day)).size
  const latest = here.slice(-countWanted.of)
  const successes = latest.filter(({ judged }) => judged === 'own')
  const probability = secure(belief)
  return {
    model: {
      ready: probability >= secureWanted && daysOf(here) >= 2,
      probability,
      days: daysOf(here),
      afterOwn: after('own'),
      afterNotYet: after('notYet'),
    },
    count: {
      ready: successes.length >= countWanted.own && daysOf(successes) >= countWanted.days,
      own: successes.length,
      of: latest.length,
      days: daysOf(successes),
    },
  }
}
