'use client'

import { useEffect, useRef, useState } from 'react'
import type { CheckAnswer } from '@/core/evidence/check-run'
import { noValue } from '@/core/evidence/mark'
import { MarkQueue, nothingWaiting, type QueueState } from '../run/mark-queue'
import { MarkStore } from '../run/mark-store'

interface Given extends CheckAnswer {
  /** Number of its record, once it is kept on the device; null: it was skipped, or is being kept. */
  record: Promise<string> | null
}

/** The answers of a check: at once on the screen, then kept on the device, then stored; the last can be taken back. */
export function useAnswers(classId: string, pupilId: string) {
  const [given, setGiven] = useState<readonly Given[]>([])
  const [state, setState] = useState<QueueState>(nothingWaiting)
  const [recording, setRecording] = useState(0)
  const queue = useRef<MarkQueue>(null)

  useEffect(() => {
    const made = new MarkQueue(classId, new MarkStore(classId), setState)
    queue.current = made
    void made.resume()
    const online = () => void made.flush()
    window.addEventListener('online', online)
    return () => {
      window.removeEventListener('online', online)
      made.close()
    }
  }, [classId])

  async function keep(at: CheckAnswer['place'], value: typeof noValue, corrects: string | null) {
    setRecording((count) => count + 1)
    try {
      const { id } = await queue.current!.add({ visitId: null, at, pupilId }, value, corrects)
      return id
    } finally {
      setRecording((count) => count - 1)
    }
  }

  function give({ place, value }: CheckAnswer) {
    const record = value === null ? null : keep(place, value, null)
    setGiven((all) => [...all, { place, value, record }])
  }

  function undo() {
    const last = given.at(-1)
    if (!last) return
    setGiven((all) => all.slice(0, -1))
    void last.record?.then((id) => keep(last.place, noValue, id))
  }

  return {
    answers: given as readonly CheckAnswer[],
    give,
    undo,
    ...state,
    recording,
    retry: () => state.aside.forEach((one) => void queue.current?.retry(one)),
    letGo: () => state.aside.forEach((one) => void queue.current?.letGo(one)),
  }
}
