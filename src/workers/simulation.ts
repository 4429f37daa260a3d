import { expose } from 'comlink'
import type { z } from 'zod'
import { analyseInputSchema, simulationOf } from '@/core/analysis/analyse'
import { deadShareOf, goesOf, minutesOf } from '@/core/analysis/figures'
import { simulate } from '@/core/analysis/simulate'

export interface Simulated {
  games: number
  seed: number
  /** Null where the time ends the game. */
  goes: { mean: number; halfWidth: number } | null
  deadShare: { value: number; halfWidth: number }
  finishInSlot: { value: number; halfWidth: number } | null
}

const worker = {
  /** Plays the games of an input one by one; `onPlayed` hears how many are done. Ended by ending the worker. */
  run(input: z.input<typeof analyseInputSchema>, onPlayed: (games: number) => void): Simulated {
    const parsed = analyseInputSchema.parse(input)
    const run = simulate(simulationOf(parsed))
    let step = run.next()
    while (!step.done) {
      if (step.value % 1000 === 0) onPlayed(step.value)
      step = run.next()
    }
    const play = step.value
    const minutes = minutesOf(play, parsed.slotMinutes)
    const { games, halfWidth } = play.sample!
    const goes = goesOf(play)
    return {
      games,
      seed: parsed.seed,
      goes: goes && { mean: goes.mean, halfWidth: halfWidth.goes },
      deadShare: { value: deadShareOf(play), halfWidth: halfWidth.deadShare },
      finishInSlot: minutes && { value: minutes.finishInSlot, halfWidth: minutes.finishHalfWidth ?? 0 },
    }
  },
}

export type SimulationWorker = typeof worker

expose(worker)
