'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { tapClock } from '@/server/run'
import { Problems } from '../problems'
import { allPlayed } from '../run/how-far'
import { useSaving } from '../sheets/use-saving'

/** Which sheets are not there, and the way to them. */
export function EndedEarly({
  classId,
  sessionId,
  slot,
  slots,
  tapClock: tap,
}: {
  classId: string
  sessionId: string
  slot: number
  slots: number
  tapClock: Action<typeof tapClock>
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  return (
    <div className="caution-line how-far">
      <Problems problems={problems} />
      <span className="grow">
        It was ended in slot {slot + 1} of {slots}; what was to come after it is not here.
      </span>
      <Button
        variant="quiet"
        size="sm"
        disabled={busy}
        onClick={() => save(() => tap({ classId, sessionId, tap: 'all-played', slot }), router.refresh)}
      >
        {allPlayed(slots)}
      </Button>
    </div>
  )
}
