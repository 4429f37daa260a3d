import { z } from 'zod'
import { daysOf, type Seen, type SeenAt } from './seen'

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

/** Own successes among the latest judgements at a step, and whether they are enough. */
export function countLatest(seen: readonly Seen[], step: number, wanted: Count) {
  const latest = seen.filter((one) => one.step === step).slice(-wanted.of)
  const successes = latest.filter(({ judged }) => judged === 'own')
  const days = daysOf(successes)
  return {
    ready: successes.length >= wanted.own && days >= wanted.days,
    own: successes.length,
    of: latest.length,
    days,
  }
}

/** What the estimate says: secure, as it was seen more often than not, on days enough. */
export const readyByEstimate = (secure: number, { own, of, days }: SeenAt): boolean =>
  looksSecure(secure, { own, of }) && days >= estimateWanted.days

/** Called secure by the estimate and borne out by most of what was seen. */
export const looksSecure = (secure: number, { own, of }: Pick<SeenAt, 'own' | 'of'>): boolean =>
  secure >= estimateWanted.secure && own * 2 > of
