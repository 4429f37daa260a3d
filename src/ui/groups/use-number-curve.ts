'use client'

import { useEffect, useEffectEvent, useState } from 'react'
import { mostGroups } from '@/core/grouping/pennants'
import { evenSizes, requestFor, type ClassFit } from '@/core/grouping/request'
import type { CurvePoint, GroupingWorker } from '@/workers/grouping'
import { useWorkerRun } from '../use-worker-run'

/** The curve against the number of groups, worked out in a web worker for the game the groups are made by. */
export function useNumberCurve(children: readonly string[], fit: ClassFit) {
  const [points, setPoints] = useState<CurvePoint[]>([])
  const worker = useWorkerRun<GroupingWorker>(
    () => new Worker(new URL('../../workers/grouping.ts', import.meta.url)),
  )
  const counts = Array.from({ length: Math.min(mostGroups, children.length) }, (_, i) => i + 1)
  const count = useEffectEvent(() => {
    if (counts.length === 0) return
    const request = requestFor(children, fit, {
      links: [],
      pennants: [0],
      sizes: evenSizes(children.length, 1),
    })
    void worker.start((grouping, hear) => grouping.curve(request, counts, hear(setPoints)), setPoints)
  })
  useEffect(() => {
    count()
  }, [fit])
  return { points, of: counts.length, done: points.length === counts.length }
}
