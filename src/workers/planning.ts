import { expose } from 'comlink'
import type { z } from 'zod'
import { planInputSchema, planProblem, type PlanProblem } from '@/core/planning/plan/problem'
import type { Visits } from '@/core/planning/plan/rules'
import { planVisits } from '@/core/planning/plan/search'

/** Who is where, as far as the search has come. */
export interface Filled {
  cells: { slot: number; groupId: string; stationId: string }[]
  cost: number
  /** Share of the changes tried that are to be tried. */
  done: number
}

const worker = {
  /** Fills one session; `onBest` hears the best so far now and then. Ended by ending the worker. */
  run(input: z.input<typeof planInputSchema>, onBest: (filled: Filled) => void): Filled {
    const problem = planProblem(planInputSchema.parse(input))
    const search = planVisits(problem)
    let step = search.next()
    while (!step.done) {
      const { visits, cost, tried } = step.value
      onBest({ cells: cellsOf(problem, visits), cost, done: tried / problem.input.tries })
      step = search.next()
    }
    return { cells: cellsOf(problem, step.value.visits), cost: step.value.cost, done: 1 }
  },
}

function cellsOf({ input, offers }: PlanProblem, visits: Visits): Filled['cells'] {
  const groups = input.groups.length
  return [...visits].flatMap((offer, at) =>
    offer < 0
      ? []
      : [
          {
            slot: Math.floor(at / groups),
            groupId: input.groups[at % groups].id,
            stationId: input.stations[offers[offer].station].id,
          },
        ],
  )
}

export type PlanningWorker = typeof worker

expose(worker)
