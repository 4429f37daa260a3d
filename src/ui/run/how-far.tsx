'use client'

import Button from 'react-bootstrap/Button'
import { spelled } from '../words'

/** How far a session went whose clock was not told: to the slot it stands in, or to the last. */
export function HowFar({
  slot,
  slots,
  busy,
  onEnd,
}: {
  slot: number
  slots: number
  busy: boolean
  onEnd: (how: 'finish' | 'all-played') => void
}) {
  const last = slot + 1 >= slots
  return (
    <>
      <Button disabled={busy} onClick={() => onEnd('finish')}>
        {last ? 'End it' : `It ended in slot ${slot + 1}`}
      </Button>
      {!last && (
        <Button variant="quiet" disabled={busy} onClick={() => onEnd('all-played')}>
          {allPlayed(slots)}
        </Button>
      )}
    </>
  )
}

/** “All three slots were played” */
export const allPlayed = (slots: number) =>
  `${slots === 2 ? 'Both' : `All ${spelled(slots)}`} slots were played`
