import { z } from 'zod'
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

const wholeFrom1 = (most: number) => z.number('Give a whole number.').int().min(1).max(most)

const countSchema = z
  .object({
    by: z.literal('count'),
    /** Own successes wanted of the latest judgements, and the days they must be spread over. */
    own: wholeFrom1(20),
    of: wholeFrom1(20),
    days: wholeFrom1(5),
  })
  .refine(({ own, of }) => own <= of, { path: ['own'], error: 'More successes are wanted than are counted.' })

/** How a class decides who moves up: by the estimate, by counting, or by the teacher's judgement alone. */
export const movingUpSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('estimate') }),
  countSchema,
  z.object({ by: z.literal('judgement') }),
])

export type MovingUp = z.infer<typeof movingUpSchema>
type Count = Omit<z.infer<typeof countSchema>, 'by'>

/** Own successes wanted where a class counts and says nothing else. Common practice, no source. */
export const usualCount: Count = { own: 8, of: 10, days: 2 }

/** P(secure) at which the estimate speaks, and the days an adult must have seen it on. */
export const estimateWanted = { secure: 0.8, days: 2 }

/** Fewer marks than this at a step say too little to call it hard. */
const enoughToSayHard = 3

/** A suggestion with its reason; the interface words it, the teacher decides. */
export type Suggestion =
  | { kind: 'ready'; own: number; of: number; days: number }
  | { kind: 'step-back'; own: number; of: number; days: number }
  | { kind: 'another-look'; why: 'secure-but-one-day'; days: number }
  | { kind: 'another-look'; why: 'not-seen'; days: number | null }
  | { kind: 'stay' }

const notSeenFor = 10

/** What the class's way of deciding says of a child. */
export function suggest(standing: Standing, movingUp: MovingUp = { by: 'estimate' }): Suggestion {
  const { daysSince } = standing
  const found =
    movingUp.by === 'estimate'
      ? byEstimate(standing)
      : movingUp.by === 'count'
        ? byCount(standing, movingUp)
        : null
  if (found) return found
  if (daysSince === null || daysSince >= notSeenFor)
    return { kind: 'another-look', why: 'not-seen', days: daysSince }
  return { kind: 'stay' }
}

/** Secure at the current step, on adult-seen evidence of at least two days; back where half right is unlikely. */
function byEstimate({ step, secure, struggling, seen }: Standing): Suggestion | null {
  const here = seenFrom(step, seen)
  const own = here.filter(({ judged }) => judged === 'own').length
  const days = daysOf(here)
  const said = { own, of: here.length, days }
  if (secure[step] >= estimateWanted.secure)
    return days >= estimateWanted.days
      ? { kind: 'ready', ...said }
      : { kind: 'another-look', why: 'secure-but-one-day', days }
  // The word has to be borne out by the figures that stand beside it.
  const seenToFail = here.length >= enoughToSayHard && days >= estimateWanted.days && own * 2 < here.length
  return seenToFail && struggling[step] >= estimateWanted.secure ? { kind: 'step-back', ...said } : null
}

/** Enough of the latest alone; back where as many were not, on as many days. */
function byCount({ step, seen }: Standing, wanted: Count): Suggestion | null {
  const counted = countLatest(seen, step, wanted)
  const said = { own: counted.own, of: counted.of }
  if (counted.ready) return { kind: 'ready', ...said, days: counted.days }
  const latest = seenFrom(step, seen).slice(-wanted.of)
  const missed = latest.filter(({ judged }) => judged !== 'own')
  return missed.length >= wanted.own && daysOf(missed) >= wanted.days
    ? { kind: 'step-back', ...said, days: daysOf(latest) }
    : null
}

/** Own successes among the latest judgements at the step or above, and whether they are enough. */
export function countLatest(seen: Standing['seen'], step: number, wanted: Count) {
  const latest = seenFrom(step, seen).slice(-wanted.of)
  const successes = latest.filter(({ judged }) => judged === 'own')
  const days = daysOf(successes)
  return {
    ready: successes.length >= wanted.own && days >= wanted.days,
    own: successes.length,
    of: latest.length,
    days,
  }
}

const seenFrom = (step: number, seen: Standing['seen']) => seen.filter((one) => one.step >= step)

/** On how many days these were seen. */
export const daysOf = (seen: Standing['seen']) => new Set(seen.map(({ day }) => day)).size
