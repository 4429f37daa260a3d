'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import type { Action } from '@/server/answer'
import type { PlanDraft } from '@/core/planning/session/draft'
import { pinsFrom } from '@/core/planning/session/pins'
import type { PlacedPlan } from '@/core/planning/session/plan'
import type { PlanView } from '@/core/planning/session/work-out'
import type { discardDraft, Draft } from '@/server/drafts/drafts'
import type { countOnShelf, previewPlan, savePlan } from '@/server/plan/plan'
import { useDraft } from '../drafts/use-draft'
import { newId } from '../new-id'
import { useSaving } from '../sheets/use-saving'
import { cellsAt, takeOver, type At } from './placing'
import { useFilling } from './use-filling'

export interface PlanBeingMade {
  classId: string
  view: PlanView
  standing: PlanDraft
  draft: Draft<PlanDraft> | null
  session: { id: string; state: 'planned' | 'running' | 'done'; leftOpen: boolean } | null
  /** A game was put in the plan on the way here: not kept yet. */
  added: boolean
  /** What has changed since the plan was kept. */
  changedSince: 'groups' | 'levels' | null
  preview: Action<typeof previewPlan>
  save: Action<typeof savePlan>
  count: Action<typeof countOnShelf>
  discard: Action<typeof discardDraft>
}

/** A plan as it is being made: what it comes to, its draft, the search for places, and all that can be done with it. */
export function usePlanEditing({
  classId,
  view: first,
  standing,
  draft: kept,
  session,
  added,
  changedSince,
  preview,
  save,
  count,
  discard,
}: PlanBeingMade) {
  const router = useRouter()
  const [view, setView] = useState(first)
  const draft = useDraft(classId, 'plan', standing, kept)
  const changed = session === null || changedSince !== null || draft.changed
  const { problems, busy, save: run, setProblems } = useSaving()
  const { plan } = view
  const { groupingId } = view
  // An answer that comes late is about the plan as it is by then.
  const latest = useRef(plan)
  // One id however often it is sent: a plan whose answer was lost is kept once.
  const keeping = useRef(newId())

  // A game was put in the plan on the way here: that is a step like any other, and not to be taken again on a reload.
  const addGame = useEffectEvent(() => {
    if (!added) return
    draft.take({ do: { groupingId, plan } })
    window.history.replaceState(null, '', `/c/${classId}/plan`)
  })
  useEffect(() => {
    addGame()
  }, [])

  function replan(part: Partial<PlacedPlan>) {
    const next = { ...latest.current, ...part }
    draft.take({ do: { groupingId, plan: next } })
    show(next)
  }

  function show(next: PlacedPlan) {
    latest.current = next
    setView((before) => ({ ...before, plan: next }))
    look(next)
  }

  /** What the plan comes to; with the groups of now, where others were made since. */
  function look(next: PlacedPlan, madeFor = groupingId) {
    run(
      () => preview({ classId, groupingId: madeFor, plan: next }),
      (found) => {
        if (latest.current !== next) return
        latest.current = found.plan
        setView(found)
      },
    )
  }

  /** One step back or forth, or to what is planned: what that comes to has to be worked out. */
  function goTo({ groupingId: madeFor, plan: to }: PlanDraft, take: () => void) {
    filling.stop()
    take()
    latest.current = to
    look(to, madeFor)
  }

  const filling = useFilling(
    (filled, kept) => replan(takeOver(latest.current, filled, kept)),
    () => setProblems(['The search for places broke off. The plan stays as it is.']),
  )

  /** A change by hand: a search for places that is under way was about another plan. */
  function change(part: Partial<PlacedPlan>) {
    filling.stop()
    replan(part)
  }

  /** Plans all cells but those, in a worker. */
  function fill(kept: readonly At[]) {
    if (view.planner) filling.start({ ...view.planner, pins: pinsFrom(cellsAt(plan, kept)) }, kept)
  }

  function keep() {
    run(
      async () => {
        await draft.idle()
        return save({
          classId,
          sessionId: keeping.current,
          groupingId,
          plan,
          replaces: session?.state === 'planned' ? session.id : null,
        })
      },
      () => router.push(`/c/${classId}/run`),
    )
  }

  return {
    view,
    draft,
    changed,
    problems,
    busy,
    filling,
    /** Visits that are still to be placed. */
    gaps: view.groups.length * plan.slots - view.visits.length,
    change,
    keep,
    fill,
    lookAgain: () => look(latest.current),
    showOther: () => draft.other && goTo(draft.other, draft.showOther),
    undo: () => draft.before && goTo(draft.before, () => draft.take('undo')),
    redo: () => draft.next && goTo(draft.next, () => draft.take('redo')),
    discardDraft: () =>
      run(
        () => discard({ classId, kind: 'plan' }),
        () => goTo(standing, draft.cleared),
      ),
    countOnShelf: (item: string, number: number | null) =>
      run(
        () => count({ classId, item, count: number }),
        () => look(latest.current),
      ),
  }
}
