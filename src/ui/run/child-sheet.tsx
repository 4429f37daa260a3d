'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { saysSomething, type How, type MarkValue } from '@/core/evidence/mark'
import type { NoteTag } from '@/core/evidence/note'
import { stepOf } from '@/core/skills'
import type { RunVisit, ShownMark } from '@/server/session-board'
import { SideSheet } from '../sheets/side-sheet'
import { MarkSign } from './child-row'
import { HowForm } from './how-form'
import { NoteForm } from './note-form'

export interface ChildSheetProps {
  name: string
  visit: RunVisit
  /** What the child's marks are about. */
  step: RunVisit['step']
  mark: (MarkValue & { how?: How | null }) | undefined
  /** What it did at a digital station, in this visit. */
  digital: readonly ShownMark[]
  /** Where it may play at a screen; null: the class does not do that. */
  stationAt: string | null
  /** From which slot on the child is away; null: it is here. */
  awayFrom: number | null
  slot: number
  enabled: boolean
  /** Those it could change places with. */
  others: readonly { id: string; name: string }[]
  onValue: (value: MarkValue) => void
  onHow: (how: How) => void
  onNote: (words: string, tags: NoteTag[]) => void
  onTakeBack: (mark: ShownMark) => void
  onAway: (away: { fromSlot: number } | null) => void
  onLevel: (to: 'easier' | 'harder') => void
  onSwap: (withId: string) => void
  onClose: () => void
}

/** What is behind a name: how it was done, a tally, a note, another level, another partner, and what the marks mean. */
export function ChildSheet(props: ChildSheetProps) {
  const { name, visit, step, mark, digital, stationAt, awayFrom, slot, enabled, others } = props
  const [noted, setNoted] = useState(0)
  const here = enabled && (awayFrom === null || awayFrom > slot)
  return (
    <SideSheet title={name} onClose={props.onClose}>
      <p>{step.sentence}</p>
      <ul className="rows small">
        {(['own', 'help', 'notYet'] as const).map((judged) => (
          <li key={judged}>
            <MarkSign judged={judged} />
            <span className="grow">{step.marks[judged]}</span>
          </li>
        ))}
      </ul>
      <h3 className="section-small">How</h3>
      {mark && saysSomething(mark) ? (
        <HowForm
          place={step.place}
          how={mark.how ?? null}
          slips={visit.texts.slips}
          enabled={here}
          onHow={props.onHow}
        />
      ) : (
        <p className="small muted">Mark first: this says how it was done.</p>
      )}
      <h3 className="section-small">A tally instead</h3>
      <Tally
        mark={mark}
        enabled={here}
        onTally={(tally) => {
          props.onValue({ judged: null, ...tally })
          props.onClose()
        }}
      />
      <h3 className="section-small">Note</h3>
      <NoteForm
        onNote={(words, tags) => {
          props.onNote(words, tags)
          setNoted(noted + 1)
        }}
      />
      {noted > 0 && (
        <p role="status" className="small muted">
          Kept with {name}’s records.
        </p>
      )}
      <h3 className="section-small">From here</h3>
      <div className="taps">
        <Button variant="quiet" size="sm" disabled={!here} onClick={() => props.onLevel('easier')}>
          A level easier
        </Button>
        <Button variant="quiet" size="sm" disabled={!here} onClick={() => props.onLevel('harder')}>
          A level harder
        </Button>
      </div>
      {others.length > 0 && (
        <Form.Group controlId="swap" className="swap">
          <Form.Label className="small">Change places with</Form.Label>
          <Form.Select
            size="sm"
            value=""
            disabled={!here}
            onChange={({ target }) => target.value && props.onSwap(target.value)}
          >
            <option value="">nobody</option>
            {others.map((other) => (
              <option key={other.id} value={other.id}>
                {other.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {(stationAt || digital.length > 0) && <h3 className="section-small">At a screen</h3>}
      {digital.length > 0 && (
        <ul className="rows small">
          {digital.map((one) => (
            <li key={one.id}>
              <span className="grow">
                {stepOf(one.digital!).short}: {one.right} of {one.of} <span className="muted">digital</span>
              </span>
              <Button variant="plain" size="sm" onClick={() => props.onTakeBack(one)}>
                Take back
              </Button>
            </li>
          ))}
        </ul>
      )}
      {stationAt && here && (
        <>
          <Link className="btn btn-quiet" href={stationAt}>
            Let {name} play at this screen
          </Link>
          <p className="tiny muted">
            Eight to twelve goes alone; the answers count for less than what you see.
          </p>
        </>
      )}
      <h3 className="section-small">Here today?</h3>
      <Form.Check
        type="switch"
        id="absent"
        label="Away today"
        checked={awayFrom === 0}
        onChange={({ target }) => props.onAway(target.checked ? { fromSlot: 0 } : null)}
      />
      {enabled && slot > 0 && (
        <Form.Check
          type="switch"
          id="went-home"
          label={`Went home before slot ${(awayFrom || slot) + 1}`}
          checked={awayFrom !== null && awayFrom > 0}
          onChange={({ target }) => props.onAway(target.checked ? { fromSlot: slot } : null)}
        />
      )}
    </SideSheet>
  )
}

function Tally({
  mark,
  enabled,
  onTally,
}: {
  mark: MarkValue | undefined
  enabled: boolean
  onTally: (tally: { right: number; of: number }) => void
}) {
  // Text, not numbers: a field that is being typed in may stand empty for a moment.
  const [right, setRight] = useState(String(mark?.right ?? ''))
  const [of, setOf] = useState(String(mark?.of ?? ''))
  const tally = tallyOf(right, of)
  const count = (label: string, value: string, set: (value: string) => void) => (
    <Form.Group controlId={`tally-${label}`}>
      <Form.Label className="small">{label}</Form.Label>
      <Form.Control
        type="number"
        inputMode="numeric"
        min={0}
        max={mostTasks}
        value={value}
        onChange={({ target }) => set(target.value)}
      />
    </Form.Group>
  )
  return (
    <div className="tally">
      {count('Right', right, setRight)}
      {count('Of', of, setOf)}
      <Button variant="quiet" disabled={!enabled || tally === null} onClick={() => tally && onTally(tally)}>
        {tally ? `Record ${tally.right} of ${tally.of}` : 'Record'}
      </Button>
    </div>
  )
}

const mostTasks = 100

/** The tally as typed, or null while it is not one: whole numbers, at least one task, not more right than asked. */
function tallyOf(right: string, of: string): { right: number; of: number } | null {
  const [x, n] = [right, of].map((text) => (/^\d{1,3}$/.test(text) ? Number(text) : NaN))
  return n >= 1 && n <= mostTasks && x <= n ? { right: x, of: n } : null
}
