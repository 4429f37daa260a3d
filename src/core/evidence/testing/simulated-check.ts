import { unit, type Chance } from '../../chance/chance'
import { abilityMean, flatAbility, type Ability } from '../ability'
import { observe, secureLogit, workingStepOf } from '../estimate'
import { likelihood, type Judgement } from '../observation'
import {
  answered,
  logitsApart,
  nextTask,
  startCheck,
  wholeStep,
  whyStop,
  type StrandCheck,
} from '../quick-check'

/** Ways to pick the next task: the quick check's, every step from the lowest, or by chance. */
export const waysToAsk = ['quick check', 'upward interview', 'by chance'] as const
export type WayToAsk = (typeof waysToAsk)[number]

export interface CheckQuality {
  children: number
  /** Share of children whose working step is within one of the true one. */
  withinOne: number
  /** Share whose working step is no further from the true one than whole steps are from each other. */
  withinWhole: number
  /** Mean number of questions. */
  questions: number
  /** Root-mean-square error of the mean, logits. */
  rmse: number
}

/** The judgement a child of ability θ earns at a task, by the law the filter assumes. */
export function judgedBy(
  theta: number,
  step: number,
  difficulties: readonly number[],
  chance: Chance,
): Judgement {
  const p = (judged: Judgement) => likelihood({ day: 0, step, judged, weight: 1 }, difficulties)(theta)
  const u = unit(chance)
  return u < p('own') ? 'own' : u < p('own') + p('help') ? 'help' : 'notYet'
}

/**
 * Simulated children, ability uniform from the lowest difficulty to where the last step is secure, each
 * asked in the given way. The prior is flat over the same abilities: it knows no more than that.
 */
export function simulateChecks(
  way: WayToAsk,
  difficulties: readonly number[],
  children: number,
  chance: Chance,
): CheckQuality {
  const low = difficulties[0]
  const high = difficulties[difficulties.length - 1] + secureLogit
  const prior = flatAbility(difficulties, low, high)
  let [within, whole, questions, squares] = [0, 0, 0, 0]
  for (let child = 0; child < children; child++) {
    const theta = low + (high - low) * unit(chance)
    const judge = (step: number) => judgedBy(theta, step, difficulties, chance)
    const { ability, asked } =
      way === 'upward interview'
        ? interview(prior, difficulties, judge)
        : check(way, prior, difficulties, judge, chance)
    const found = difficulties.findIndex((b) => theta < b + secureLogit)
    const truth = found < 0 ? difficulties.length : found
    const working = workingStepOf(ability, difficulties) ?? difficulties.length
    if (Math.abs(working - truth) <= 1) within++
    if (logitsApart(difficulties, working, truth) <= wholeStep + 1e-9) whole++
    questions += asked
    squares += (abilityMean(ability) - theta) ** 2
  }
  return {
    children,
    withinOne: within / children,
    withinWhole: whole / children,
    questions: questions / children,
    rmse: Math.sqrt(squares / children),
  }
}

function check(
  way: WayToAsk,
  ability: Ability,
  difficulties: readonly number[],
  judge: (step: number) => Judgement,
  chance: Chance,
): { ability: Ability; asked: number } {
  let now: StrandCheck = startCheck({ ability, day: 0 })
  while (!whyStop(now, difficulties)) {
    const step =
      way === 'by chance'
        ? chance.int(0, difficulties.length - 1)
        : nextTask(now.belief.ability, difficulties, now.hard).step
    now = answered(now, { day: 0, step, judged: judge(step), weight: 1 }, difficulties, 0)
  }
  return { ability: now.belief.ability, asked: now.asked }
}

/** Every step from the lowest; over after two answers that are not *own*. Read by the same filter. */
export function interview(
  ability: Ability,
  difficulties: readonly number[],
  judge: (step: number) => Judgement,
): { ability: Ability; asked: number } {
  let belief = { ability, day: 0 }
  let missed = 0
  let step = 0
  for (; step < difficulties.length && missed < 2; step++) {
    const judged = judge(step)
    if (judged !== 'own') missed++
    belief = observe(belief, { day: 0, step, judged, weight: 1 }, difficulties, 0)
  }
  return { ability: belief.ability, asked: step }
}
