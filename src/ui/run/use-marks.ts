'use client'

import { useMemo, useRef, useState } from 'react'
import {
  noValue,
  readerBeside,
  sameValue,
  saysSomething,
  type How,
  type MarkValue,
} from '@/core/evidence/mark'
import type { ShownMark } from '@/server/session-board'
import { isMark } from './outbox-store'
import { keyOf, stillOpen, withWaiting, type Taps } from './taps'
import { useOutbox, type MarksOf } from './use-outbox'

interface LastTap {
  visitId: string
  pupilId: string
  before: MarkValue & { how?: How | null }
}

/**
 * The marks of a session as the adult sees them: at once on the screen, then kept on the device, then stored.
 * @param from `sheet`: what is typed in stands on children's sheets
 */
export function useMarks(of: MarksOf, stored: readonly ShownMark[], from: 'seen' | 'sheet' = 'seen') {
  // What was tapped on this page; it speaks before what the server said when the page was made.
  const [tapped, setTapped] = useState<Taps>(() => new Map())
  const [observer, setObserver] = useState<string | null>(null)
  const [last, setLast] = useState<LastTap | null>(null)
  /** Records of digital stations that were taken back on this page. */
  const [takenBack, setTakenBack] = useState<ReadonlySet<string>>(() => new Set())
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)

  const queue = useOutbox(of, ({ observer: device, waiting }) => {
    const self = from === 'sheet' ? readerBeside(device) : device
    setObserver(self)
    setTapped((before) => withWaiting(before, waiting.filter(isMark), self))
  })

  // What the server has of this device's taps is no longer this page's affair: another page of the device may change it.
  const [known, setKnown] = useState(stored)
  const [sent, setSent] = useState<ReadonlySet<string>>(() => new Set())
  if (known !== stored) {
    setKnown(stored)
    const waitsHere = new Set(
      [...queue.state.waiting, ...queue.state.aside.map(({ entry }) => entry)].map(({ id }) => id),
    )
    setTapped((all) => stillOpen(all, new Set(stored.map(({ id }) => id)), sent))
    // By the next answer of the server it has taken in what has left the device by now.
    setSent(new Set([...tapped.values()].flatMap(({ id }) => (id && !waitsHere.has(id) ? [id] : []))))
  }

  const storedHere = useMemo(() => {
    const own = new Map<string, ShownMark>()
    const others = new Map<string, ShownMark[]>()
    for (const mark of stored) {
      if (takenBack.has(mark.id)) continue
      const key = keyOf(mark.visitId, mark.pupilId)
      if (mark.observer === observer) own.set(key, mark)
      else others.set(key, [...(others.get(key) ?? []), mark])
    }
    return { own, others }
  }, [stored, observer, takenBack])

  function markOf(visitId: string, pupilId: string) {
    const key = keyOf(visitId, pupilId)
    return tapped.get(key) ?? storedHere.own.get(key)
  }

  function set(visitId: string, pupilId: string, value: MarkValue, how: How | null = null) {
    const key = keyOf(visitId, pupilId)
    const before = markOf(visitId, pupilId)
    setTapped((all) => new Map(all).set(key, { ...value, how, id: null }))
    // Its number is known once it is kept; a tap in between corrects the one before by child and visit.
    void queue
      .add(
        from === 'sheet' && observer
          ? { visitId, pupilId, observer, sheet: saysSomething(value) }
          : { visitId, pupilId, how },
        value,
        before?.id ?? null,
      )
      .then(({ id }) =>
        setTapped((all) => {
          const now = all.get(key)
          return now && sameValue(now, value) ? new Map(all).set(key, { ...value, how, id }) : all
        }),
      )
    setLast({ visitId, pupilId, before: before ?? noValue })
    clearTimeout(timer.current)
    timer.current = setTimeout(() => setLast(null), 10_000)
  }

  return {
    markOf,
    /** The device knows who it is: before, nothing is to be typed in. */
    ready: observer !== null,
    set,
    /** What other devices saw of the child at the visit: counted beside this one's. */
    othersOf: (visitId: string, pupilId: string) => storedHere.others.get(keyOf(visitId, pupilId)) ?? [],
    ...queue.state,
    tell: queue.tell,
    last,
    retry: queue.retry,
    letGo: queue.letGo,
    /** One tap: a mark, another mark in its place, or the same again to take it back. */
    tap(visitId: string, pupilId: string, value: MarkValue) {
      const now = markOf(visitId, pupilId) ?? noValue
      if (!saysSomething(now) && !saysSomething(value)) return
      set(visitId, pupilId, sameValue(now, value) ? noValue : value)
    },
    /** How the child did what its mark says; without a mark there is nothing to say it of. */
    describe(visitId: string, pupilId: string, how: How) {
      const now = markOf(visitId, pupilId)
      if (!now || !saysSomething(now)) return
      const { judged, right, of } = now
      set(visitId, pupilId, { judged, right, of }, how)
    },
    /** What a digital station counted does not count after all. */
    takeBack(mark: ShownMark) {
      const { id, visitId, pupilId, observer, digital } = mark
      setTakenBack((before) => new Set(before).add(id))
      void queue.add({ visitId, pupilId, observer, digital }, noValue, id)
    },
    undo() {
      if (!last) return
      const { judged, right, of, how } = last.before
      set(last.visitId, last.pupilId, { judged, right, of }, how)
      setLast(null)
    },
  }
}
