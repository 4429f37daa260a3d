import { createHash } from 'node:crypto'
import type { HeavyThread } from './pool'
import type { HeavyJobs } from './jobs'

/** How many results of a job are kept: a week of a few classes, each plan with its count of pages; every level of every game. */
const mostKept = { workOut: 30, otherGames: 10, pagesToPrint: 30, pictures: 300 } as const
type Pure = keyof typeof mostKept

type Kept = Record<Pure, Map<string, Promise<unknown>>>

/** Results of pure jobs by what they were asked, the one asked for last at the end. On globalThis because routes are bundled apart. */
const keptOf = ((globalThis as { islandsRemembered?: Kept }).islandsRemembered ??= {
  workOut: new Map(),
  otherGames: new Map(),
  pagesToPrint: new Map(),
  pictures: new Map(),
})

/** Hashes of what was handed over, by the thing itself: two jobs of a page are often about the same class. */
const hashes = new WeakMap<object, string>()

function hashOf(value: unknown): string {
  const isThing = typeof value === 'object' && value !== null
  const known = isThing ? hashes.get(value) : undefined
  if (known) return known
  const hash = createHash('sha1')
    .update(JSON.stringify(value) ?? '')
    .digest('base64')
  if (isThing) hashes.set(value, hash)
  return hash
}

/**
 * A job whose result hangs on its input alone: asked again for the same, as by every look at a page, it is not worked
 * out again. Whoever gets a result must not change it: others get the same; nor what it was asked with.
 */
export function remembered<N extends Pure>(
  thread: HeavyThread<HeavyJobs>,
  name: N,
  input: Parameters<HeavyJobs[N]>[0],
  limitMs: number,
): Promise<ReturnType<HeavyJobs[N]>> {
  const kept = keptOf[name]
  const key = Object.entries(input)
    .map(([part, value]) => `${part} ${hashOf(value)}`)
    .join(' ')
  const found = kept.get(key) ?? thread.run(name, input, { limitMs })
  kept.delete(key)
  kept.set(key, found)
  // What failed may be asked for anew.
  found.catch(() => kept.delete(key))
  if (kept.size > mostKept[name]) kept.delete(kept.keys().next().value!)
  return found as Promise<ReturnType<HeavyJobs[N]>>
}
