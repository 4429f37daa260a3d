'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { FiguresInput } from '@/server/figures'
import type { Simulated, SimulationWorker } from '@/workers/simulation'
import { useWorkerRun } from '../use-worker-run'
import { oneDecimal, inHundred } from '../words'

const games = 20_000

/** Plays many games in a web worker and sets the figures beside the exact ones. */
export function SimulationPanel({ input }: { input: FiguresInput }) {
  const [played, setPlayed] = useState<number | null>(null)
  const [result, setResult] = useState<Simulated | null>(null)
  const worker = useWorkerRun<SimulationWorker>(
    () => new Worker(new URL('../../workers/simulation.ts', import.meta.url)),
    () => setPlayed(null),
  )

  function stop() {
    worker.stop()
    setPlayed(null)
  }

  function start() {
    setResult(null)
    setPlayed(0)
    void worker.start(
      (simulation, hear) => simulation.run({ ...input, games }, hear(setPlayed)),
      (made) => {
        setResult(made)
        setPlayed(null)
      },
    )
  }

  return (
    <section className="simulation" aria-label="Simulation">
      <h2 className="section">Play it out</h2>
      {played !== null ? (
        <>
          <progress value={played} max={games} aria-label="Games played" />
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
                  {oneDecimal(result.goes.mean)} goes (± {result.goes.halfWidth.toFixed(2)}),{' '}
                </>
              )}
              {inHundred(result.deadShare.value)} in 100 goes waiting (±{' '}
              {(100 * result.deadShare.halfWidth).toFixed(1)})
              {result.finishInSlot && (
                <>
                  , {inHundred(result.finishInSlot.value)} in 100 end in the slot (±{' '}
                  {(100 * result.finishInSlot.halfWidth).toFixed(1)})
                </>
              )}
              . Simulated; 95 % intervals.
            </p>
          )}
          <Button variant="quiet" size="sm" onClick={start}>
            Play {games.toLocaleString('en-GB')} games
          </Button>
        </>
      )}
    </section>
  )
}
