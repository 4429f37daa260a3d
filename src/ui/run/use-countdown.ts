'use client'

import { useEffect, useState } from 'react'

/** Milliseconds left, counted on from what the server said; stands still while paused. */
export function useCountdown(leftMs: number, running: boolean): number {
  const [clock, setClock] = useState({ leftMs, running, left: leftMs })
  // The server spoke anew: its word counts.
  if (clock.leftMs !== leftMs || clock.running !== running) setClock({ leftMs, running, left: leftMs })
  useEffect(() => {
    if (!running) return
    const since = performance.now()
    const tick = () => setClock({ leftMs, running, left: leftMs - (performance.now() - since) })
    const timer = setInterval(tick, 250)
    return () => clearInterval(timer)
  }, [leftMs, running])
  return clock.left
}

/** “7:42”, and “+0:15” over time. */
export function clockInWords(ms: number): string {
  const seconds = ms >= 0 ? Math.ceil(ms / 1000) : Math.floor(-ms / 1000)
  return `${ms < 0 ? '+' : ''}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
