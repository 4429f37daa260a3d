'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import type { Mark } from '@/server/run'
import { MarkQueue } from './mark-queue'

export type Value = Pick<Mark, 'judged' | 'right' | 'of'>
const nothing: Value = { judged: null, right: null, of: null }

const keyOf = (visitId: string, pupilId: string) => `${visitId} ${pupilId}`

interface Tap {
  visitId: string
  pupilId: string
  before: Value
}

/** The marks of a session as the adult sees them: at once on the screen, then stored. */
export function useMarks(classId: string, stored: readonly Mark[]) {
  const [marks, setMarks] = useState(
    () => new Map(stored.map((mark) => [keyOf(mark.visitId, mark.pupilId), mark])),
  )
  const [state, setState] = useState<{ waiting: number; refused: string | null }>({
    waiting: 0,
    refused: null,
  })
  const [last, setLast] = useState<Tap | null>(null)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const queue = useMemo(
    () => new MarkQueue(classId, (waiting, refused) => setState({ waiting, refused })),
    [classId],
  )

  useEffect(() => {
    // Left over from before a reload: shown as they were, and sent.
    queue.resume((waiting) =>
      setMarks((before) => {
        const next = new Map(before)
        for (const mark of waiting) next.set(keyOf(mark.visitId, mark.pupilId), mark)
        return next
      }),
    )
  }, [queue])

  const markOf = (visitId: string, pupilId: string): Mark | undefined => marks.get(keyOf(visitId, pupilId))

  function set(visitId: string, pupilId: string, value: Value) {
    const before = markOf(visitId, pupilId)
    const mark = { id: crypto.randomUUID(), visitId, pupilId, ...value }
    setMarks(new Map(marks).set(keyOf(visitId, pupilId), mark))
    queue.add({ ...mark, corrects: before?.id ?? null, madeAt: new Date().toISOString() })
    return before
  }

  return {
    markOf,
    ...state,
    last,
    /** One tap: a mark, another mark in its place, or the same again to take it back. */
    tap(visitId: string, pupilId: string, value: Value) {
      const now = markOf(visitId, pupilId)
      const same =
        now !== undefined && now.judged === value.judged && now.right === value.right && now.of === value.of
      if (now === undefined && value.judged === null && value.of === null) return
      const { judged, right, of } = set(visitId, pupilId, same ? nothing : value) ?? nothing
      setLast({ visitId, pupilId, before: { judged, right, of } })
      clearTimeout(timer.current)
      timer.current = setTimeout(() => setLast(null), 10_000)
    },
    undo() {
      if (!last) return
      set(last.visitId, last.pupilId, last.before)
      setLast(null)
    },
  }
}
