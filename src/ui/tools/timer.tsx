'use client'

import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'

/** A countdown without a sound: it says when the time is up, and nothing blinks. */
export function Timer() {
  const [minutes, setMinutes] = useState(2)
  const [ends, setEnds] = useState<number | null>(null)
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (ends === null) return
    const tick = setInterval(() => setNow(Date.now()), 250)
    return () => clearInterval(tick)
  }, [ends])
  const left = ends === null ? minutes * 60 : Math.max(0, Math.ceil((ends - now) / 1000))
  const start = () => {
    setNow(Date.now())
    setEnds(Date.now() + minutes * 60_000)
  }
  return (
    <div className="timer">
      <output aria-label="Time left">
        {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
      </output>
      {left === 0 && <strong>Time is up</strong>}
      <label>
        Minutes{' '}
        <select
          value={minutes}
          onChange={({ target }) => {
            setMinutes(Number(target.value))
            setEnds(null)
          }}
        >
          {[1, 2, 3, 5, 10, 12].map((value) => (
            <option key={value}>{value}</option>
          ))}
        </select>
      </label>
      <Button variant="quiet" onClick={() => (ends === null ? start() : setEnds(null))}>
        {ends === null ? 'Start' : 'Stop'}
      </Button>
    </div>
  )
}
