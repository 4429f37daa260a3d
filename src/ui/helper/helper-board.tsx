'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Answer } from '@/server/answer'
import type { HelperPage } from '@/server/room/pages'
import { Pennant } from '../pennant'
import { Problems } from '../problems'
import { ChildRow, MarkSign, markWords } from '../run/child-row'
import { HowToPlayIt } from '../run/how-to-play-it'
import { NotStored } from '../run/not-stored'
import { OpenChild } from '../run/open-child'
import { Outcome } from '../run/outcome'
import { savedInWords } from '../run/saved-in-words'
import { movedTo, setsOf } from '../run/sets'
import { clockInWords } from '../run/use-countdown'
import { lineInWords, useSession } from '../run/use-session'
import { useSaving } from '../sheets/use-saving'

export interface HelperActions {
  changeLevel: (input: {
    visitId: string
    pupilId: string
    to: 'easier' | 'harder'
  }) => Promise<Answer<unknown>>
  swapSeats: (input: { visitId: string; pupilId: string; withId: string }) => Promise<Answer<unknown>>
}

/** What a helper holds in the hand: one station, who is there, what to look for, one tap for what was seen. */
export function HelperBoard({ page, actions }: { page: HelperPage; actions: HelperActions }) {
  const { board, classId } = page
  const at = useSession({ classId, from: '/here' }, '/here/live', board)
  const { session, running, marks, absent, line } = at
  const [stationId, setStationId] = useState(board.stations[0].id)
  const [open, setOpen] = useState<{ visitId: string; pupilId: string } | null>(null)
  const { problems, save } = useSaving()
  const station = board.stations.find(({ id }) => id === stationId) ?? board.stations[0]
  const visits = at.visits.filter((visit) => visit.stationId === station.id)
  const broken = lineInWords(line)
  return (
    <div className="helper">
      <header className="helper-bar">
        <h1>{station.title}</h1>
        <div
          className="clock"
          role="timer"
          aria-label={running ? `${clockInWords(at.left)} left` : 'not running'}
        >
          {running ? clockInWords(at.left) : session.state === 'planned' ? 'soon' : 'over'}
        </div>
      </header>
      {board.stations.length > 1 && (
        <nav className="helper-stations" aria-label="Stations">
          {board.stations.map(({ id, title }) => (
            <Button
              key={id}
              variant="quiet"
              size="sm"
              aria-pressed={id === station.id}
              onClick={() => setStationId(id)}
            >
              {title}
            </Button>
          ))}
        </nav>
      )}
      <main className="helper-main">
        <Problems problems={problems} />
        {session.state === 'planned' && <p>The session has not begun yet. This page goes along with it.</p>}
        {session.state === 'done' && <p>The session has ended. Thank you.</p>}
        {marks.aside.length > 0 && (
          <NotStored aside={marks.aside} names={at.names} onRetry={marks.retry} onLetGo={marks.letGo} />
        )}
        {running && visits.length === 0 && <p>Nobody is here in this slot.</p>}
        {session.state !== 'done' &&
          visits.map((visit) => (
            <section key={visit.id} aria-label={visit.step.short}>
              <div className="helper-step">
                <Pennant number={visit.pennant} label size={24} />
                <div>
                  <strong>{visit.step.sentence}</strong>
                  <span className="small">{visit.texts.lookFors[0]}</span>
                </div>
              </div>
              <details className="small">
                <summary>How to play</summary>
                <HowToPlayIt texts={visit.texts} />
              </details>
              <details className="small">
                <summary>What the three marks mean here</summary>
                <ul className="rows small">
                  {(['own', 'help', 'notYet'] as const).map((judged) => (
                    <li key={judged}>
                      <MarkSign judged={judged} />
                      <span className="grow">
                        <strong>{markWords[judged]}</strong>: {visit.step.marks[judged]}
                      </span>
                    </li>
                  ))}
                </ul>
                <p>
                  <strong>Stuck?</strong> {visit.texts.stuck}
                </p>
                <p>
                  <strong>Done here?</strong> {visit.texts.finishEarly}
                </p>
              </details>
              {visit.texts.cautions.map((caution) => (
                <p key={caution} className="caution">
                  {caution}
                </p>
              ))}
              {setsOf(visit).map((set) => (
                <div key={set[0].id} className="set">
                  {set.map((child) => (
                    <ChildRow
                      key={child.id}
                      child={child}
                      moved={movedTo(visit, child.id, absent, station.players)}
                      away={absent.has(child.id)}
                      mark={marks.markOf(visit.id, child.id)}
                      others={marks.othersOf(visit.id, child.id)}
                      enabled={running}
                      row={`${visit.id} ${child.id}`}
                      stop={`${visit.id} ${child.id}`}
                      onFocus={() => undefined}
                      onTap={(judged) => marks.tap(visit.id, child.id, { judged, right: null, of: null })}
                      onOpen={() => setOpen({ visitId: visit.id, pupilId: child.id })}
                    />
                  ))}
                </div>
              ))}
              <Outcome
                title={station.title}
                {...at.outcomeOf(visit.id)}
                enabled={running}
                onFinished={() => at.finish(visit.id)}
                onUnfinished={(game) => at.unfinish(visit.id, game)}
                onLiked={(liked) => at.like(visit.id, liked)}
              />
            </section>
          ))}
      </main>
      <footer className="helper-foot small">
        {marks.last ? (
          <Button variant="quiet" size="sm" onClick={marks.undo}>
            Undo {at.names.get(marks.last.pupilId)}
          </Button>
        ) : (
          <span className="muted">{broken ?? `Slot ${session.slot + 1} of ${session.slots}`}</span>
        )}
        <strong className="saved" role="status">
          {savedInWords(marks)}
        </strong>
      </footer>
      {open && (
        <OpenChild
          at={at}
          page={board}
          open={open}
          stationAt={null}
          onLevel={(to) =>
            save(
              () => actions.changeLevel({ ...open, to }),
              () => undefined,
            )
          }
          onSwap={(withId) =>
            save(
              () => actions.swapSeats({ ...open, withId }),
              () => undefined,
            )
          }
          onClose={() => setOpen(null)}
        />
      )}
    </div>
  )
}
