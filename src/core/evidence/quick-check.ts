import { z } from 'zod'
import {
  abilityBelow,
  abilityMean,
  abilitySd,
  gridPoints,
  gridStep,
  normalAbility,
  type Ability,
} from './ability'
import { estimateInputSchema, observe, secureLogit, workingStepOf, type Belief } from './estimate'
import { likelihood, type Judgement } from './observation'

/** Sure enough of the step to stop: P(working step near the true step). */
const sureEnough = 0.92
/** How far apart steps of a ladder usually are, in logits; between some of them there are others. */
export const wholeStep = 1.5
/** A task is hard for a child whose mean ability lies more than this below it, in logits. */
const hardBy = 1.5
/** Hard tasks in a row, at most: children should mostly succeed. */
const hardInARow = 2

/**
 * What counts as near the true step: the next one, or any that is no further from it than steps usually are from each
 * other. On a ladder without steps between that is the same.
 */
export type Nearness = 'next step' | 'whole step'

/**
 * P(the working step is near the true step), the true step being the lowest whose tasks the child gets right
 * alone less than four times in five; above the last step where there is none.
 */
export function stepCertainty(
  ability: Ability,
  difficulties: readonly number[],
  near: Nearness = 'whole step',
): number {
  const working = workingStepOf(ability, difficulties) ?? difficulties.length
  const isNear = (step: number) =>
    near === 'next step'
      ? Math.abs(step - working) <= 1
      : logitsApart(difficulties, step, working) <= wholeStep + 1e-9
  // The true step is s where θ lies below the edge of s and above those of all steps before it.
  let edge = -Infinity
  let certainty = 0
  let below = 0
  for (let step = 0; step <= difficulties.length; step++) {
    edge = step < difficulties.length ? Math.max(edge, difficulties[step] + secureLogit) : Infinity
    const upTo = edge === Infinity ? 1 : abilityBelow(ability, edge)
    if (isNear(step)) certainty += upTo - below
    below = upTo
  }
  return certainty
}

/** How far two steps are apart; what lies above the last one, as a whole step above it. */
export function logitsApart(difficulties: readonly number[], a: number, b: number): number {
  const at = (step: number) => difficulties[step] ?? difficulties[difficulties.length - 1] + wholeStep
  return Math.abs(at(a) - at(b))
}

/** P(answer | θ) of a task on every point of the grid. */
interface TaskLaw {
  own: Float64Array
  help: Float64Array
}

const laws = new WeakMap<readonly number[], TaskLaw[]>()

function lawsOf(ability: Ability, difficulties: readonly number[]): TaskLaw[] {
  const known = laws.get(difficulties)
  if (known) return known
  const grid = gridPoints(ability)
  const made = difficulties.map((_, step) => {
    const law = (judged: Judgement) => grid.map(likelihood({ day: 0, step, judged, weight: 1 }, difficulties))
    return { own: law('own'), help: law('help') }
  })
  laws.set(difficulties, made)
  return made
}

/** E[Var(θ | answer)] of one more task, over the answers own, help, not yet. */
function expectedVariance(ability: Ability, { own, help }: TaskLaw): number {
  const { mass } = ability
  const centre = (mass.length - 1) / 2
  // Moments of θ, counted in cells from the middle of the grid, with each answer.
  let [p0, p1, p2] = [0, 0, 0]
  let [o0, o1, o2] = [0, 0, 0]
  let [h0, h1, h2] = [0, 0, 0]
  for (let i = 0; i < mass.length; i++) {
    const p = mass[i]
    if (p < 1e-18) continue
    const x = i - centre
    const [a, b] = [p * own[i], p * help[i]]
    p0 += p
    p1 += p * x
    p2 += p * x * x
    o0 += a
    o1 += a * x
    o2 += a * x * x
    h0 += b
    h1 += b * x
    h2 += b * x * x
  }
  const [n0, n1, n2] = [p0 - o0 - h0, p1 - o1 - h1, p2 - o2 - h2]
  const spread = (m0: number, m1: number, m2: number) => (m0 > 0 ? m2 - (m1 * m1) / m0 : 0)
  return (spread(o0, o1, o2) + spread(h0, h1, h2) + spread(n0, n1, n2)) * gridStep ** 2
}

/** The task to ask next, and the spread to expect after its answer. */
export interface Task {
  step: number
  /** Square root of the expected posterior variance, logits. */
  expectedSd: number
}

/** By how much one more task at each step is expected to shrink the variance of an ability, logits². */
export function expectedGains(ability: Ability, difficulties: readonly number[]): number[] {
  const now = abilitySd(ability) ** 2
  return lawsOf(ability, difficulties).map((law) => now - expectedVariance(ability, law))
}

/** A hard task would come after as many hard ones as a child is asked in a row. */
export const wouldDiscourage = ({ belief, hard }: StrandCheck, difficulty: number): boolean =>
  hard >= hardInARow && isHard(belief.ability, difficulty)

export const isHard = (ability: Ability, difficulty: number) => difficulty > abilityMean(ability) + hardBy

/**
 * The task with the smallest expected posterior variance (van der Linden & Pashley 2010, Elements of
 * Adaptive Testing, ch. 1); of equals the easier. `afterHard`: hard tasks just asked in a row, by which
 * another may be ruled out; null: no such courtesy.
 */
export function nextTask(
  ability: Ability,
  difficulties: readonly number[],
  afterHard: number | null = 0,
): Task {
  const all = lawsOf(ability, difficulties)
  const easiest = difficulties.reduce((best, b, step) => (b < difficulties[best] ? step : best), 0)
  let best: Task = { step: easiest, expectedSd: Math.sqrt(expectedVariance(ability, all[easiest])) }
  for (const [step, difficulty] of difficulties.entries()) {
    if (afterHard !== null && afterHard >= hardInARow && isHard(ability, difficulty)) continue
    const expectedSd = Math.sqrt(expectedVariance(ability, all[step]))
    if (expectedSd < best.expectedSd - 1e-12) best = { step, expectedSd }
  }
  return best
}

/** One strand of a quick check under way. */
export interface StrandCheck {
  belief: Belief
  asked: number
  /** Hard tasks asked last in a row, of any strand where several are asked. */
  hard: number
}

export const startCheck = (belief: Belief): StrandCheck => ({ belief, asked: 0, hard: 0 })

/** The check after an answer. */
export function answered(
  { belief, asked, hard }: StrandCheck,
  answer: Parameters<typeof observe>[1],
  difficulties: readonly number[],
  noise?: number,
): StrandCheck {
  const wasHard = isHard(belief.ability, difficulties[answer.step])
  return {
    belief: observe(belief, answer, difficulties, noise),
    asked: asked + 1,
    hard: wasHard ? hard + 1 : 0,
  }
}

/** Why a strand's check is over; null: it goes on. */
export function whyStop(
  { belief, asked }: StrandCheck,
  difficulties: readonly number[],
  maxQuestions = 8,
  near?: Nearness,
): 'sure' | 'asked-enough' | null {
  if (stepCertainty(belief.ability, difficulties, near) >= sureEnough) return 'sure'
  return asked >= maxQuestions ? 'asked-enough' : null
}

/** Seconds of a task with setting out and marking. Common practice, no source. */
const taskSeconds = 35

/**
 * Which strand of several to ask about next within the seconds left: where a task shrinks the variance
 * most. Null: every strand is done, or there is no time for another task.
 */
export function nextOfStrands(
  strands: readonly { check: StrandCheck; difficulties: readonly number[] }[],
  secondsLeft: number,
  maxQuestions = 8,
): { strand: number; task: Task } | null {
  if (secondsLeft < taskSeconds) return null
  let best: { strand: number; task: Task } | null = null
  let most = -Infinity
  for (const [strand, { check, difficulties }] of strands.entries()) {
    if (whyStop(check, difficulties, maxQuestions)) continue
    const task = nextTask(check.belief.ability, difficulties, check.hard)
    const gain = abilitySd(check.belief.ability) ** 2 - task.expectedSd ** 2
    if (gain <= most) continue
    most = gain
    best = { strand, task }
  }
  return best
}

export const probeInputSchema = z.intersection(
  estimateInputSchema,
  z.object({
    maxQuestions: z.number().int().min(1).max(100).default(8),
    /** The courtesy rule; false: the bare smallest expected variance. */
    courtesy: z.boolean().default(true),
  }),
)

/**
 * What a quick check with these answers so far asks next. The observations are those of the check: each
 * counts as a question. Of any ladder: near is the next step, however far that is.
 * @returns `expectedSd` after the next answer; the present one where the check stops
 */
export function probe(input: z.infer<typeof probeInputSchema>): {
  stop: boolean
  step: number | null
  expectedSd: number
} {
  const { difficulties, prior, observations, noisePerDay, maxQuestions, courtesy } = input
  let check = startCheck({ ability: normalAbility(difficulties, prior), day: 0 })
  const inOrder = [...observations].sort((a, b) => a.day - b.day)
  for (const observation of inOrder) check = answered(check, observation, difficulties, noisePerDay)
  const { ability } = check.belief
  if (whyStop(check, difficulties, maxQuestions, 'next step'))
    return { stop: true, step: null, expectedSd: abilitySd(ability) }
  return { stop: false, ...nextTask(ability, difficulties, courtesy ? check.hard : null) }
}
