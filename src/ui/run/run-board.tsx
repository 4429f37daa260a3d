'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { judgements, type Judgement } from '@/core/evidence/observation'
import type { Action } from '@/server/answer'
import type { joinGroup } from '@/server/groups/join'
import type { missInBag } from '@/server/print/print'
import type { markAbsent, tapClock } from '@/server/run'
import type { RunPage } from '@/server/session-board'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { KeysButton } from '../keys/keys-sheet'
import { useShortcuts } from '../keys/use-shortcuts'
import { keyOf, nextRow, notSeen, rowsOf, shortList } from './board'
import { ChildSheet } from './child-sheet'
import { Newcomers } from './newcomers'
import { NotStored } from './not-stored'
import { savedInWords } from './saved-in-words'
import { markWords, StationColumn } from './station-column'
import { clockInWords, useCountdown } from './use-countdown'
import { useMarks } from './use-marks'

interface Props {
  classId: string
  page: RunPage
  tapClock: Action<typeof tapClock>
  markAbsent: Action<typeof markAbsent>
  joinGroup: Action<typeof joinGroup>
  missInBag: Action<typeof missInBag>
}

type Tap = Parameters<Props['tapClock']>[0]['tap']

/** The session as it runs: the clock, who is where, one tap for what was seen. */
export function RunBoard({ classId, page, tapClock, markAbsent, joinGroup, missInBag }: Props) {
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
  const unseen = notSeen(page.visits, absent, marks.markOf, marks.othersOf)
  const columns = rowsOf(stations, visits)
  /** The one row that Tab comes to; arrows lead from it to the others. */
  const [stop, setStop] = useState<string | null>(null)
  const all = columns.flat()
  const current = all.find((row) => keyOf(row) === stop) ?? all[0]

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

  const judge = (visitId: string, pupilId: string, judged: Judgement) =>
    marks.tap(visitId, pupilId, { judged, right: null, of: null })

  useShortcuts([
    { keys: '↑ ↓ ← →', title: 'From child to child', run: () => undefined },
    ...judgements.map((judged, i) => ({
      keys: String(i + 1),
      title: `The child in focus: ${markWords[judged]}`,
      run: () => {
        const row = document.activeElement?.closest<HTMLElement>('[data-row]')?.dataset.row
        const child = all.find((one) => keyOf(one) === row)
        if (child && running && !absent.has(child.pupilId)) judge(child.visitId, child.pupilId, judged)
      },
    })),
    { keys: 'u', title: 'Undo the last mark', run: marks.undo },
  ])

  /** Arrows lead from row to row: a class is marked without a tab stop for every sign. */
  function steer(event: React.KeyboardEvent) {
    const row = event.target instanceof HTMLElement && event.target.closest<HTMLElement>('[data-row]')
    const next = row && nextRow(columns, row.dataset.row ?? '', event.key)
    if (!next) return
    event.preventDefault()
    setStop(keyOf(next))
    document.querySelector<HTMLElement>(`[data-row="${keyOf(next)}"] .child-name`)?.focus()
  }

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
        <KeysButton />
      </header>
      <main className="run-stations" onKeyDown={steer}>
        <Problems problems={problems} />
        {page.changesWait && (
          <p className="caution-line">
            The plan was changed after it was made ready; this session is without those changes.{' '}
            <Link href={`/c/${classId}/plan`}>Look at the plan</Link>
          </p>
        )}
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
            classId={classId}
            station={station}
            number={position + 1}
            visits={visits.filter(({ stationId }) => stationId === station.id)}
            absent={absent}
            markOf={marks.markOf}
            othersOf={marks.othersOf}
            enabled={running}
            stop={current ? keyOf(current) : null}
            onFocus={setStop}
            onTap={judge}
            onOpen={(visitId, pupilId) => setOpen({ visitId, pupilId })}
            onMissing={(item, done) => save(() => missInBag({ classId, item }), done)}
          />
        ))}
      </main>
      <footer className="run-foot small">
        <span className="grow ellipsis">
          <strong>{unseen.length === 0 ? 'Everyone seen today' : 'Not seen yet today:'}</strong>{' '}
          {shortList(unseen)}
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
          digital={marks.othersOf(open.visitId, open.pupilId).filter(({ digital }) => digital !== null)}
          stationAt={page.digital ? `/c/${classId}/station/${open.visitId}/${open.pupilId}` : null}
          absent={absent.has(open.pupilId)}
          enabled={running}
          onTakeBack={marks.takeBack}
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
