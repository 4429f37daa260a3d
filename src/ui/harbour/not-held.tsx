'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { letGo, moveToToday } from '@/server/plan/plan'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'

type MoveToToday = Action<typeof moveToToday>
type LetGo = Action<typeof letGo>

/** A session that was planned for a day gone by: it moves to today, or is let go. */
export function NotHeld({
  classId,
  sessionId,
  moveToToday,
  letGo,
}: {
  classId: string
  sessionId: string
  moveToToday: MoveToToday
  letGo: LetGo
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  const refresh = () => router.refresh()
  return (
    <div className="not-held">
      <Problems problems={problems} />
      <Button disabled={busy} onClick={() => save(() => moveToToday({ classId, sessionId }), refresh)}>
        Move it to today
      </Button>
      <Button
        variant="quiet"
        disabled={busy}
        onClick={() => save(() => letGo({ classId, sessionId }), refresh)}
      >
        Let it go
      </Button>
    </div>
  )
}
