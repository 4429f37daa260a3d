import { checkPlan, whyNowhere } from './check'
import { planProblem, type PlanInput } from './problem'
import { planVisits } from './search'

/** A plan for the core command line: who is where with what, what it costs, and what could not be met. */
export function makePlan(input: PlanInput) {
  const problem = planProblem(input)
  const run = planVisits(problem)
  let step = run.next()
  while (!step.done) step = run.next()
  const { visits } = step.value
  const { groups, stations, slots } = input
  const n = groups.length
  const cell = (time: number) => ({ session: Math.floor(time / slots), slot: time % slots })
  const { cost, costs, conflicts } = checkPlan(problem, visits)
  const made = Array.from(visits, (offer, at) => ({ offer, time: Math.floor(at / n), group: at % n }))
  return {
    visits: made.flatMap(({ offer, time, group }) => {
      if (offer < 0) return []
      const { station, game, level } = problem.offers[offer]
      return [{ ...cell(time), group: groups[group].id, station: stations[station].id, game, level }]
    }),
    nowhere: made.flatMap(({ offer, time, group }) =>
      offer >= 0
        ? []
        : [{ ...cell(time), group: groups[group].id, ...whyNowhere(problem, visits, time, group) }],
    ),
    cost,
    costs: costs.map(({ rule, cost: own, time, group }) => ({
      rule,
      cost: own,
      ...(time === null ? {} : cell(time)),
      ...(group === null ? {} : { group: groups[group].id }),
    })),
    conflicts: conflicts.map(({ rule, time, groups: those }) => ({
      rule,
      ...cell(time),
      groups: those.map((g) => groups[g].id),
    })),
    showFirst: showFirst(input),
  }
}

/** Games on offer where no adult is, with the groups that have to be shown them first. */
function showFirst({ offers, stations, groups }: PlanInput) {
  const alone = new Set(
    offers
      .filter(({ station }) => ['own', 'digital'].includes(stations.find(({ id }) => id === station)!.mode))
      .map(({ game }) => game),
  )
  return [...alone].flatMap((game) => {
    const unshown = groups.filter(({ known }) => !known.includes(game)).map(({ id }) => id)
    return unshown.length > 0 ? [{ game, groups: unshown }] : []
  })
}
