import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'

let lines: string[] = []

/** A line of the report: shown at once, and kept for docs/benchmarks.md. */
export function say(line = '') {
  lines.push(line)
  process.stdout.write(`${line}\n`)
}

/** Begins a part of the report with what it was measured on. */
export function begin() {
  lines = []
  say(
    `${new Date().toISOString().slice(0, 10)}, Node ${process.version}, ${cpus().length} × ${cpus()[0].model.trim()}`,
  )
  say('Ratios within one run: machines differ and are shared, so no time is told.')
}

const file = 'docs/benchmarks.md'
const heading = '# Benchmarks\n\nWritten by `npm run bench -- record`, each part when it was last run.\n'

/** Puts the part just measured in the place it has in docs/benchmarks.md. */
export function record(part: string, parts: readonly string[]) {
  const before = existsSync(file) ? readFileSync(file, 'utf8') : ''
  const kept = new Map(
    [...before.matchAll(/^## (\S+)\n\n```\n([^]*?)\n```$/gm)].map(([, name, text]) => [name, text]),
  )
  kept.set(part, lines.join('\n'))
  const sections = parts.flatMap((name) =>
    kept.has(name) ? [`\n## ${name}\n\n\`\`\`\n${kept.get(name)}\n\`\`\`\n`] : [],
  )
  writeFileSync(file, heading + sections.join(''))
}

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
