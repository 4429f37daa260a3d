'use client'

import { useEffect, useState } from 'react'

/** Seconds to answer in, counted down without a sound; after that it says so, and waits. */
export function TimeLeft({ seconds }: { seconds: number }) {
  const [left, setLeft] = useState(seconds)
  useEffect(() => {
    const begun = Date.now()
    const tick = setInterval(
      () => setLeft(Math.max(0, Math.ceil(seconds - (Date.now() - begun) / 1000))),
      200,
    )
    return () => clearInterval(tick)
  }, [seconds])
  return (
    <p className="time-left" role="timer">
      {left > 0 ? `${left} s` : 'Show your answers'}
    </p>
  )
}
