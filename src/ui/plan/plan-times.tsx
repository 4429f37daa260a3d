'use client'

import Form from 'react-bootstrap/Form'
import type { Plan } from '@/core/planning/session/plan'

const parts = [
  ['warmUp', 'Warm-up'],
  ['show', 'Show'],
  ['move', 'Each move'],
  ['tidy', 'Tidy'],
  ['talk', 'Talk'],
] as const

/** When the session is, and what its minutes go to. */
export function PlanTimes({
  plan,
  today,
  onChange,
  onSlots,
}: {
  plan: Plan
  today: string
  onChange: (part: Partial<Plan>) => void
  onSlots: (slots: number) => void
}) {
  const { around } = plan
  const minutes = (part: keyof Plan['around'], label: string, empty: string | undefined) => (
    <Form.Group key={part} controlId={`around-${part}`}>
      <Form.Label className="small">{label}</Form.Label>
      <Form.Control
        key={around[part] ?? 'open'}
        size="sm"
        type="number"
        min={0}
        max={180}
        placeholder={empty}
        defaultValue={around[part] ?? ''}
        onBlur={({ target }) => {
          const now = target.value === '' ? (part === 'lesson' ? null : 0) : Number(target.value)
          if (now !== around[part]) onChange({ around: { ...around, [part]: now } })
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur()
        }}
      />
    </Form.Group>
  )
  return (
    <div className="plan-times">
      <Form.Group controlId="plan-day">
        <Form.Label className="small">Day</Form.Label>
        <Form.Control
          size="sm"
          type="date"
          min={today}
          value={plan.day}
          onChange={({ target }) => target.value && onChange({ day: target.value })}
        />
      </Form.Group>
      <Form.Group controlId="plan-start">
        <Form.Label className="small">Start</Form.Label>
        <Form.Control
          size="sm"
          type="time"
          value={plan.startsAt}
          onChange={({ target }) => target.value && onChange({ startsAt: target.value })}
        />
      </Form.Group>
      <Form.Group controlId="plan-slots">
        <Form.Label className="small">Slots</Form.Label>
        <Form.Select size="sm" value={plan.slots} onChange={({ target }) => onSlots(Number(target.value))}>
          {[1, 2, 3, 4, 5, 6].map((number) => (
            <option key={number}>{number}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="plan-minutes">
        <Form.Label className="small">Minutes each</Form.Label>
        <Form.Select
          size="sm"
          value={plan.slotMinutes}
          onChange={({ target }) => onChange({ slotMinutes: Number(target.value) })}
        >
          {[...new Set([8, 10, 12, 15, 20, plan.slotMinutes])]
            .sort((a, b) => a - b)
            .map((number) => (
              <option key={number}>{number}</option>
            ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="plan-adults">
        <Form.Label className="small">Adults</Form.Label>
        <Form.Select
          size="sm"
          value={plan.adults}
          onChange={({ target }) => onChange({ adults: Number(target.value) })}
        >
          {[...new Set([0, 1, 2, 3, 4, plan.adults])].map((number) => (
            <option key={number}>{number}</option>
          ))}
        </Form.Select>
      </Form.Group>
      <details className="around">
        <summary className="small">Minutes around the slots</summary>
        <div>
          {parts.map(([part, label]) => minutes(part, label, undefined))}
          {minutes('lesson', 'Lesson', 'open')}
        </div>
      </details>
    </div>
  )
}
