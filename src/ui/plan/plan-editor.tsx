'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { countOnShelf, Plan, PlanView, previewPlan, savePlan } from '@/server/plan/plan'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { capital, dayInWords, many } from '../words'
import { changeSlots, changeStation, pin, pinsOf, placeByHand, removeStation, takeOver } from './placing'
import { PlanGrid } from './plan-grid'
import { PlanNotes } from './plan-notes'
import { PlanTimes } from './plan-times'
import { Stations } from './stations'
import { useFilling } from './use-filling'

interface Props {
  classId: string
  view: PlanView
  session: { id: string; state: 'planned' | 'running' | 'done' } | null
  today: string
  games: { id: string; title: string }[]
  /** A game was put in the plan on the way here: not saved yet. */
  added: boolean
  /** What has changed since the plan was kept. */
  since: 'groups' | 'levels' | null
  preview: Action<typeof previewPlan>
  save: Action<typeof savePlan>
  count: Action<typeof countOnShelf>
}

/** One session: who is where when, at which level, with what. */
export function PlanEditor({
  classId,
  view: first,
  session,
  today,
  games,
  added,
  since,
  preview,
  save,
  count,
}: Props) {
  const router = useRouter()
  const [view, setView] = useState(first)
  const [changed, setChanged] = useState(session === null || added || since !== null)
  const { problems, busy, save: run, setProblems } = useSaving()
  const { plan } = view
  // An answer that comes late is about the plan as it is by then.
  const latest = useRef(plan)

  function replan(part: Partial<Plan>) {
    const next = { ...latest.current, ...part }
    latest.current = next
    setView((before) => ({ ...before, plan: next }))
    setChanged(true)
    run(() => preview({ classId, plan: next }), setView)
  }

  const filling = useFilling(
    (filled, kept) => replan(takeOver(latest.current, filled, kept)),
    () => setProblems(['The search for places broke off. The plan stays as it is.']),
  )

  /** A change by hand: a search for places that is under way was about another plan. */
  function change(part: Partial<Plan>) {
    filling.stop()
    replan(part)
  }

  /** Plans all cells but those, in a worker. */
  function fill(kept: readonly string[]) {
    if (view.planner) filling.start({ ...view.planner, pins: pinsOf(plan, kept) }, kept)
  }

  function keep() {
    const sessionId = crypto.randomUUID()
    run(
      () => save({ classId, sessionId, plan, replaces: session?.state === 'planned' ? session.id : null }),
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
            {capital(plan.slots).toLowerCase()} {plan.slots === 1 ? 'slot' : 'slots'} of {plan.slotMinutes}{' '}
            minutes
            {since && <strong>{sinceWords[since]}</strong>}
          </p>
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
              <Button variant="quiet" disabled={busy} onClick={() => fill(plan.pinned)}>
                Plan anew
              </Button>
            )}
            {gaps > 0 ? (
              <>
                {view.visits.length > 0 && (
                  <Button variant="quiet" disabled={busy} onClick={keep}>
                    Ready as it is
                  </Button>
                )}
                <Button disabled={busy} onClick={() => fill(Object.keys(plan.placed ?? {}))}>
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
            onPlace={(key, station) => change(placeByHand(plan, key, station))}
            onLevel={(key, levelId) => change({ chosen: { ...plan.chosen, [key]: levelId } })}
            onPin={(key, on) => change(pin(plan, key, on))}
          />
          <PlanNotes view={view} />
        </div>
        <Stations
          view={view}
          games={games}
          onStation={(station, to) => change(changeStation(plan, station, to))}
          onAdd={(gameId) => change({ stations: [...plan.stations, { gameId, mode: 'own', places: null }] })}
          onRemove={(station) => change(removeStation(plan, station))}
          onCount={(item, number) =>
            run(
              () => count({ classId, item, count: number }),
              () => run(() => preview({ classId, plan: latest.current }), setView),
            )
          }
        />
      </div>
    </>
  )
}

const sinceWords = {
  groups: ' · now with the new groups; Ready keeps it',
  levels: ' · levels follow what was seen since; Ready keeps them',
}
