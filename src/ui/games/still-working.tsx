'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { stopWaiting } from '@/server/games/game'

const everyMs = 400

/** Asks for the page anew until what is worked out is there. */
function useLookingAgain(on: boolean) {
  const router = useRouter()
  useEffect(() => {
    if (!on) return
    const timer = setInterval(() => router.refresh(), everyMs)
    return () => clearInterval(timer)
  }, [on, router])
  return router
}

export function LookAgain() {
  useLookingAgain(true)
  return null
}

/** Figures that take longer than a page waits: they come by themselves, unless the adult stops waiting. */
export function StillWorking({
  classId,
  input,
  stopWaiting: stop,
}: {
  classId: string
  input: Parameters<Action<typeof stopWaiting>>[0]['input']
  stopWaiting: Action<typeof stopWaiting>
}) {
  const [waiting, setWaiting] = useState(true)
  const router = useLookingAgain(waiting)
  async function stopNow() {
    setWaiting(false)
    await stop({ classId, input })
    router.refresh()
  }
  return (
    <div className="filling" role="status">
      <span className="small muted">Still working out the figures …</span>
      <progress aria-label="Working" />
      <Button variant="quiet" size="sm" onClick={() => void stopNow()}>
        Stop
      </Button>
    </div>
  )
}
