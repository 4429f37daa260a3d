'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { saysSomething, type MarkValue } from '@/core/evidence/mark'
import type { Action } from '@/server/answer'
import type { joinGroup } from '@/server/groups/join'
import type { markAbsent, RunPage, tapClock } from '@/server/run'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { ChildSheet } from './child-sheet'
import { Newcomers } from './newcomers'
import { NotStored } from './not-stored'
import { savedInWords } from './saved-in-words'
import { StationColumn } from './station-column'
import { clockInWords, useCountdown } from './use-countdown'
import { useMarks } from './use-marks'

interface Props {
  classId: string
  page: RunPage
  tapClock: Action<typeof tapClock>
  markAbsent: Action<typeof markAbsent>
  joinGroup: Action<typeof joinGroup>
}

type Tap = Parameters<Props['tapClock']>[0]['tap']

/** The session as it runs: the clock, who is where, one tap for what was seen. */
export function RunBoard({ classId, page, tapClock, markAbsent, joinGroup }: Props) {
  const router = useRouter()
  const { session, times, stations } = page
  const [absent, setAbsent] = useState(new Set(page.absent))
  const [open, setOpen] = useState<{ visitId: string; pupilId: string } | null>(null)
  const { problems, busy, save } = useSaving()
  const marks = useMarks(classId, page.marks)
  const running = session.state === 'running'
  const left = useCountdown(session.leftMs, running && !session.paused)
  const visits = page.visits.filter(({ slot }) => slot === session.slot)
  const last = session.slot + 1 >= session.slots
  const names = new Map(
    page.visits.flatMap(({ children }) => children.map(({ id, name }) => [id, name] as const)),
  )
  const seen = new Set(
    page.visits.flatMap(({ id, children }) =>
      children
        .filter(({ id: child }) => isSet(marks.markOf(id, child)) || marks.othersOf(id, child).length > 0)
        .map((child) => child.id),
    ),
  )
  const unseen = [...names].filter(([id]) => !seen.has(id) && !absent.has(id)).map(([, name]) => name)

  function tap(kind: Tap) {
    save(
      () => tapClock({ classId, sessionId: session.id, tap: kind, slot: session.slot }),
      () => {
        if (kind === 'finish' || (kind === 'next' && last))
          router.push(`/c/${classId}/progress?ended=${session.id}`)
        else router.refresh()
      },
    )
  }

  useEffect(() => {
    function press(event: KeyboardEvent) {
      const typing =
        event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [role=dialog]')
      if (!typing && event.key === 'u' && !event.ctrlKey && !event.metaKey) marks.undo()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  })

  const openVisit = open && page.visits.find(({ id }) => id === open.visitId)
  return (
    <>
      <header className="run-bar">
        <div
          className="clock"
          role="timer"
          aria-label={running ? `${clockInWords(left)} left` : 'not started'}
        >
          {clockInWords(left)}
        </div>
        <div className="grow">
          <h1>
            Slot {session.slot + 1} of {session.slots}
          </h1>
          <span className="small muted">
            {running
              ? session.paused
                ? 'paused'
                : left < 0
                  ? 'over time'
                  : `planned until ${times[session.slot].to}`
              : `planned for ${times[0].from}`}
          </span>
        </div>
        {running ? (
          <>
            <Button variant="quiet" disabled={busy} onClick={() => tap(session.paused ? 'resume' : 'pause')}>
              {session.paused ? 'Go on' : 'Pause'}
            </Button>
            <Button variant="quiet" disabled={busy} onClick={() => tap('minute-more')}>
              +1 minute
            </Button>
            {session.canGoBack && (
              <Button variant="quiet" disabled={busy} onClick={() => tap('back')}>
                Back to slot {session.slot}
              </Button>
            )}
            {!last && (
              <Button variant="quiet" disabled={busy} onClick={() => tap('finish')}>
                End here
              </Button>
            )}
            <Button variant={left <= 0 ? 'primary' : 'quiet'} disabled={busy} onClick={() => tap('next')}>
              {last ? 'Finish' : 'Next slot'}
            </Button>
          </>
        ) : (
          <Button disabled={busy} onClick={() => tap('start')}>
            Start session
          </Button>
        )}
        <Link className="btn btn-plain" href={`/c/${classId}`}>
          Harbour
        </Link>
      </header>
      <main className="run-stations">
        <Problems problems={problems} />
        {marks.aside.length > 0 && (
          <NotStored aside={marks.aside} names={names} onRetry={marks.retry} onLetGo={marks.letGo} />
        )}
        <Newcomers
          waiting={page.waiting}
          groups={visits.map(({ groupId, pennant }) => ({ groupId, pennant }))}
          busy={busy}
          onJoin={(pupilId, groupId) =>
            save(
              () => joinGroup({ classId, sessionId: session.id, pupilId, groupId }),
              () => router.refresh(),
            )
          }
        />
        {stations.map((station, position) => (
          <StationColumn
            key={station.id}
            station={station}
            number={position + 1}
            visits={visits.filter(({ stationId }) => stationId === station.id)}
            absent={absent}
            markOf={marks.markOf}
            othersOf={marks.othersOf}
            enabled={running}
            onTap={(visitId, pupilId, judged) =>
              marks.tap(visitId, pupilId, { judged, right: null, of: null })
            }
            onOpen={(visitId, pupilId) => setOpen({ visitId, pupilId })}
          />
        ))}
      </main>
      <footer className="run-foot small">
        <span className="grow ellipsis">
          <strong>{unseen.length === 0 ? 'Everyone seen today' : 'Not seen yet today:'}</strong>{' '}
          {unseen.length > 6
            ? `${unseen.slice(0, 5).join(', ')} and ${unseen.length - 5} more`
            : unseen.join(', ')}
        </span>
        {marks.last && (
          <Button variant="quiet" size="sm" onClick={marks.undo}>
            Undo {names.get(marks.last.pupilId)}
          </Button>
        )}
        <span aria-hidden>● own &nbsp; ◐ help &nbsp; ○ not yet</span>
        <strong className="saved" role="status">
          {savedInWords(marks)}
        </strong>
      </footer>
      {open && openVisit && (
        <ChildSheet
          name={names.get(open.pupilId) ?? ''}
          step={openVisit.children.find(({ id }) => id === open.pupilId)?.own?.step ?? openVisit.step}
          mark={marks.markOf(open.visitId, open.pupilId)}
          absent={absent.has(open.pupilId)}
          enabled={running}
          onValue={(value) => marks.tap(open.visitId, open.pupilId, value)}
          onAbsent={(away) =>
            save(
              () => markAbsent({ classId, sessionId: session.id, pupilId: open.pupilId, absent: away }),
              () => {
                const next = new Set(absent)
                if (away) next.add(open.pupilId)
                else next.delete(open.pupilId)
                setAbsent(next)
              },
            )
          }
          onClose={() => setOpen(null)}
        />
      )}
    </>
  )
}

const isSet = (mark: MarkValue | undefined) => mark !== undefined && saysSomething(mark)
