'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { tapClock } from '@/server/run'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'

type TapClock = Action<typeof tapClock>

/** The way back into a session that has ended: its clock runs on as if nobody had ended it. */
export function Reopen({
  classId,
  sessionId,
  tapClock,
}: {
  classId: string
  sessionId: string
  tapClock: TapClock
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  return (
    <>
      <Button
        variant="quiet"
        size="sm"
        disabled={busy}
        onClick={() =>
          save(
            () => tapClock({ classId, sessionId, tap: 'back', slot: 0 }),
            () => router.push(`/c/${classId}/run`),
          )
        }
      >
        Reopen
      </Button>
      <Problems problems={problems} />
    </>
  )
}
