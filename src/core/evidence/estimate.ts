import { z } from 'zod'
import {
  abilityBelow,
  abilityMean,
  abilityPercentile,
  abilitySd,
  drifted,
  expectation,
  gridPoints,
  normalAbility,
  weighted,
  weightedBy,
  type Ability,
} from './ability'
import { likelihood, observationSchema, rightAlone, type Observation } from './observation'

/** Normal drift of ability, logits per square root of a school day. */
const noisePerDay = 0.1

/** A step is secure for a child who gets at least this share right alone. */
const secureShare = 0.8
export const secureLogit = Math.log(secureShare / (1 - secureShare))

/** An ability with the school day up to which time has passed for it. */
export interface Belief {
  ability: Ability
  day: number
}

export interface Summary {
  mean: number
  sd: number
  p10: number
  p50: number
  p90: number
  /** Per step: P(the child gets at least 80 % right alone). */
  secure: number[]
  /** Per step: P(the child gets less than half right alone). */
  struggling: number[]
  /** Per step: expected share right alone. */
  rightAlone: number[]
  /** The lowest step with secure < 0.5; null if every step is secure. */
  workingStep: number | null
}

/** Time passes until `day`: one convolution for the whole gap. `grown`: by how much the child is taken to have grown in it, in logits. */
export function waitUntil(belief: Belief, day: number, noise = noisePerDay, grown = 0): Belief {
  const days = day - belief.day
  if (days <= 0) return belief
  return { ability: drifted(belief.ability, noise * Math.sqrt(days), grown), day }
}

/** One observation is taken in, as often as it was made that day; it must not be older than the belief. */
export function observe(
  belief: Belief,
  observation: Observation,
  difficulties: readonly number[],
  noise = noisePerDay,
  times = 1,
): Belief {
  const { ability, day } = waitUntil(belief, observation.day, noise)
  return {
    ability:
      'judged' in observation
        ? weightedBy(ability, judgedCurve(ability, observation, difficulties), times)
        : weighted(ability, likelihood({ ...observation, weight: observation.weight * times }, difficulties)),
    day,
  }
}

/** Likelihoods of judgements over a grid: a few hundred in all, and a mark on a tablet needs one of them every time. */
const curves = new Map<string, Float64Array>()
const mostCurves = 400

function judgedCurve(
  ability: Ability,
  observation: Extract<Observation, { judged: unknown }>,
  difficulties: readonly number[],
): Float64Array {
  const { from, mass } = ability
  const { judged, weight, step } = observation
  const key = `${judged} ${weight} ${difficulties[step]} ${from} ${mass.length}`
  let curve = curves.get(key)
  if (!curve) {
    const at = likelihood(observation, difficulties)
    const plain = gridPoints(ability).map(at)
    // Only its shape counts; with 1 at the top it can be taken many times over without vanishing everywhere.
    const top = plain.reduce((most, value) => Math.max(most, value), 0)
    curve = plain.map((value) => value / top)
    if (curves.size >= mostCurves) curves.delete(curves.keys().next().value!)
    curves.set(key, curve)
  }
  return curve
}

const secureAt = (ability: Ability, difficulties: readonly number[]) =>
  difficulties.map((difficulty) => 1 - abilityBelow(ability, difficulty + secureLogit))

const lowestUnsure = (secure: readonly number[]) => {
  const working = secure.findIndex((probability) => probability < 0.5)
  return working < 0 ? null : working
}

/** The lowest step with P(secure) < 0.5; null if every step is secure. */
export const workingStepOf = (ability: Ability, difficulties: readonly number[]) =>
  lowestUnsure(secureAt(ability, difficulties))

export function summarise({ ability }: Belief, difficulties: readonly number[]): Summary {
  const secure = secureAt(ability, difficulties)
  return {
    mean: abilityMean(ability),
    sd: abilitySd(ability),
    p10: abilityPercentile(ability, 0.1),
    p50: abilityPercentile(ability, 0.5),
    p90: abilityPercentile(ability, 0.9),
    secure,
    struggling: difficulties.map((difficulty) => abilityBelow(ability, difficulty)),
    rightAlone: difficulties.map((difficulty) =>
      expectation(ability, (theta) => rightAlone(theta, difficulty)),
    ),
    workingStep: lowestUnsure(secure),
  }
}

export const estimateInputSchema = z
  .object({
    difficulties: z.array(z.number().min(-50).max(50)).min(1).max(50),
    prior: z.object({ mean: z.number().min(-50).max(50), sd: z.number().min(0.05).max(20) }),
    noisePerDay: z.number().min(0).max(2).default(noisePerDay),
    observations: z.array(observationSchema).max(10_000).default([]),
    onDay: z.number().int().min(0).optional(),
  })
  .superRefine(({ difficulties, observations, onDay }, context) => {
    observations.forEach(({ step, day }, index) => {
      if (step >= difficulties.length)
        context.addIssue({
          code: 'custom',
          path: ['observations', index, 'step'],
          message: `There are ${difficulties.length} steps, counted from 0.`,
        })
      if (onDay !== undefined && day > onDay)
        context.addIssue({
          code: 'custom',
          path: ['observations', index, 'day'],
          message: `Later than onDay (${onDay}).`,
        })
    })
  })

export type EstimateInput = z.infer<typeof estimateInputSchema>

/** The belief after a whole history, oldest observation first; those of one day in their given order. */
export function rebuild({
  difficulties,
  prior,
  noisePerDay: noise,
  observations,
  onDay,
}: EstimateInput): Belief {
  let belief: Belief = { ability: normalAbility(difficulties, prior), day: 0 }
  const inOrder = [...observations].sort((a, b) => a.day - b.day)
  for (const observation of inOrder) belief = observe(belief, observation, difficulties, noise)
  return onDay === undefined ? belief : waitUntil(belief, onDay, noise)
}

export function estimate(input: EstimateInput): Summary {
  return summarise(rebuild(input), input.difficulties)
}
