'use client'

import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import type { RunPage } from '@/server/session-board'
import { isTimeOver } from '@/core/live/session'
import { KeysButton } from '../keys/keys-button'
import { clockInWords } from './use-countdown'

export type ClockTap =
  'start' | 'pause' | 'resume' | 'minute-more' | 'next' | 'finish' | 'back' | 'all-played'

/** The clock of a session, and what an adult does with it. */
export function RunBar({
  classId,
  session,
  times,
  left,
  busy,
  onTap,
  onLetIn,
  onLate,
  replanned,
  leads,
  note,
}: {
  classId: string
  session: RunPage['session']
  times: RunPage['times']
  /** Milliseconds left of the slot. */
  left: number
  busy: boolean
  onTap: (tap: ClockTap) => void
  onLetIn: () => void
  onLate: () => void
  /** It goes on another way than planned: the times of the plan say nothing any more. */
  replanned: boolean
  /** Else it is a helper’s, who records. */
  leads: boolean
  note: React.ReactNode
}) {
  const runs = session.state === 'running'
  const running = runs && leads
  const last = session.slot + 1 >= session.slots
  /** How far it went is asked then, below. */
  const timeOver = isTimeOver({ ...session, leftMs: left })
  const quiet = (tap: ClockTap, words: string) => (
    <Button variant="quiet" disabled={busy} onClick={() => onTap(tap)}>
      {words}
    </Button>
  )
  return (
    <header className="run-bar">
      <div className="clock" role="timer" aria-label={runs ? `${clockInWords(left)} left` : 'not started'}>
        {clockInWords(left)}
      </div>
      <div className="grow">
        <h1>
          Slot {session.slot + 1} of {session.slots}
        </h1>
        <span className="small muted">
          {!runs
            ? `planned for ${times[0].from}`
            : session.paused
              ? 'paused'
              : left < 0
                ? 'over time'
                : replanned
                  ? 'planned anew'
                  : `planned until ${times[session.slot]?.to ?? times.at(-1)!.to}`}
        </span>
      </div>
      {running && (
        <>
          {quiet(session.paused ? 'resume' : 'pause', session.paused ? 'Go on' : 'Pause')}
          {quiet('minute-more', '+1 minute')}
          <Button variant="quiet" onClick={onLate}>
            Late?
          </Button>
        </>
      )}
      <a className="btn btn-quiet" href={`/c/${classId}/room`} target="islands-room">
        Curtain
      </a>
      {running && session.canGoBack && quiet('back', `Back to slot ${session.slot}`)}
      {running && (
        <Button
          variant={left <= 0 && !timeOver ? 'primary' : 'quiet'}
          disabled={busy}
          onClick={() => onTap('next')}
        >
          {last ? 'Finish' : 'Next slot'}
        </Button>
      )}
      {session.state === 'planned' && leads && (
        <Button disabled={busy} onClick={() => onTap('start')}>
          Start session
        </Button>
      )}
      <div className="run-more">
        {leads && (
          <>
            <Button variant="plain" size="sm" onClick={onLetIn}>
              Bring a helper
            </Button>
            {running && !last && !timeOver ? (
              <Button variant="plain" size="sm" disabled={busy} onClick={() => onTap('finish')}>
                End here
              </Button>
            ) : (
              <span />
            )}
            {note}
            <Link className="btn btn-plain btn-sm" href={`/c/${classId}`}>
              Harbour
            </Link>
          </>
        )}
        {!leads && (
          <Link className="btn btn-plain btn-sm" href="/account">
            Your account
          </Link>
        )}
        <KeysButton />
      </div>
    </header>
  )
}
