'use client'

import { dequal } from 'dequal'
import { useEffect, useRef, useState } from 'react'
import { after, beginning, onTopOf, type History, type Step } from '@/core/drafting/history'
import type { Draft, Drafts } from '@/server/drafts/drafts'
import { DraftKeeper, type Keeping } from './draft-keeper'

/**
 * What lies on the table of a place: each step is kept on the server at once, can be taken back and brought back,
 * and is found again after a reload, in another tab and on another device.
 * @param standing what is in use: the beginning of a new draft
 * @param draft what the server held when the page was made
 */
export function useDraft<Kind extends keyof Drafts>(
  classId: string,
  kind: Kind,
  standing: Drafts[Kind],
  draft: Draft<Drafts[Kind]> | null,
) {
  type Value = Drafts[Kind]
  const [history, setHistory] = useState<History<Value>>(() => draft?.history ?? beginning(standing))
  const [keeping, setKeeping] = useState<Keeping<Value>>({ state: 'kept', at: draft?.savedAt ?? null })
  /** Of now, not of when a search was begun. */
  const latest = useRef(history)
  const keeper = useRef<DraftKeeper<Value>>(null)
  const revision = draft?.revision ?? null

  useEffect(() => {
    const made = new DraftKeeper<Value>(`/c/${classId}/drafts`, kind, revision, setKeeping)
    keeper.current = made
    return () => made.close()
    // The revision is the one the page was made with: the keeper itself goes on from there.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [classId, kind])

  function show(next: History<Value>) {
    latest.current = next
    setHistory(next)
  }
  function take(step: Step<Value>) {
    const before = latest.current
    const next = after(before, step)
    if (next === before || dequal(next, before)) return
    show(next)
    keeper.current?.take(step, before.now, next.now)
  }
  /** The keeper goes on from what lies on the server, with one of the two in view. */
  function settle(there: Draft<Value> | null, value: Value) {
    const own = latest.current.now
    const base = there?.history ?? beginning(standing)
    const both = dequal(value, own) ? onTopOf(base, own) : onTopOf(onTopOf(base, own), value)
    keeper.current?.follow(there?.revision ?? null)
    show(both)
    if (!dequal(value, own)) keeper.current?.take({ do: own }, base.now, own)
    keeper.current?.take({ do: value }, own, value)
  }
  return {
    value: history.now,
    latest,
    keeping,
    /** The table holds something else than what is in use. */
    changed: !dequal(history.now, standing),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    /** Another draft that this one met. */
    other: keeping.state === 'other' ? (keeping.there?.history.now ?? null) : null,
    /** What `undo` and `redo` would show. */
    before: history.past.at(-1) ?? null,
    next: history.future[0] ?? null,
    take,
    /** Two drafts met: this one goes on, the other is one step behind it. */
    keepThis() {
      if (keeping.state === 'other') settle(keeping.there, latest.current.now)
    },
    /** Two drafts met: the other one goes on, this one is one step behind it. */
    showOther() {
      if (keeping.state === 'other' && keeping.there) settle(keeping.there, keeping.there.history.now)
    },
    /** Settles when no step is on its way any more. */
    idle: async () => keeper.current?.idle(),
    /** The server has let the draft go: the table shows what is in use. */
    cleared() {
      keeper.current?.follow(null)
      show(beginning(standing))
      setKeeping({ state: 'kept', at: null })
    },
  }
}
