import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { How } from '@/core/evidence/mark'
import type { SlipReason, StepPlace } from '@/core/skills'
import { strategiesFor } from '@/core/skills/strategies'

const nothing: How = { strategy: null, objects: false, explained: false, slip: null }

/** How a child did it: each part is one tap, and can be left open. */
export function HowForm({
  place,
  how,
  slips,
  enabled,
  onHow,
}: {
  place: StepPlace
  how: How | null
  /** What can go wrong at the level, as it is seen. */
  slips: readonly { reason: SlipReason; seen: string }[]
  enabled: boolean
  onHow: (how: How) => void
}) {
  const now = how ?? nothing
  const toggle = (words: string, is: boolean, next: How, title?: string) => (
    <Button
      key={words}
      variant="quiet"
      size="sm"
      aria-pressed={is}
      disabled={!enabled}
      title={title}
      onClick={() => onHow(next)}
    >
      {words}
    </Button>
  )
  return (
    <div className="how">
      <div className="taps" role="group" aria-label="How it was done">
        {strategiesFor(place).map(({ id, title, heard }) =>
          toggle(title, now.strategy === id, { ...now, strategy: now.strategy === id ? null : id }, heard),
        )}
        {toggle('needed objects', now.objects, { ...now, objects: !now.objects })}
        {toggle('explained clearly', now.explained, { ...now, explained: !now.explained })}
      </div>
      {slips.length > 0 && (
        <Form.Group controlId="slip">
          <Form.Label className="small">A slip</Form.Label>
          <Form.Select
            size="sm"
            disabled={!enabled}
            value={now.slip ?? ''}
            onChange={({ target }) =>
              onHow({ ...now, slip: slips.find(({ reason }) => reason === target.value)?.reason ?? null })
            }
          >
            <option value="">none</option>
            {slips.map(({ reason, seen }) => (
              <option key={seen} value={reason}>
                {seen}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
    </div>
  )
}
