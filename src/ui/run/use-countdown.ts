'use client'

import { useEffect, useState } from 'react'

/** Milliseconds left, counted on from what the server said; stands still while paused. */
export function useCountdown(leftMs: number, running: boolean): number {
  const [left, setLeft] = useState(leftMs)
  useEffect(() => {
    setLeft(leftMs)
    if (!running) return
    const since = performance.now()
    const timer = setInterval(() => setLeft(leftMs - (performance.now() - since)), 250)
    return () => clearInterval(timer)
  }, [leftMs, running])
  return left
}

/** “7:42”, and “+0:15” over time. */
export function clockInWords(ms: number): string {
  const seconds = ms >= 0 ? Math.ceil(ms / 1000) : Math.floor(-ms / 1000)
  return `${ms < 0 ? '+' : ''}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
