import { spawn } from 'node:child_process'
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import type { TermOutcome } from './term'

/** So many classes are lived through by one process. */
const together = 10

/** Classes 1 to `classes` by each policy, as many side by side as there are cores; the outcomes by rising seed. */
export async function liveClasses(
  wanted: readonly { policy: string; classes: number }[],
): Promise<Map<string, TermOutcome[]>> {
  const outcomes = new Map<string, TermOutcome[]>(wanted.map(({ policy }) => [policy, []]))
  const parts = wanted.flatMap(({ policy, classes }) =>
    Array.from({ length: Math.ceil(classes / together) }, (_, i) => ({
      policy,
      from: i * together + 1,
      to: Math.min(classes, (i + 1) * together),
    })),
  )
  const next = async () => {
    for (let part = parts.shift(); part; part = parts.shift()) {
      const list = outcomes.get(part.policy)!
      ;(await livePart(part)).forEach((outcome, i) => (list[part.from - 1 + i] = outcome))
    }
  }
  await Promise.all(Array.from({ length: availableParallelism() }, next))
  return outcomes
}

function livePart({
  policy,
  from,
  to,
}: {
  policy: string
  from: number
  to: number
}): Promise<TermOutcome[]> {
  const part = spawn(
    process.execPath,
    ['--import', 'tsx', join(import.meta.dirname, 'part.ts'), policy, String(from), String(to)],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  )
  let told = ''
  part.stdout.on('data', (text) => (told += text))
  return new Promise((resolve, reject) => {
    part.on('error', reject)
    part.on('close', (code) =>
      code === 0
        ? resolve(
            told
              .trim()
              .split('\n')
              .map((line) => JSON.parse(line) as TermOutcome),
          )
        : reject(new Error(`Classes ${from} to ${to} by “${policy}” ended with ${code}.`)),
    )
  })
}
