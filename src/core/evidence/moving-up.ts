import type { Judgement } from './observation'

/** What the suggestion for one child rests on. `step`: the step the child's group plays at. */
export interface Standing {
  step: number
  /** P(secure) per step. */
  secure: readonly number[]
  /** P(less than half right alone) per step. */
  struggling: readonly number[]
  /** Judgements of an adult at this step or above, newest last, with their school day. */
  seen: readonly { day: number; step: number; judged: Judgement }[]
  /** Weekdays since anything was seen; null: never. */
  daysSince: number | null
}

/** A suggestion with its reason; the interface words it, the teacher decides. */
export type Suggestion =
  | { kind: 'ready'; probability: number; own: number; of: number; days: number }
  | { kind: 'step-back'; own: number; of: number; days: number }
  | { kind: 'another-look'; why: 'secure-but-one-day'; days: number }
  | { kind: 'another-look'; why: 'not-seen'; days: number | null }
  | { kind: 'stay' }

const sureEnough = 0.8
const notSeenFor = 10

/** The model policy: secure at the current step, on adult-seen evidence of at least two days. */
export function suggest({ step, secure, struggling, seen, daysSince }: Standing): Suggestion {
  const here = seen.filter((observation) => observation.step >= step)
  const own = here.filter(({ judged }) => judged === 'own').length
  const days = new Set(here.map(({ day }) => day)).size
  const probability = secure[step]
  if (probability >= sureEnough)
    return days >= 2
      ? { kind: 'ready', probability, own, of: here.length, days }
      : { kind: 'another-look', why: 'secure-but-one-day', days }
  if (here.length > 0 && struggling[step] >= sureEnough)
    return { kind: 'step-back', own, of: here.length, days }
  if (daysSince === null || daysSince >= notSeenFor)
    return { kind: 'another-look', why: 'not-seen', days: daysSince }
  return { kind: 'stay' }
}
