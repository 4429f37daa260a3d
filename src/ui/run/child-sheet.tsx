'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { MarkValue } from '@/core/evidence/mark'
import { stepOf } from '@/core/skills'
import type { RunVisit, ShownMark } from '@/server/session-board'
import { SideSheet } from '../sheets/side-sheet'
import { MarkSign } from './station-column'

/** What is behind a name: a tally, absence, and what the marks mean at this step. */
export function ChildSheet({
  name,
  step,
  mark,
  digital,
  stationAt,
  absent,
  enabled,
  onValue,
  onTakeBack,
  onAbsent,
  onClose,
}: {
  name: string
  /** What the child's marks are about. */
  step: RunVisit['step']
  mark: MarkValue | undefined
  /** What it did at a digital station, in this visit. */
  digital: readonly ShownMark[]
  /** Where it may play at a screen; null: the class does not do that. */
  stationAt: string | null
  absent: boolean
  enabled: boolean
  onValue: (value: MarkValue) => void
  onTakeBack: (mark: ShownMark) => void
  onAbsent: (absent: boolean) => void
  onClose: () => void
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
    <SideSheet title={name} onClose={onClose}>
      <p>{step.sentence}</p>
      <ul className="rows small">
        {(['own', 'help', 'notYet'] as const).map((judged) => (
          <li key={judged}>
            <MarkSign judged={judged} />
            <span className="grow">{step.marks[judged]}</span>
          </li>
        ))}
      </ul>
      <h3 className="section-small">A tally instead</h3>
      <div className="tally">
        {count('Right', right, setRight)}
        {count('Of', of, setOf)}
        <Button
          variant="quiet"
          disabled={!enabled || absent || tally === null}
          onClick={() => {
            if (tally) onValue({ judged: null, ...tally })
            onClose()
          }}
        >
          {tally ? `Record ${tally.right} of ${tally.of}` : 'Record'}
        </Button>
      </div>
      {(stationAt || digital.length > 0) && <h3 className="section-small">At a screen</h3>}
      {digital.length > 0 && (
        <ul className="rows small">
          {digital.map((one) => (
            <li key={one.id}>
              <span className="grow">
                {stepOf(one.digital!).short}: {one.right} of {one.of} <span className="muted">digital</span>
              </span>
              <Button variant="plain" size="sm" onClick={() => onTakeBack(one)}>
                Take back
              </Button>
            </li>
          ))}
        </ul>
      )}
      {stationAt && enabled && !absent && (
        <>
          <Link className="btn btn-quiet" href={stationAt}>
            Let {name} play at this screen
          </Link>
          <p className="tiny muted">
            Eight to twelve goes alone; the answers count for less than what you see.
          </p>
        </>
      )}
      <Form.Check
        type="switch"
        id="absent"
        label="Away today"
        checked={absent}
        onChange={({ target }) => onAbsent(target.checked)}
      />
    </SideSheet>
  )
}

const mostTasks = 100

/** The tally as typed, or null while it is not one: whole numbers, at least one task, not more right than asked. */
function tallyOf(right: string, of: string): { right: number; of: number } | null {
  const [x, n] = [right, of].map((text) => (/^\d{1,3}$/.test(text) ? Number(text) : NaN))
  return n >= 1 && n <= mostTasks && x <= n ? { right: x, of: n } : null
}
