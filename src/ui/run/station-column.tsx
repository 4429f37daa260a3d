'use client'

import type { Judgement } from '@/core/evidence/observation'
import type { Finished } from '@/core/live/session'
import type { MarkValue } from '@/core/evidence/mark'
import type { RunPage, RunVisit, ShownMark } from '@/server/session-board'
import { keyOf } from './board'
import { ChildRow } from './child-row'
import { HowToPlayIt } from './how-to-play-it'
import { Outcome } from './outcome'
import { Pennant } from '../pennant'
import { modeInWords } from '../words'
import { MissingThings } from './missing-things'
import { inWords, movedTo, setsOf } from './sets'

/** One station in the slot under way: what is marked, what to look for, a row for each child. */
export function StationColumn({
  showAt,
  station,
  number,
  visits,
  absent,
  markOf,
  othersOf,
  enabled,
  stop,
  onFocus,
  onTap,
  onOpen,
  onMissing,
  outcomeOf,
  onFinished,
  onUnfinished,
  onLiked,
}: {
  /** Where the game can be shown; null: not from here. */
  showAt: ((gameId: string, levelId?: string) => string) | null
  station: RunPage['stations'][number]
  number: number
  visits: RunVisit[]
  absent: ReadonlySet<string>
  markOf: (visitId: string, pupilId: string) => MarkValue | undefined
  othersOf: (visitId: string, pupilId: string) => readonly ShownMark[]
  enabled: boolean
  /** The row that Tab comes to. */
  stop: string | null
  onFocus: (row: string) => void
  onTap: (visitId: string, pupilId: string, judged: Judgement) => void
  onOpen: (visitId: string, pupilId: string) => void
  /** Null: what is missing is told elsewhere. */
  onMissing: ((item: string, done: () => void) => void) | null
  outcomeOf: (visitId: string) => { finished: Finished | null; liked: boolean | undefined }
  onFinished: (visitId: string) => void
  onUnfinished: (visitId: string, game: string) => void
  onLiked: (visitId: string, liked: boolean) => void
}) {
  return (
    <section className="station" aria-label={`Station ${number}, ${station.title}`}>
      <div className="station-head">
        <h2>{station.title}</h2>
        {visits.map(({ pennant }) => (
          <Pennant key={pennant} number={pennant} label />
        ))}
      </div>
      <div className="tiny muted">
        {modeInWords[station.mode]}
        {showAt && (
          <>
            {' · '}
            <a href={showAt(station.gameId, visits[0]?.levelId)} aria-label={`Show ${station.title}`}>
              show
            </a>
          </>
        )}
      </div>
      {onMissing && station.inBag.length > 0 && (
        <MissingThings things={station.inBag} onMissing={onMissing} />
      )}
      {visits.length === 0 && <p className="muted small">Empty in this slot.</p>}
      {visits.map((visit) => (
        <div key={visit.id} className="visit-rows">
          <div className="step small">
            {visit.eachItsOwn ? (
              <strong>Own range for each</strong>
            ) : (
              <>
                <strong>{visit.step.short}</strong> <span className="muted">{visit.level}</span>
              </>
            )}
          </div>
          <div className="look-for tiny">{visit.texts.lookFors[0]}</div>
          <div className="visit-line">
            <details className="early tiny">
              <summary>How to play</summary>
              <HowToPlayIt texts={visit.texts} />
              <p>
                <strong>Stuck?</strong> {visit.texts.stuck}
              </p>
              <p>
                <strong>Done early?</strong> {visit.texts.finishEarly}
              </p>
            </details>
            <Outcome
              title={station.title}
              {...outcomeOf(visit.id)}
              enabled={enabled}
              onFinished={() => onFinished(visit.id)}
              onUnfinished={(game) => onUnfinished(visit.id, game)}
              onLiked={(liked) => onLiked(visit.id, liked)}
            />
          </div>
          {setsOf(visit).map((set) => (
            <div key={set[0].id} className="set" role="group" aria-label={`${inWords(set)} together`}>
              {set.map((child) => (
                <ChildRow
                  key={child.id}
                  child={child}
                  moved={movedTo(visit, child.id, absent, station.players)}
                  away={absent.has(child.id)}
                  mark={markOf(visit.id, child.id)}
                  others={othersOf(visit.id, child.id)}
                  enabled={enabled}
                  row={keyOf({ visitId: visit.id, pupilId: child.id })}
                  stop={stop}
                  onFocus={onFocus}
                  onTap={(judged) => onTap(visit.id, child.id, judged)}
                  onOpen={() => onOpen(visit.id, child.id)}
                />
              ))}
            </div>
          ))}
        </div>
      ))}
      {/* Below the rows: they stay where a finger finds them. */}
      {[...new Set(visits.flatMap(({ texts }) => texts.cautions))].map((caution) => (
        <p key={caution} className="caution tiny">
          {caution}
        </p>
      ))}
    </section>
  )
}
