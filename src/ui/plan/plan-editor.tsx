'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { PlanDraft } from '@/core/planning/session/draft'
import type { PlacedPlan } from '@/core/planning/session/plan'
import { pinsFrom } from '@/core/planning/session/rules'
import type { PlanView } from '@/core/planning/session/work-out'
import type { discardDraft, Draft } from '@/server/drafts/drafts'
import type { countOnShelf, previewPlan, savePlan } from '@/server/plan/plan'
import { DraftLine } from '../drafts/draft-line'
import { useDraft } from '../drafts/use-draft'
import { newId } from '../new-id'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { spelledAtStart, dayInWords, many } from '../words'
import {
  cellsAt,
  changeSlots,
  changeStation,
  chooseLevel,
  pin,
  placeByHand,
  removeStation,
  takeOver,
  type At,
} from './placing'
import { PlanGrid } from './plan-grid'
import { PlanNotes } from './plan-notes'
import { PlanTimes } from './plan-times'
import { Stations } from './stations'
import { useFilling } from './use-filling'

interface Props {
  classId: string
  view: PlanView
  standing: PlanDraft
  draft: Draft<PlanDraft> | null
  session: { id: string; state: 'planned' | 'running' | 'done' } | null
  today: string
  games: { id: string; title: string }[]
  /** A game was put in the plan on the way here: not kept yet. */
  added: boolean
  /** What has changed since the plan was kept. */
  changedSince: 'groups' | 'levels' | null
  /** Names of children who are in no group. */
  waiting: string[]
  preview: Action<typeof previewPlan>
  save: Action<typeof savePlan>
  count: Action<typeof countOnShelf>
  discard: Action<typeof discardDraft>
}

/** One session: who is where when, at which level, with what. */
export function PlanEditor({
  classId,
  view: first,
  standing,
  draft: kept,
  session,
  today,
  games,
  added,
  changedSince,
  waiting,
  preview,
  save,
  count,
  discard,
}: Props) {
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

  if (session?.state === 'running')
    return (
      <div className="empty">
        <h1>A session is under way</h1>
        <p>Finish it before the next one is planned.</p>
        <Link className="btn btn-primary" href={`/c/${classId}/run`}>
          To the session
        </Link>
      </div>
    )

  const toLookAt = view.conflicts.filter(({ kind }) => kind !== 'game-again').length
  const gaps = view.groups.length * plan.slots - view.visits.length
  const said = [
    gaps > 0 && many(gaps, 'gap'),
    toLookAt > 0 && many(toLookAt, 'thing to look at', 'things to look at'),
  ].filter(Boolean)
  return (
    <>
      <div className="headline">
        <div>
          <h1>
            {said.length === 0 ? 'No clash' : said.join(', ')}, {many(plan.stations.length, 'station')},{' '}
            {plan.slots * plan.slotMinutes} minutes
          </h1>
          <p>
            {plan.day === today ? 'Today' : dayInWords(plan.day)} from {plan.startsAt} to {view.times.ends} ·{' '}
            {spelledAtStart(plan.slots).toLowerCase()} {plan.slots === 1 ? 'slot' : 'slots'} of{' '}
            {plan.slotMinutes} minutes
            {changedSince && <strong>{sinceWords[changedSince]}</strong>}
          </p>
          <DraftLine
            draft={draft}
            what="plan"
            busy={busy}
            onShowOther={() => draft.other && goTo(draft.other, draft.showOther)}
            onUndo={() => draft.before && goTo(draft.before, () => draft.take('undo'))}
            onRedo={() => draft.next && goTo(draft.next, () => draft.take('redo'))}
            onDiscard={() =>
              run(
                () => discard({ classId, kind: 'plan' }),
                () => goTo(standing, draft.cleared),
              )
            }
          />
          {waiting.length > 0 && (
            <p className="small">
              Not in a group yet, so not in this plan: <strong>{waiting.join(', ')}</strong>.{' '}
              <Link href={`/c/${classId}/groups`}>To the groups</Link>
            </p>
          )}
        </div>
        {filling.busy ? (
          <div className="filling" role="status">
            <span className="small muted">Trying places …</span>
            <progress value={filling.done} aria-label="Places tried" />
            <Button variant="quiet" size="sm" onClick={filling.keep}>
              Stop, keep the best
            </Button>
          </div>
        ) : (
          <>
            {gaps === 0 && (
              <Button
                variant="quiet"
                disabled={busy}
                onClick={() => fill(plan.cells.filter(({ pinned }) => pinned))}
              >
                Plan again
              </Button>
            )}
            {gaps > 0 ? (
              <>
                {view.visits.length > 0 && (
                  <Button variant="quiet" disabled={busy} onClick={keep}>
                    Ready as it is
                  </Button>
                )}
                <Button disabled={busy} onClick={() => fill(plan.cells)}>
                  Fill gaps
                </Button>
              </>
            ) : changed ? (
              <Button disabled={busy} onClick={keep}>
                {busy ? 'Working out …' : 'Ready'}
              </Button>
            ) : (
              <Link className="btn btn-primary" href={`/c/${classId}/run`}>
                To the session
              </Link>
            )}
          </>
        )}
      </div>
      <Problems problems={problems} />
      {problems.length > 0 && (
        <Button variant="quiet" size="sm" disabled={busy} onClick={() => look(latest.current)}>
          Look again
        </Button>
      )}
      <PlanTimes
        plan={plan}
        today={today}
        onChange={change}
        onSlots={(slots) => change(changeSlots(plan, slots))}
      />
      <div className="columns">
        <div className="plan-main">
          <PlanGrid
            view={view}
            onPlace={(at, stationId) => change(placeByHand(plan, at, stationId))}
            onLevel={(at, levelId) => change(chooseLevel(plan, at, levelId))}
            onPin={(at, on) => change(pin(plan, at, on))}
          />
          <PlanNotes view={view} />
        </div>
        <Stations
          view={view}
          games={games}
          onStation={(id, to) => change(changeStation(plan, id, to))}
          onAdd={(gameId) =>
            change({ stations: [...plan.stations, { id: newId(), gameId, mode: 'own', places: null }] })
          }
          onRemove={(id) => change(removeStation(plan, id))}
          onCount={(item, number) =>
            run(
              () => count({ classId, item, count: number }),
              () => look(latest.current),
            )
          }
          printAt={session && !changed ? `/c/${classId}/print` : null}
        />
      </div>
    </>
  )
}

const sinceWords = {
  groups: ' · now with the new groups; Ready keeps it',
  levels: ' · levels follow what was seen since; Ready keeps them',
}
