'use client'

import { useState } from 'react'
import type { CheckAnswer } from '@/core/evidence/check-run'
import { noValue } from '@/core/evidence/mark'
import { ofClass, useOutbox } from '../run/use-outbox'

interface Given extends CheckAnswer {
  /** Number of its record, once it is kept on the device; null: it was skipped, or is being kept. */
  record: Promise<string> | null
}

/** The answers of a check: at once on the screen, then kept on the device, then stored; the last can be taken back. */
export function useAnswers(classId: string, pupilId: string) {
  const [given, setGiven] = useState<readonly Given[]>([])
  const { add, state, retry, letGo } = useOutbox(ofClass(classId))

  const keep = async (at: CheckAnswer['place'], value: typeof noValue, corrects: string | null) =>
    (await add({ visitId: null, at, pupilId }, value, corrects)).id

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

  return { answers: given as readonly CheckAnswer[], give, undo, retry, letGo, ...state }
}
