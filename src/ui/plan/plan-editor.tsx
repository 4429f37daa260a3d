'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Action } from '@/server/answer'
import type { countOnShelf, Plan, PlanView, previewPlan, savePlan } from '@/server/plan'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { capital, dayInWords, many } from '../words'
import { PlanGrid } from './plan-grid'
import { Stations } from './stations'

interface Props {
  classId: string
  view: PlanView
  session: { id: string; state: 'planned' | 'running' | 'done' } | null
  today: string
  games: { id: string; title: string }[]
  /** A game was put in the plan on the way here: not saved yet. */
  added: boolean
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
  preview,
  save,
  count,
}: Props) {
  const router = useRouter()
  const [view, setView] = useState(first)
  const [changed, setChanged] = useState(session === null || added)
  const { problems, busy, save: run } = useSaving()
  const { plan } = view
  // An answer that comes late is about the plan as it is by then.
  const latest = useRef(plan)

  function change(part: Partial<Plan>) {
    // Levels chosen by hand belong to a group's station in a slot: other stations, other levels.
    const chosen = part.stations || part.slots ? {} : plan.chosen
    const next = { ...plan, chosen, ...part }
    latest.current = next
    setView({ ...view, plan: next })
    setChanged(true)
    run(() => preview({ classId, plan: next }), setView)
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

  const clashes = view.conflicts.length
  return (
    <>
      <div className="headline">
        <div>
          <h1>
            {clashes === 0 ? 'No clash' : many(clashes, 'thing to look at', 'things to look at')},{' '}
            {many(plan.stations.length, 'station')}, {plan.slots * plan.slotMinutes} minutes
          </h1>
          <p>
            {plan.day === today ? 'Today' : dayInWords(plan.day)} from {plan.startsAt} ·{' '}
            {capital(plan.slots).toLowerCase()} slots of {plan.slotMinutes} minutes
          </p>
        </div>
        {changed ? (
          <Button disabled={busy} onClick={keep}>
            {busy ? 'Working out …' : 'Ready'}
          </Button>
        ) : (
          <Link className="btn btn-primary" href={`/c/${classId}/run`}>
            To the session
          </Link>
        )}
      </div>
      <Problems problems={problems} />
      <div className="plan-times">
        <Form.Group controlId="plan-day">
          <Form.Label className="small">Day</Form.Label>
          <Form.Control
            size="sm"
            type="date"
            min={today}
            value={plan.day}
            onChange={({ target }) => target.value && change({ day: target.value })}
          />
        </Form.Group>
        <Form.Group controlId="plan-start">
          <Form.Label className="small">Start</Form.Label>
          <Form.Control
            size="sm"
            type="time"
            value={plan.startsAt}
            onChange={({ target }) => target.value && change({ startsAt: target.value })}
          />
        </Form.Group>
        <Form.Group controlId="plan-slots">
          <Form.Label className="small">Slots</Form.Label>
          <Form.Select
            size="sm"
            value={plan.slots}
            onChange={({ target }) => change({ slots: Number(target.value) })}
          >
            {[1, 2, 3, 4, 5, 6].map((number) => (
              <option key={number}>{number}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="plan-minutes">
          <Form.Label className="small">Minutes each</Form.Label>
          <Form.Select
            size="sm"
            value={plan.slotMinutes}
            onChange={({ target }) => change({ slotMinutes: Number(target.value) })}
          >
            {[...new Set([8, 10, 12, 15, 20, plan.slotMinutes])]
              .sort((a, b) => a - b)
              .map((number) => (
                <option key={number}>{number}</option>
              ))}
          </Form.Select>
        </Form.Group>
      </div>
      <div className="columns">
        <PlanGrid
          view={view}
          onLevel={(key, levelId) => change({ chosen: { ...plan.chosen, [key]: levelId } })}
        />
        <Stations
          view={view}
          games={games}
          onChange={(stations) => change({ stations })}
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
