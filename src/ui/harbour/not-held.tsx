'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { letGo, moveToToday } from '@/server/plan/plan'
import type { heldOnPaper } from '@/server/run'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'

type MoveToToday = Action<typeof moveToToday>
type LetGo = Action<typeof letGo>
type HeldOnPaper = Action<typeof heldOnPaper>

/** A session that was planned for a day gone by: it moves to today, is let go, or was held without a screen. */
export function NotHeld({
  classId,
  sessionId,
  moveToToday,
  letGo,
  heldOnPaper,
}: {
  classId: string
  sessionId: string
  moveToToday: MoveToToday
  letGo: LetGo
  heldOnPaper: HeldOnPaper
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
      <PaperButton classId={classId} sessionId={sessionId} heldOnPaper={heldOnPaper} />
    </div>
  )
}

/** It was held without a screen: from now on its sheets can be typed in. */
export function PaperButton({
  classId,
  sessionId,
  heldOnPaper,
}: {
  classId: string
  sessionId: string
  heldOnPaper: HeldOnPaper
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  /** It can't be taken back on another day: it is asked once more. */
  const [asked, setAsked] = useState(false)
  if (!asked)
    return (
      <Button variant="quiet" onClick={() => setAsked(true)}>
        It was held on paper
      </Button>
    )
  return (
    <>
      <Problems problems={problems} />
      <span className="small">Held as planned, without a screen?</span>
      <Button
        variant="quiet"
        disabled={busy}
        onClick={() =>
          save(
            () => heldOnPaper({ classId, sessionId }),
            () => router.push(`/c/${classId}/sheets/${sessionId}`),
          )
        }
      >
        Yes, to its sheets
      </Button>
      <Button variant="plain" disabled={busy} onClick={() => setAsked(false)}>
        No
      </Button>
    </>
  )
}
