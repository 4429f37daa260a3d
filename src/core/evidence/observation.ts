import { z } from 'zod'

export const judgements = ['own', 'help', 'notYet'] as const
export type Judgement = (typeof judgements)[number]

const common = {
  /** School day, counted from the day on which the prior holds. */
  day: z.number().int().min(0),
  /** Step of the strand, from 0. */
  step: z.number().int().min(0),
  /** How far the source is trusted: an adult saw it 1, a digital station 0.8, a partner or a sheet 0.5. */
  weight: z.number().positive().max(1).default(1),
}

/** `right` of `of` answers were right. */
const tallySchema = z.object({
  ...common,
  right: z.number().int().min(0),
  of: z.number().int().min(1).max(1000),
  /** Chance of a right answer by guessing: 1/2 for more or less, 0 for an open answer. */
  guess: z.number().min(0).max(0.9).default(0),
})

const judgedSchema = z.object({ ...common, judged: z.enum(judgements) })

export const observationSchema = z
  .union([judgedSchema, tallySchema])
  .refine((observation) => 'judged' in observation || observation.right <= observation.of, {
    path: ['right'],
    error: 'More right than asked.',
  })

export type Observation = z.infer<typeof observationSchema>

/** Logits by which "with help" is easier than "on their own". */
const helpShift = 1.2

export const logistic = (x: number) => 1 / (1 + Math.exp(-x))

/** P(right alone | θ) with guessing floor c (Rasch 1960; c after Birnbaum 1968). */
export function rightAlone(theta: number, difficulty: number, guess = 0): number {
  return guess + (1 - guess) * logistic(theta - difficulty)
}

/**
 * Likelihood of an observation at ability θ, to the power of its weight. A tally is binomial (its
 * constant coefficient left out); a judgement is a graded response (Samejima 1969).
 */
export function likelihood(
  observation: Observation,
  difficulties: readonly number[],
): (theta: number) => number {
  const plain = unweighted(observation, difficulties[observation.step])
  const { weight } = observation
  return weight === 1 ? plain : (theta) => plain(theta) ** weight
}

function unweighted(observation: Observation, difficulty: number): (theta: number) => number {
  if ('judged' in observation) {
    const own = (theta: number) => logistic(theta - difficulty)
    const ownOrHelp = (theta: number) => logistic(theta - difficulty + helpShift)
    switch (observation.judged) {
      case 'own':
        return own
      case 'help':
        return (theta) => ownOrHelp(theta) - own(theta)
      case 'notYet':
        // 1 − σ(x) as σ(−x): no digits are lost for able children.
        return (theta) => logistic(difficulty - helpShift - theta)
    }
  }
  const { right, of, guess } = observation
  return (theta) => {
    const p = rightAlone(theta, difficulty, guess)
    const wrong = (1 - guess) * logistic(difficulty - theta)
    return p ** right * wrong ** (of - right)
  }
}
