import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import { DraftLine } from '../drafts/draft-line'
import { dayInWords, many, spelledAtStart } from '../words'
import type { PlanBeingMade, usePlanEditing } from './use-plan-editing'

type Editing = ReturnType<typeof usePlanEditing>

/** What the plan comes to in a line, where its draft stands, and the next thing to do. */
export function PlanHeadline({
  classId,
  editing,
  changedSince,
  today,
  waiting,
}: {
  classId: string
  editing: Editing
  changedSince: PlanBeingMade['changedSince']
  today: string
  /** Names of children who are in no group. */
  waiting: readonly string[]
}) {
  const { view, draft, busy, gaps } = editing
  const { plan } = view
  const passed = plan.day < today
  const toLookAt = view.conflicts.filter(({ kind }) => kind !== 'game-again').length
  const said = [
    gaps > 0 && many(gaps, 'gap'),
    toLookAt > 0 && many(toLookAt, 'thing to look at', 'things to look at'),
  ].filter(Boolean)
  return (
    <div className="headline">
      <div>
        <h1>
          {said.length === 0 ? 'No clash' : said.join(', ')}, {many(plan.stations.length, 'station')},{' '}
          {plan.slots * plan.slotMinutes} minutes
        </h1>
        <p>
          {passed ? (
            <strong>Planned for {dayInWords(plan.day)}, which has passed</strong>
          ) : (
            `${plan.day === today ? 'Today' : dayInWords(plan.day)} from`
          )}{' '}
          {passed && '· '}
          {plan.startsAt} to {view.times.ends} · {spelledAtStart(plan.slots).toLowerCase()}{' '}
          {plan.slots === 1 ? 'slot' : 'slots'} of {plan.slotMinutes} minutes
          {changedSince && <strong>{sinceWords[changedSince]}</strong>}
        </p>
        <DraftLine
          draft={draft}
          what="plan"
          busy={busy}
          onShowOther={editing.showOther}
          onUndo={editing.undo}
          onRedo={editing.redo}
          onDiscard={editing.discardDraft}
        />
        {waiting.length > 0 && (
          <p className="small">
            Not in a group yet, so not in this plan: <strong>{waiting.join(', ')}</strong>.{' '}
            <Link href={`/c/${classId}/groups`}>To the groups</Link>
          </p>
        )}
      </div>
      <NextStep
        editing={editing}
        toSession={`/c/${classId}/run`}
        toToday={passed ? () => editing.change({ day: today }) : null}
      />
    </div>
  )
}

/** Places are filled, the plan is kept, or it is gone on to the session. */
function NextStep({
  editing,
  toSession,
  toToday,
}: {
  editing: Editing
  toSession: string
  /** Null: the day it is planned for is still to come. */
  toToday: (() => void) | null
}) {
  const { view, filling, busy, changed, gaps, keep, fill } = editing
  const { plan } = view
  return filling.busy ? (
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
      ) : toToday ? (
        <Button disabled={busy} onClick={toToday}>
          Plan it for today
        </Button>
      ) : (
        <Link className="btn btn-primary" href={toSession}>
          To the session
        </Link>
      )}
    </>
  )
}

const sinceWords = {
  groups: ' · now with the new groups; Ready keeps it',
  levels: ' · levels follow what was seen since; Ready keeps them',
}
