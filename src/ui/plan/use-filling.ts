'use client'

import { useState } from 'react'
import type { PlannerInput } from '@/core/planning/session/rules'
import type { Filled, PlanningWorker } from '@/workers/planning'
import { useWorkerRun } from '../use-worker-run'
import type { At } from './placing'

/** Fills a plan in a web worker: how far it is, the best so far, and a way to stop with that. */
export function useFilling(onFilled: (filled: Filled, kept: readonly At[]) => void, onFail: () => void) {
  const [best, setBest] = useState<Filled | null>(null)
  const [kept, setKept] = useState<readonly At[]>([])
  const { busy, start, stop } = useWorkerRun<PlanningWorker>(
    () => new Worker(new URL('../../workers/planning.ts', import.meta.url)),
    onFail,
  )
  return {
    busy,
    done: best?.done ?? 0,
    stop,
    /** @param cells those that stay as they are; pinned in the input */
    start(input: PlannerInput, cells: readonly At[]) {
      setBest(null)
      setKept(cells)
      void start(
        (worker, hear) => worker.run(input, hear(setBest)),
        (filled) => onFilled(filled, cells),
      )
    },
    /** Stops, and keeps the best that was found. */
    keep() {
      stop()
      if (best) onFilled(best, kept)
    },
  }
}
