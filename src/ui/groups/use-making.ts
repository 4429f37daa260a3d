'use client'

import { useState } from 'react'
import type { Group, Groups } from '@/core/grouping/groups'
import type { Regrouping } from '@/core/grouping/regrouping/regrouping'
import type { GroupingRequest } from '@/core/grouping/request'
import type { GroupingWorker, Worked } from '@/workers/grouping'
import { useWorkerRun } from '../use-worker-run'

/** Makes groups or looks for moves in a web worker; stopped, it leaves the best so far where it is. */
export function useMaking(
  onClash: (refused: Extract<Worked<never>, { ok: false }>) => void,
  onFail: () => void,
) {
  const [doing, setDoing] = useState<'groups' | 'moves'>('groups')
  const [done, setDone] = useState(0)
  const { busy, start, stop } = useWorkerRun<GroupingWorker>(
    () => new Worker(new URL('../../workers/grouping.ts', import.meta.url)),
    onFail,
  )
  function finish<T>(onDone: (value: T) => void) {
    return (worked: Worked<T>) => (worked.ok ? onDone(worked.value) : onClash(worked))
  }
  return {
    busy,
    doing,
    /** Share of a search for moves that is through. */
    done,
    stop,
    propose(request: GroupingRequest, onBest: (best: Groups) => void) {
      setDoing('groups')
      void start((worker, hear) => worker.propose(request, hear(onBest)), finish(onBest))
    },
    regroup(request: GroupingRequest, standing: readonly Group[], onFound: (found: Regrouping[]) => void) {
      setDoing('moves')
      setDone(0)
      const heard = (found: Regrouping[], share: number) => {
        setDone(share)
        onFound(found)
      }
      void start((worker, hear) => worker.regroup(request, standing, hear(heard)), finish(onFound))
    },
  }
}
