import { z } from 'zod'
import { stepIndex, strandIds, strandOf } from '../skills'
import { estimateInputSchema, rebuild, summarise } from './estimate'
import { difficultiesOf } from './history'
import { movingUpSchema } from './moving-up'
import { judgements } from './observation'
import { isKnown, type Standing } from './own-step'
import { placementByYear, priorOf, surenesses, yearGroupSchema } from './prior'
import { seenAt } from './seen'
import { suggest } from './suggestion'

const recordSchema = z
  .object({
    day: z.number().int().min(0),
    /** Id of the step. */
    step: z.string(),
    judged: z.enum(judgements).optional(),
    right: z.number().int().min(0).max(1000).optional(),
    of: z.number().int().min(1).max(1000).optional(),
    /** An adult saw it: 1. */
    weight: z.number().positive().max(1).default(1),
    observer: z.string().optional(),
  })
  .refine(({ judged, right, of }) => (judged === undefined) === (right !== undefined && of !== undefined), {
    path: ['judged'],
    error: 'Either a judgement or a tally.',
  })
  .refine(({ right = 0, of = Infinity }) => right <= of, { path: ['right'], error: 'More right than asked.' })

/** Who decides: the estimate, the teacher, or a count of so many of so many on so many days. */
const policySchema = z
  .union([z.enum(['estimate', 'judgement']), z.looseObject({})])
  .transform((policy) => (typeof policy === 'string' ? { by: policy } : { ...policy, by: 'count' }))
  .pipe(movingUpSchema)

/** One child on one strand, for the core's command line. */
export const suggestInputSchema = z
  .object({
    strand: z.enum(strandIds),
    yearGroup: yearGroupSchema,
    placement: z
      .object({ step: z.string(), sureness: z.enum(surenesses) })
      .nullable()
      .default(null),
    observations: z.array(recordSchema).max(1000).default([]),
    onDay: z.number().int().min(0),
    policy: policySchema.prefault('estimate'),
  })
  .superRefine(({ strand, placement, observations, onDay }, context) => {
    const isStep = (id: string) => strandOf(strand).steps.some((step) => step.id === id)
    const issue = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    if (placement && !isStep(placement.step)) issue(['placement', 'step'], 'The strand has no such step.')
    observations.forEach(({ step, day }, i) => {
      if (!isStep(step)) issue(['observations', i, 'step'], 'The strand has no such step.')
      if (day > onDay) issue(['observations', i, 'day'], `Later than onDay (${onDay}).`)
    })
  })

type SuggestInput = z.output<typeof suggestInputSchema>

/** What is said of the child, and the figures it rests on. */
export interface Suggested {
  state: 'not-begun' | 'unknown' | 'ready' | 'hard' | 'working'
  /** Id of the child's own step; null: the strand has not begun. */
  step: string | null
  /** Expected share right alone at that step. */
  rightAlone: number | null
  because: (
    | { marks: { own: number; of: number; days: number } }
    | { secure: number }
    | { struggling: number }
    | { observations: number; sd: number }
  )[]
}

export function suggestFor(input: SuggestInput): Suggested {
  const { strand, yearGroup, placement, observations, onDay, policy } = input
  if (placement === null && observations.length === 0)
    return { state: 'not-begun', step: null, rightAlone: null, because: [] }
  const records = [...observations].sort((a, b) => a.day - b.day)
  const at = (step: string) => stepIndex({ strand, step })
  const belief = rebuild(
    estimateInputSchema.parse({
      difficulties: [...difficultiesOf(strand)],
      prior: priorOf(strand, placement ?? placementByYear(strand, yearGroup)),
      observations: records.map(({ step, observer: _observer, ...record }) => ({
        ...record,
        step: at(step),
      })),
      onDay,
    }),
  )
  const { secure, struggling, rightAlone, workingStep, sd } = summarise(belief, difficultiesOf(strand))
  const seen = records.flatMap(({ day, step, judged, weight }) =>
    judged !== undefined && weight === 1 ? [{ day, step: at(step), judged }] : [],
  )
  const standing: Standing = {
    seen,
    secure,
    struggling,
    workingStep: workingStep ?? secure.length - 1,
    plays: null,
    observations: records.length,
    sd,
    daysSince: records.length === 0 ? null : onDay - records[records.length - 1].day,
  }
  const { step, suggestion } = suggest(standing, policy)
  return {
    state:
      suggestion.kind === 'ready' || suggestion.kind === 'hard'
        ? suggestion.kind
        : isKnown(standing)
          ? 'working'
          : 'unknown',
    step: strandOf(strand).steps[step].id,
    rightAlone: rightAlone[step],
    because: [
      { marks: seenAt(seen, step) },
      { secure: secure[step] },
      { struggling: struggling[step] },
      { observations: records.length, sd },
    ],
  }
}
