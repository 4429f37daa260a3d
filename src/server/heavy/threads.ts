import { join } from 'node:path'
import { whenStopping } from '@/data/when-stopping'
import { currentAsker } from '../asker'
import { HeavyThread, isTooLong } from './pool'
import type { HeavyJobs } from './jobs'

/** Threads of their own: a plan or a page, worked out in a moment, does not wait for a game that takes seconds. */
interface Threads {
  plans: HeavyThread<HeavyJobs>
  prints: HeavyThread<HeavyJobs>
  games: HeavyThread<HeavyJobs>
}

const shared = globalThis as { islandsThreads?: Threads }

function threads(): Threads {
  const script = join(process.cwd(), '.islands/bundle/heavy.mjs')
  whenStopping('last', 'threads', closeThreads)
  return (shared.islandsThreads ??= {
    plans: new HeavyThread<HeavyJobs>(script, currentAsker),
    prints: new HeavyThread<HeavyJobs>(script, currentAsker),
    games: new HeavyThread<HeavyJobs>(script, currentAsker),
  })
}

export const planThread = () => threads().plans
export const printThread = () => threads().prints
export const gameThread = () => threads().games

export function warmThreads() {
  planThread().warm()
  printThread().warm()
  gameThread().warm()
}

export async function closeThreads() {
  const { plans, prints, games } = shared.islandsThreads ?? {}
  await Promise.all([plans?.close(), prints?.close(), games?.close()])
  delete shared.islandsThreads
}

/** Something that may take longer than a page waits: what is known of it so far. */
export type SoFar<T> = { state: 'done'; value: T } | { state: 'working' } | { state: 'too-long' }

interface Asked {
  /** When a page wanted to know last. */
  at: number
  settled: SoFar<unknown>
  work: Promise<unknown>
  stop: AbortController
}

/** Figures of games by what they are about: pure results of pure input can't go stale. */
const kept = ((globalThis as { islandsAsked?: Map<string, Asked> }).islandsAsked ??= new Map<string, Asked>())
const mostKept = 400
/** A page is answered with what is known after this long. */
const patienceMs = 150
/** What a class waits to see may take a little longer. */
const patienceToShowMs = 500
/** A page that still waits asks every second or so: what nobody asks for any more is not begun. */
const forgottenMs = 8_000
/** Nobody waits longer for one game's figures. */
const limitMs = 20_000

/**
 * What a job for the thread of games comes to, if it is there in a moment; else it goes on, and whoever asks again
 * finds it done, or given up.
 */
export async function soFar<N extends 'analyse' | 'advise' | 'demonstrate' | 'strain'>(
  name: N,
  input: Parameters<HeavyJobs[N]>[0],
): Promise<SoFar<ReturnType<HeavyJobs[N]>>> {
  type Value = SoFar<ReturnType<HeavyJobs[N]>>
  const key = keyOf(name, input)
  let asked = kept.get(key)
  if (!asked) {
    const stop = new AbortController()
    const made: Asked = { at: Date.now(), settled: { state: 'working' }, stop, work: Promise.resolve() }
    made.work = gameThread()
      .run(name, input, {
        limitMs,
        signal: stop.signal,
        isStale: () => Date.now() - made.at > forgottenMs,
      })
      .then((value) => (made.settled = { state: 'done', value }))
      .catch((error: unknown) => {
        // What took too long once does so again; anything else may be asked for anew.
        if (isTooLong(error)) made.settled = { state: 'too-long' }
        else kept.delete(key)
      })
    if (kept.size >= mostKept) kept.delete(kept.keys().next().value!)
    kept.set(key, made)
    asked = made
  }
  asked.at = Date.now()
  if (asked.settled.state === 'working')
    await Promise.race([asked.work, after(name === 'demonstrate' ? patienceToShowMs : patienceMs)])
  return asked.settled as Value
}

/** Nobody waits for this any more. */
export function stopAsking(input: Parameters<HeavyJobs['analyse']>[0]) {
  for (const name of ['analyse', 'advise'] as const) {
    const asked = kept.get(keyOf(name, input))
    if (asked?.settled.state !== 'working') continue
    asked.settled = { state: 'too-long' }
    asked.stop.abort()
  }
}

const keyOf = (name: string, input: unknown) => `${name} ${JSON.stringify(input)}`
const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
