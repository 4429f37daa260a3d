import { expose } from 'comlink'
import type { z } from 'zod'
import type { Group, Groups } from '@/core/grouping/groups'
import { propose } from '@/core/grouping/making/propose'
import { regroupings, type Regrouping } from '@/core/grouping/regrouping/regrouping'
import { groupingRequestSchema } from '@/core/grouping/request'
import { ContradictoryLimits, type Clash, type Contradiction } from '@/core/grouping/problem/units'

/** What was worked out, or the limits that can't hold at once. */
export type Worked<T> =
  { ok: true; value: T } | { ok: false; contradictions: Contradiction[]; clash: Clash | null }

/** Groups of one number, as they would first be proposed; null: the limits can't be kept with so many. */
export interface OfNumber {
  count: number
  made: Groups | null
}

type Request = z.input<typeof groupingRequestSchema>

const worker = {
  /** Makes groups; `onBest` hears the best so far. Ended by ending the worker. */
  propose: (request: Request, onBest: (best: Groups) => void): Worked<Groups> =>
    worked(() => {
      const run = propose(groupingRequestSchema.parse(request))
      let step = run.next()
      while (!step.done) {
        onBest(step.value)
        step = run.next()
      }
      return step.value
    }),

  /** Groups of every number, each as it would first be proposed; `onMade` hears those so far. */
  byNumber(requests: readonly Request[], onMade: (made: OfNumber[]) => void): OfNumber[] {
    const all: OfNumber[] = []
    for (const request of requests) {
      const parsed = groupingRequestSchema.parse(request)
      const made = worked(() => propose(parsed).next().value)
      all.push({ count: parsed.pennants.length, made: made.ok ? made.value : null })
      onMade(all)
    }
    return all
  },

  /** Regroupings that are worth their moves; `onFound` hears those so far, and how far the search is. */
  regroup: (
    request: Request,
    standing: readonly Group[],
    onFound: (found: Regrouping[], done: number) => void,
  ): Worked<Regrouping[]> =>
    worked(() => {
      const run = regroupings(groupingRequestSchema.parse(request), standing)
      let step = run.next()
      for (; !step.done; step = run.next()) onFound(step.value.found, step.value.done)
      return step.value
    }),
}

function worked<T>(work: () => T): Worked<T> {
  try {
    return { ok: true, value: work() }
  } catch (error) {
    if (!(error instanceof ContradictoryLimits)) throw error
    return { ok: false, contradictions: error.contradictions, clash: error.clash }
  }
}

export type GroupingWorker = typeof worker

expose(worker)
