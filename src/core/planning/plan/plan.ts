import { planProblem, type PlanInput } from './problem'
import { planVisits } from './search'
import { tellPlan } from './tell'

/** The best plan that a search finds, for one session or a week of them. */
export function makePlan(input: PlanInput) {
  const problem = planProblem(input)
  const run = planVisits(problem)
  let step = run.next()
  while (!step.done) step = run.next()
  return tellPlan(problem, step.value.visits)
}
