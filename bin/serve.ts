import { monitorEventLoopDelay, PerformanceObserver } from 'node:perf_hooks'
import { serve } from '@/server/http/serve'

/** Serves Islands: `serve.ts PORT [--lan [--tls]] [--cold]`. */
const [port, ...flags] = process.argv.slice(2)

/** A collection of memory, as it is observed. */
interface Collection {
  duration: number
  detail: { kind: number }
}

// For trials: says on SIGUSR2 for how long this thread did nothing else at the most since it was asked last.
if (process.env.ISLANDS_TRIAL) {
  const everyMs = 5
  const delay = monitorEventLoopDelay({ resolution: everyMs })
  delay.enable()
  const kinds: Record<number, string> = {
    1: 'of the young',
    4: 'of all',
    8: 'in steps',
    16: 'of weak references',
  }
  const nothing = { duration: 0, kind: 'none' }
  let longest = nothing
  new PerformanceObserver((list) => {
    // The types of the entries leave out what is particular to collections.
    for (const { duration, detail } of list.getEntries() as unknown as Collection[])
      if (duration > longest.duration) longest = { duration, kind: kinds[detail.kind] ?? 'other' }
  }).observe({ entryTypes: ['gc'] })
  process.on('SIGUSR2', () => {
    // What is measured is the time between two looks, the wait for the second one included.
    const block = (delay.max / 1e6 - everyMs).toFixed(1)
    const { duration, kind } = longest
    process.stderr.write(
      `longest block ${block} ms, longest collection of memory (${kind}) ${duration.toFixed(1)} ms\n`,
    )
    delay.reset()
    longest = nothing
  })
}

serve({
  port: Number(port),
  lan: flags.includes('--lan'),
  tls: flags.includes('--tls') ? { folder: `${process.env.ISLANDS_FOLDER ?? '.islands/server'}-tls` } : null,
  cold: flags.includes('--cold'),
  warmed: () => {
    if (process.env.ISLANDS_TRIAL) process.stderr.write('every page is warm\n')
  },
  say: (line) => process.stderr.write(`islands: ${line}\n`),
}).catch((error: Error) => {
  process.stderr.write(`islands: ${error.message}\n`)
  process.exit(1)
})
