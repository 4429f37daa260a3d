'use client'

import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import type { OtherGame } from '@/core/planning/session/other-games'
import { newId } from '../new-id'
import { Problems } from '../problems'
import { changeSlots, changeStation, chooseLevel, pin, placeByHand, removeStation } from './placing'
import { PlanGrid } from './plan-grid'
import { PlanHeadline } from './plan-headline'
import { PlanNotes } from './plan-notes'
import { PlanTimes } from './plan-times'
import { Stations } from './stations'
import { usePlanEditing, type PlanBeingMade } from './use-plan-editing'

interface Props extends PlanBeingMade {
  today: string
  games: { id: string; title: string }[]
  others: readonly OtherGame[]
  /** Names of children who are in no group. */
  waiting: string[]
}

/** One session: who is where when, at which level, with what. */
export function PlanEditor({ today, games, others, waiting, ...made }: Props) {
  const { classId, session, changedSince } = made
  const editing = usePlanEditing(made)
  const { view, changed, problems, busy, change } = editing
  const { plan } = view
  if (session?.leftOpen)
    return (
      <div className="empty">
        <h1>A session was left open</h1>
        <p>Say how far it went before the next one is planned.</p>
        <Link className="btn btn-primary" href={`/c/${classId}`}>
          To the harbour
        </Link>
      </div>
    )
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

  return (
    <>
      <PlanHeadline
        classId={classId}
        editing={editing}
        changedSince={changedSince}
        today={today}
        waiting={waiting}
      />
      <Problems problems={problems} />
      {problems.length > 0 && (
        <Button variant="quiet" size="sm" disabled={busy} onClick={editing.lookAgain}>
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
          others={others}
          onStation={(id, to) => change(changeStation(plan, id, to))}
          onAdd={(gameId) =>
            change({ stations: [...plan.stations, { id: newId(), gameId, mode: 'own', places: null }] })
          }
          onRemove={(id) => change(removeStation(plan, id))}
          onCount={editing.countOnShelf}
          printAt={session && !changed ? `/c/${classId}/print` : null}
        />
      </div>
    </>
  )
}
