'use client'

import { useMemo, useState } from 'react'
import type { Round } from '@/core/evidence/check-together'
import { noValue } from '@/core/evidence/mark'
import { ofClass, useOutbox } from '../run/use-outbox'

interface Kept {
  round: Round
  /** Numbers of its records by child, once they are kept on the device. */
  records: Promise<readonly (readonly [string, string])[]>
}

/** The rounds of a check of several: at once on the screen, then kept on the device, then stored; the last can be taken back. */
export function useRounds(classId: string) {
  const [kept, setKept] = useState<readonly Kept[]>([])
  const { add, state, retry, letGo } = useOutbox(ofClass(classId))

  const keep = async (at: Round['place'], pupilId: string, value: typeof noValue, corrects: string | null) =>
    [pupilId, (await add({ visitId: null, at, pupilId }, value, corrects)).id] as const

  function give(round: Round) {
    const records = Promise.all(
      [...(round.values ?? [])].map(([pupilId, value]) => keep(round.place, pupilId, value, null)),
    )
    setKept((all) => [...all, { round, records }])
  }

  function undo() {
    const last = kept.at(-1)
    if (!last) return
    setKept((all) => all.slice(0, -1))
    void last.records.then((ids) => {
      for (const [pupilId, id] of ids) void keep(last.round.place, pupilId, noValue, id)
    })
  }

  const rounds = useMemo(() => kept.map(({ round }) => round), [kept])
  return { rounds, give, undo, retry, letGo, ...state }
}
