'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Mark, RunVisit } from '@/server/run'
import { SideSheet } from '../sheets/side-sheet'
import { MarkSign } from './station-column'
import type { Value } from './use-marks'

/** What is behind a name: a tally, absence, and what the marks mean at this step. */
export function ChildSheet({
  name,
  visit,
  mark,
  absent,
  enabled,
  onValue,
  onAbsent,
  onClose,
}: {
  name: string
  visit: RunVisit
  mark: Mark | undefined
  absent: boolean
  enabled: boolean
  onValue: (value: Value) => void
  onAbsent: (absent: boolean) => void
  onClose: () => void
}) {
  const [right, setRight] = useState(mark?.right ?? 0)
  const [of, setOf] = useState(mark?.of ?? 5)
  const count = (label: string, value: number, most: number, set: (value: number) => void) => (
    <Form.Group controlId={`tally-${label}`}>
      <Form.Label className="small">{label}</Form.Label>
      <Form.Control
        type="number"
        min={0}
        max={most}
        value={value}
        onChange={({ target }) => set(Math.max(0, Math.min(most, Number(target.value))))}
      />
    </Form.Group>
  )
  return (
    <SideSheet title={name} onClose={onClose}>
      <p>{visit.step.sentence}</p>
      <ul className="rows small">
        {(['own', 'help', 'notYet'] as const).map((judged) => (
          <li key={judged}>
            <MarkSign judged={judged} />
            <span className="grow">{visit.step.marks[judged]}</span>
          </li>
        ))}
      </ul>
      <h3 className="section-small">A tally instead</h3>
      <div className="tally">
        {count('Right', right, of, setRight)}
        {count('Of', of, 100, (value) => {
          setOf(Math.max(1, value))
          setRight(Math.min(right, Math.max(1, value)))
        })}
        <Button
          variant="quiet"
          disabled={!enabled || absent}
          onClick={() => {
            onValue({ judged: null, right, of })
            onClose()
          }}
        >
          Record {right} of {of}
        </Button>
      </div>
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
