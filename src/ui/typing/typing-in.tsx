'use client'

import Link from 'next/link'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { groupNames } from '@/core/grouping/pennants'
import { noValue, type MarkValue } from '@/core/evidence/mark'
import type { Action } from '@/server/answer'
import type { tapClock } from '@/server/run'
import type { RunPage, RunVisit } from '@/server/session-board'
import { useShortcuts } from '../keys/use-shortcuts'
import { Pennant } from '../pennant'
import { awayAt } from '../run/board'
import { NotStored } from '../run/not-stored'
import { savedInWords } from '../run/saved-in-words'
import { setsOf } from '../run/sets'
import { markWords } from '../run/child-row'
import { useMarks } from '../run/use-marks'
import { ofClass } from '../run/use-outbox'
import { dayInWords } from '../words'
import { EndedEarly } from './ended-early'
import { asTyped, ringTyped, tallyTyped } from './typed'

/** What stands on the sheets of a session, typed in their own order: a key a child, and on to the next. */
export function TypingIn({
  classId,
  board,
  from,
  tapClock: tap,
}: {
  classId: string
  board: RunPage
  /** Sheets that adults filled in, or the children's own. */
  from: 'seen' | 'sheet'
  tapClock: Action<typeof tapClock>
}) {
  const marks = useMarks(ofClass(classId), board.marks, from)
  const [of, setOf] = useState(10)
  const { id: sessionId, state, slot, slots } = board.session
  /** Of a session that was ended before its last slot there are no sheets of what was to come. */
  const wentTo = state === 'done' ? slot : slots - 1
  const marked = new Set(board.marks.map(({ visitId }) => visitId))
  const sheets = board.visits.filter(({ id, slot }) => slot <= wentTo || marked.has(id))
  const names = new Map(
    board.visits.flatMap(({ children }) => children.map(({ id, name }) => [id, name] as const)),
  )
  useShortcuts([
    from === 'seen'
      ? { keys: '1 2 3', title: 'The ring on the sheet, and on to the next child', run: () => undefined }
      : { keys: '7 Enter', title: 'So many right, and on to the next child', run: () => undefined },
    { keys: '↑ ↓', title: 'From child to child', run: () => undefined },
  ])
  return (
    <>
      <div className="headline">
        <div>
          <h1>Sheets of {dayInWords(board.day)}</h1>
          <p>
            {from === 'seen'
              ? 'As they stand on the sheets: 1 alone, 2 with help, 3 not yet, 0 nothing. Each key leads on to the next child.'
              : 'How many are right on each child’s own sheet, then Enter. They count half as much as what an adult saw.'}
          </p>
        </div>
        <strong className="saved" role="status">
          {savedInWords(marks)}
        </strong>
      </div>
      {marks.aside.length > 0 && (
        <NotStored aside={marks.aside} names={names} onRetry={marks.retry} onLetGo={marks.letGo} />
      )}
      <div className="button-row stacked">
        {from === 'seen' ? (
          <Link className="btn btn-quiet btn-sm" href="?from=children" replace prefetch={false}>
            Children’s own sheets instead
          </Link>
        ) : (
          <>
            <Link className="btn btn-quiet btn-sm" href="?from=adults" replace prefetch={false}>
              Adults’ sheets instead
            </Link>
            <label className="of-field small">
              on a sheet
              <Form.Control
                size="sm"
                type="number"
                min={1}
                max={100}
                value={of}
                onChange={({ target }) => {
                  const n = Number(target.value)
                  if (Number.isInteger(n) && n >= 1 && n <= 100) setOf(n)
                }}
              />
            </label>
          </>
        )}
      </div>
      {wentTo + 1 < slots && <EndedEarly {...{ classId, sessionId, slot, slots }} tapClock={tap} />}
      <div className="typing">
        {board.stations.map(({ id, title }, position) => {
          const theirs = sheets.filter(({ stationId }) => stationId === id)
          // Nobody came to it before the session was ended.
          if (theirs.length === 0) return null
          return (
            <section key={id} aria-label={`Station ${position + 1}, ${title}`}>
              <h2 className="section">
                {position + 1} · {title}
              </h2>
              {theirs.map((visit) => (
                <VisitSheet key={visit.id} visit={visit} time={board.times[visit.slot]}>
                  {setsOf(visit)
                    .flat()
                    .map((child) => (
                      <TypedRow
                        key={child.id}
                        name={child.name}
                        range={child.own?.range}
                        away={awayAt(board.absent, visit.slot).has(child.id)}
                        value={marks.markOf(visit.id, child.id) ?? noValue}
                        ready={marks.ready}
                        of={from === 'sheet' ? of : null}
                        onValue={(value) => marks.set(visit.id, child.id, value)}
                      />
                    ))}
                </VisitSheet>
              ))}
            </section>
          )
        })}
      </div>
    </>
  )
}

function VisitSheet({
  visit,
  time,
  children,
}: {
  visit: RunVisit
  time: { from: string; to: string }
  children: React.ReactNode
}) {
  return (
    <>
      <div className="typing-head small">
        <Pennant number={visit.pennant} size={14} />
        <strong>{groupNames[visit.pennant]}</strong>
        <span className="muted">
          {time.from} · {visit.level}
        </span>
      </div>
      <ul className="plain-list">{children}</ul>
    </>
  )
}

/** A child's line: a key for its ring, or how many are right. */
function TypedRow({
  name,
  range,
  away,
  value,
  ready,
  of,
  onValue,
}: {
  name: string
  /** The level it played at, where that is not its group's: as it stands on the sheet. */
  range: string | undefined
  away: boolean
  value: MarkValue
  ready: boolean
  /** On a child's own sheet; null: rings of an adult's. */
  of: number | null
  onValue: (value: MarkValue) => void
}) {
  const [text, setText] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const shown = of === null ? (value.judged ? markWords[value.judged] : '') : (text ?? asTyped(value, of))

  function keep(): boolean {
    if (of === null || text === null) return true
    const typed = tallyTyped(text, of)
    if (typeof typed === 'string') {
      setProblem(typed)
      return false
    }
    setProblem(null)
    setText(null)
    if (asTyped(typed, of) !== asTyped(value, of)) onValue(typed)
    return true
  }

  function onKey(event: React.KeyboardEvent<HTMLInputElement>) {
    const { key, ctrlKey, metaKey, altKey } = event
    if (ctrlKey || metaKey || altKey) return
    const on = key === 'ArrowDown' || key === 'Enter'
    if (on || key === 'ArrowUp') {
      event.preventDefault()
      if (keep()) focusBeside(event.currentTarget, on ? 1 : -1)
      return
    }
  }

  function typed(field: HTMLInputElement) {
    if (of !== null) return setText(field.value)
    // The digit in it was typed just now, also by a keyboard on the screen, which tells no keys; the words of a mark hold none.
    const ring = ringTyped(/\d/.exec(field.value)?.[0] ?? '')
    if (!ring) return
    if (ring.judged !== value.judged) onValue(ring)
    focusBeside(field, 1)
  }

  return (
    <li className={away ? 'typed-row away' : 'typed-row'}>
      <span className="grow">
        {name}
        {range !== undefined && <span className="tiny muted"> {range}</span>}
        {away && <span className="tiny muted"> was away</span>}
        {problem && <span className="tiny clash-text"> {problem}</span>}
      </span>
      <Form.Control
        size="sm"
        data-typed
        aria-label={of === null ? `${name}: ring` : `${name}: right of ${of}`}
        aria-invalid={problem !== null}
        inputMode="numeric"
        autoComplete="off"
        disabled={!ready}
        placeholder="–"
        value={shown}
        onChange={({ target }) => typed(target as HTMLInputElement)}
        onFocus={({ target }) => target.select()}
        onBlur={keep}
        onKeyDown={onKey}
      />
    </li>
  )
}

/** The field of the next child, or of the one before; at an end it stays. */
function focusBeside(field: HTMLInputElement, by: 1 | -1) {
  const all = [...document.querySelectorAll<HTMLInputElement>('[data-typed]')]
  all[all.indexOf(field) + by]?.focus()
}
