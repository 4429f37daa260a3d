const lines: string[] = []

/** A line of the report: shown at once, and kept for docs/benchmarks.md. */
export function say(line = '') {
  lines.push(line)
  process.stdout.write(`${line}\n`)
}

export const report = () => lines.join('\n')

export const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

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
