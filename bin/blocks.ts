import { readFileSync } from 'node:fs'
import { PerformanceObserver } from 'node:perf_hooks'

/** A collection of memory, as it is observed. */
interface Collection {
  duration: number
  detail: { kind: number }
}

const everyMs = 5
const kinds: Record<number, string> = {
  1: 'of the young',
  4: 'of all',
  8: 'in steps',
  16: 'of weak references',
}

/**
 * Milliseconds for which a core worked on this thread so far: Linux keeps it by thread. What another process, or another
 * machine on the same hardware, took in between is not in it. Elsewhere it can't be told.
 */
function workedMs(): number {
  try {
    return Number(readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ')[0]) / 1e6
  } catch {
    return NaN
  }
}

/**
 * Milliseconds for which a core of this machine had something to do and was not given to it by the machine it is itself only a
 * guest on, over all cores, in steps of 10: Linux keeps it as "steal". Elsewhere it can't be told, and counts as nothing.
 */
function takenMs(): number {
  try {
    return Number(readFileSync('/proc/stat', 'utf8').slice(0, 200).split('\n')[0].trim().split(/\s+/)[8]) * 10
  } catch {
    return 0
  }
}

/**
 * For trials: says on SIGUSR2 for how long this thread did nothing else at the most since it was asked last, by the clock,
 * by the clock between looks in which nothing was taken from this machine (and how many in a hundred looks those were), and by
 * what a core worked on it meanwhile; and what the longest collection of memory took.
 */
export function tellBlocks() {
  const nothing = { duration: 0, kind: 'none' }
  const none = { clock: 0, undisturbed: 0, work: 0 }
  let longest = none
  let looks = { all: 0, undisturbed: 0 }
  let collection = nothing
  let last = { clock: performance.now(), work: workedMs(), taken: takenMs() }
  const look = () => {
    const now = { clock: performance.now(), work: workedMs(), taken: takenMs() }
    // What is measured is the time between two looks, the wait for the second one included.
    const block = now.clock - last.clock - everyMs
    const undisturbed = now.taken === last.taken
    looks = { all: looks.all + 1, undisturbed: looks.undisturbed + (undisturbed ? 1 : 0) }
    longest = {
      clock: Math.max(longest.clock, block),
      undisturbed: undisturbed ? Math.max(longest.undisturbed, block) : longest.undisturbed,
      work: Math.max(longest.work, now.work - last.work),
    }
    last = now
  }
  setInterval(look, everyMs).unref()
  new PerformanceObserver((list) => {
    // The types of the entries leave out what is particular to collections.
    for (const { duration, detail } of list.getEntries() as unknown as Collection[])
      if (duration > collection.duration) collection = { duration, kind: kinds[detail.kind] ?? 'other' }
  }).observe({ entryTypes: ['gc'] })
  process.on('SIGUSR2', () => {
    look()
    process.stderr.write(
      `longest block ${longest.clock.toFixed(1)} ms, undisturbed ${longest.undisturbed.toFixed(1)} ms ` +
        `(${Math.round((100 * looks.undisturbed) / looks.all)} in 100 looks), of own work ${longest.work.toFixed(1)} ms, ` +
        `longest collection of memory (${collection.kind}) ${collection.duration.toFixed(1)} ms\n`,
    )
    longest = none
    looks = { all: 0, undisturbed: 0 }
    collection = nothing
  })
}
