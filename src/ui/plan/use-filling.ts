'use client'

import { useState } from 'react'
import type { PlannerInput } from '@/server/plan/rules'
import type { Filled, PlanningWorker } from '@/workers/planning'
import { useWorkerRun } from '../use-worker-run'

/** Fills a plan in a web worker: how far it is, the best so far, and a way to stop with that. */
export function useFilling(onFilled: (filled: Filled) => void) {
  const [best, setBest] = useState<Filled | null>(null)
  const { busy, start, stop } = useWorkerRun<PlanningWorker>(
    () => new Worker(new URL('../../workers/planning.ts', import.meta.url)),
  )
  return {
    busy,
    done: best?.done ?? 0,
    start(input: PlannerInput) {
      setBest(null)
      void start((worker, hear) => worker.run(input, hear(setBest)), onFilled)
    },
    /** Stops, and keeps the best that was found. */
    keep() {
      stop()
      if (best) onFilled(best)
    },
  }
}
