'use client'

import { useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import ProgressBar from 'react-bootstrap/ProgressBar'
import type { FiguresInput } from '@/server/figures'
import type { Simulated, SimulationWorker } from '@/workers/simulation'
import { few, hundredths } from '../words'

const games = 20_000

/** Plays many games in a web worker and sets the figures beside the exact ones. */
export function SimulationPanel({ input }: { input: FiguresInput }) {
  const [played, setPlayed] = useState<number | null>(null)
  const [result, setResult] = useState<Simulated | null>(null)
  const worker = useRef<Worker | null>(null)

  function stop() {
    worker.current?.terminate()
    worker.current = null
    setPlayed(null)
  }
  useEffect(() => () => worker.current?.terminate(), [])

  async function start() {
    setResult(null)
    setPlayed(0)
    const started = new Worker(new URL('../../workers/simulation.ts', import.meta.url))
    worker.current = started
    const { proxy, wrap } = await import('comlink')
    // Cancelled in the meantime: then this worker is no longer the one that counts.
    if (worker.current !== started) return
    const made = await wrap<SimulationWorker>(started).run(
      { ...input, games },
      proxy((count: number) => {
        if (worker.current === started) setPlayed(count)
      }),
    )
    if (worker.current !== started) return
    setResult(made)
    stop()
  }

  return (
    <section className="simulation" aria-label="Simulation">
      <h2 className="section">Play it out</h2>
      {played !== null ? (
        <>
          <ProgressBar now={(100 * played) / games} aria-label="Games played" />
          <div className="simulation-state small">
            <span className="muted">{played.toLocaleString('en-GB')} games</span>
            <Button variant="quiet" size="sm" onClick={stop}>
              Cancel
            </Button>
          </div>
        </>
      ) : (
        <>
          {result && (
            <p className="small" role="status" data-simulated={result.goes?.mean}>
              {result.games.toLocaleString('en-GB')} games played:{' '}
              {result.goes && (
                <>
                  {few(result.goes.mean)} goes (± {result.goes.halfWidth.toFixed(2)}),{' '}
                </>
              )}
              {hundredths(result.deadShare.value)} in 100 dead (±{' '}
              {(100 * result.deadShare.halfWidth).toFixed(1)})
              {result.finishInSlot && (
                <>
                  , {hundredths(result.finishInSlot.value)} in 100 end in the slot (±{' '}
                  {(100 * result.finishInSlot.halfWidth).toFixed(1)})
                </>
              )}
              . Simulated; 95 % intervals.
            </p>
          )}
          <Button variant="quiet" size="sm" onClick={() => void start()}>
            Play {games.toLocaleString('en-GB')} games
          </Button>
        </>
      )}
    </section>
  )
}
