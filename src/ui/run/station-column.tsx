'use client'

import { judgements, type Judgement } from '@/core/evidence/observation'
import type { MarkValue } from '@/core/evidence/mark'
import type { RunPage, RunVisit, ShownMark } from '@/server/session-board'
import { keyOf } from './board'
import { Pennant } from '../pennant'
import { modeInWords } from '../words'
import { MissingThings } from './missing-things'
import { inWords, movedTo, setsOf } from './sets'

export const markWords: Record<Judgement, string> = {
  own: 'on their own',
  help: 'with help',
  notYet: 'not yet',
}

type Child = RunVisit['children'][number]

/** One station in the slot under way: what is marked, what to look for, a row for each child. */
export function StationColumn({
  classId,
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
}: {
  classId: string
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
  onMissing: (item: string, done: () => void) => void
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
        {modeInWords[station.mode]} ·{' '}
        <a
          href={`/c/${classId}/show/${station.gameId}${visits[0] ? `?level=${visits[0].levelId}` : ''}`}
          aria-label={`Show ${station.title}`}
        >
          show
        </a>
      </div>
      {station.inBag.length > 0 && <MissingThings things={station.inBag} onMissing={onMissing} />}
      {visits.length === 0 && <p className="muted small">Empty in this slot.</p>}
      {visits.map((visit) => (
        <div key={visit.id} className="visit-rows">
          <div className="step small">
            {visit.children.some(({ own }) => own) ? (
              <strong>Own range for each</strong>
            ) : (
              <>
                <strong>{visit.step.short}</strong> <span className="muted">{visit.level}</span>
              </>
            )}
          </div>
          <div className="look-for tiny">{visit.texts.lookFors[0]}</div>
          <details className="early tiny">
            <summary>Stuck? Done early?</summary>
            <p>
              <strong>Stuck?</strong> {visit.texts.stuck}
            </p>
            <p>
              <strong>Done early?</strong> {visit.texts.finishEarly}
            </p>
            {visit.texts.cautions.map((caution) => (
              <p key={caution} className="caution">
                {caution}
              </p>
            ))}
          </details>
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
    </section>
  )
}

/** A child's name, and a tap for what was seen. */
function ChildRow({
  child: { name, own },
  moved,
  away,
  mark,
  others,
  enabled,
  row,
  stop,
  onFocus,
  onTap,
  onOpen,
}: {
  child: Child
  moved: string | null
  away: boolean
  mark: MarkValue | undefined
  others: readonly ShownMark[]
  enabled: boolean
  row: string
  stop: string | null
  onFocus: (row: string) => void
  onTap: (judged: Judgement) => void
  onOpen: () => void
}) {
  const seenBy = others
    .filter(({ digital }) => digital === null)
    .map((other) => (other.of === null ? markWords[other.judged!] : `${other.right} of ${other.of}`))
  const played = others.filter(({ digital }) => digital !== null)
  const beside = [
    moved,
    own?.range,
    seenBy.length > 0 && `also: ${seenBy.join(', ')}`,
    played.length > 0 && `digital: ${sum(played, 'right')} of ${sum(played, 'of')}`,
  ]
    .filter(Boolean)
    .join(' · ')
  const tabIndex = row === stop ? 0 : -1
  return (
    <div
      className={away ? 'child away' : 'child'}
      role="group"
      aria-label={name}
      data-row={row}
      onFocus={() => onFocus(row)}
    >
      <button type="button" className="child-name" tabIndex={tabIndex} onClick={onOpen}>
        {name}
        {away ? (
          <small>away</small>
        ) : mark?.of != null ? (
          <small>{`${mark.right} of ${mark.of}`}</small>
        ) : (
          beside && <small className="beside">{beside}</small>
        )}
      </button>
      {judgements.map((judged) => (
        <button
          key={judged}
          type="button"
          className="mark"
          tabIndex={tabIndex}
          disabled={!enabled || away}
          aria-pressed={mark?.judged === judged}
          aria-label={`${name} ${markWords[judged]}`}
          onClick={() => onTap(judged)}
        >
          <MarkSign judged={judged} />
        </button>
      ))}
    </div>
  )
}

const sum = (marks: readonly ShownMark[], key: 'right' | 'of') =>
  marks.reduce((total, mark) => total + (mark[key] ?? 0), 0)

/** ● own, ◐ help, ○ not yet. */
export function MarkSign({ judged }: { judged: Judgement }) {
  return (
    <svg width={18} height={18} viewBox="-9 -9 18 18" aria-hidden>
      <circle r={7} fill={judged === 'own' ? 'var(--ink)' : 'none'} stroke="var(--ink)" strokeWidth={2} />
      {judged === 'help' && <path d="M0,-7A7,7 0 0 0 0,7Z" fill="var(--ink)" />}
    </svg>
  )
}
