'use client'

import { useEffect, useEffectEvent, useState } from 'react'
import { childrenInZone } from '@/core/grouping/in-zone'
import { mostGroups } from '@/core/grouping/pennants'
import type { ClassFit, GroupingRequest } from '@/core/grouping/request'
import type { GroupingWorker, OfNumber } from '@/workers/grouping'
import { useWorkerRun } from '../use-worker-run'

export interface CurvePoint {
  groups: number
  fitting: number
}

/** Children in their zone against the number of groups, each number as it would be proposed; in a web worker. */
export function useNumberCurve(
  children: readonly string[],
  fit: ClassFit,
  requestOf: (count: number) => GroupingRequest,
) {
  // With the fit they were made for: groups of one game say nothing of another.
  const [tried, setTried] = useState<{ fit: ClassFit; made: OfNumber[] }>({ fit, made: [] })
  const made = tried.fit === fit ? tried.made : []
  const worker = useWorkerRun<GroupingWorker>(
    () => new Worker(new URL('../../workers/grouping.ts', import.meta.url)),
  )
  const counts = Array.from({ length: Math.min(mostGroups, children.length) }, (_, i) => i + 1)
  const begin = useEffectEvent(() => {
    if (counts.length === 0) return
    const requests = counts.map(requestOf)
    const keep = (made: OfNumber[]) => setTried({ fit, made })
    void worker.start((grouping, hear) => grouping.byNumber(requests, hear(keep)), keep)
  })
  useEffect(() => {
    begin()
  }, [fit])
  const points = made.flatMap(({ count, made: groups }): CurvePoint[] =>
    groups ? [{ groups: count, fitting: childrenInZone(fit, groups).fitting }] : [],
  )
  return { points, tried: made.length, of: counts.length, done: made.length === counts.length }
}
