const lines: string[] = []

/** A line of the report: shown at once, and kept for docs/benchmarks.md. */
export function say(line = '') {
  lines.push(line)
  process.stdout.write(`${line}\n`)
}

export const report = () => lines.join('\n')

export const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

/**
 * How many times as long `work` takes as `reference`: the median of runs done in turn, so that both meet
 * the same moments of a shared machine.
 */
export function ratio(work: () => void, reference: () => void, runs = 9): number {
  return median(Array.from({ length: runs }, () => timed(work, 1) / timed(reference, 1)))
}

/** Milliseconds that `work` takes, the median of some runs. */
export function timed(work: () => void, runs = 5): number {
  return median(
    Array.from({ length: runs }, () => {
      const start = performance.now()
      work()
      return performance.now() - start
    }),
  )
}
