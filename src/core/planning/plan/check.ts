import type { PlanProblem } from './problem'
import {
  brokenInSlot,
  groupCost,
  notShownTo,
  slotCost,
  varietyCost,
  type HardRule,
  type SoftRule,
  type Visits,
} from './rules'

/** A rule that must hold and does not, with the groups that are in it. */
export interface PlanConflict {
  rule: HardRule
  time: number
  groups: number[]
}

/** A rule that should hold and does not, with what that costs. */
export interface PlanCost {
  rule: SoftRule
  cost: number
  time: number | null
  group: number | null
}

/** What a plan made or changed by hand comes to: for the cells, and in all. */
export function checkPlan(
  problem: PlanProblem,
  visits: Visits,
): { conflicts: PlanConflict[]; costs: PlanCost[]; cost: number } {
  const { input } = problem
  const n = input.groups.length
  const conflicts: PlanConflict[] = []
  const costs: PlanCost[] = []
  let cost = 0
  const bill = (rule: SoftRule, own: number, time: number | null, group: number | null) =>
    costs.push({ rule, cost: own, time, group })
  for (let time = 0; time < input.sessions * input.slots; time++) {
    for (const rule of brokenInSlot(problem, visits, time))
      conflicts.push({ rule, time, groups: groupsIn(problem, visits, time, rule) })
    cost += slotCost(problem, visits, time, bill)
  }
  for (let group = 0; group < n; group++) {
    for (const time of notShownTo(problem, visits, group))
      conflicts.push({ rule: 'not-shown', time, groups: [group] })
    cost += groupCost(problem, visits, group, bill)
  }
  cost += varietyCost(problem, visits, bill)
  return { conflicts, costs, cost }
}

/** Groups without whom the rule would hold; where it takes more than one to go, all that are there. */
function groupsIn(problem: PlanProblem, visits: Visits, time: number, rule: HardRule): number[] {
  const n = problem.input.groups.length
  const there = Array.from({ length: n }, (_, g) => g).filter((g) => visits[time * n + g] >= 0)
  const alone = there.filter((g) => {
    const without = visits.slice()
    without[time * n + g] = -1
    return !brokenInSlot(problem, without, time).includes(rule)
  })
  return alone.length > 0 ? alone : there
}

/** Why a group is nowhere at a time: how many of the offers to it each rule stands against. */
export function whyNowhere(
  problem: PlanProblem,
  visits: Visits,
  time: number,
  group: number,
): { nothingOffered: boolean; rules: Partial<Record<HardRule, number>> } {
  const { input, open } = problem
  const at = time * input.groups.length + group
  const tried = visits.slice()
  const rules: Partial<Record<HardRule, number>> = {}
  for (const offer of open[time][group]) {
    tried[at] = offer
    const against: HardRule[] = brokenInSlot(problem, tried, time)
    if (notShownTo(problem, tried, group).length > 0) against.push('not-shown')
    for (const rule of against) rules[rule] = (rules[rule] ?? 0) + 1
  }
  return { nothingOffered: open[time][group].length === 0, rules }
}
