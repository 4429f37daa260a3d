'use client'

import { useEffect, useState } from 'react'
import { gameOf } from '@/core/games'
import type { Round } from '@/core/games/engine/round'
import type { Scene } from '@/core/table'

interface Glimpse {
  /** The scene, with what is seen for a moment while it lasts. */
  scene: Scene
  /** There is something that is seen for a moment only. */
  has: boolean
  /** How long it was in view the last time, in milliseconds; null: not yet, or it is in view. */
  shownFor: number | null
  lookAgain: () => void
}

/**
 * What lies on the table, with what is seen for a moment before it is hidden: in view from the first frame
 * after the device was used until the frame in which its time is up. One look, no flicker.
 */
export function useGlimpse(round: Round, scene: Scene): Glimpse {
  const glimpse = round.phase === 'choose' ? (gameOf(round.game).table.glimpse?.(round.state) ?? null) : null
  const about = glimpse ? JSON.stringify(glimpse) : null
  const [look, setLook] = useState({ about: '', nth: 0 })
  const [over, setOver] = useState<{ key: string; ms: number } | null>(null)
  const nth = look.about === about ? look.nth : 0
  const key = `${about} ${nth}`
  const seen = over?.key === key
  useEffect(() => {
    if (about === null || seen) return
    const { milliseconds } = JSON.parse(about) as { milliseconds: number }
    let began: number | null = null
    let frame = requestAnimationFrame(function tick(now) {
      began ??= now
      if (now - began >= milliseconds) setOver({ key, ms: now - began })
      else frame = requestAnimationFrame(tick)
    })
    return () => cancelAnimationFrame(frame)
  }, [about, key, seen])
  if (!glimpse) return { scene, has: false, shownFor: null, lookAgain: () => undefined }
  return {
    scene: seen
      ? scene
      : {
          things: [
            ...scene.things.filter(
              ({ id, kind }) => kind !== 'cup' && !glimpse.things.some((one) => one.id === id),
            ),
            ...glimpse.things,
          ],
        },
    has: true,
    shownFor: seen ? (over?.ms ?? null) : null,
    lookAgain: () => setLook({ about: about!, nth: nth + 1 }),
  }
}
