import { createHash } from 'node:crypto'
import type { HeavyThread } from './pool'
import type { HeavyJobs } from './jobs'

/** Results of pure jobs by what they were asked, the one asked for last at the end. On globalThis because routes are bundled apart. */
const kept = ((globalThis as { islandsRemembered?: Map<string, Promise<unknown>> }).islandsRemembered ??=
  new Map<string, Promise<unknown>>())
/** A week of a few classes: each plan as it stands, and its count of pages. */
const mostKept = 60

/**
 * A job whose result hangs on its input alone: asked again for the same, as by every look at a page, it is not worked
 * out again. Whoever gets a result must not change it: others get the same.
 */
export function remembered<N extends 'workOut' | 'pagesToPrint'>(
  thread: HeavyThread<HeavyJobs>,
  name: N,
  input: Parameters<HeavyJobs[N]>[0],
  limitMs: number,
): Promise<ReturnType<HeavyJobs[N]>> {
  const key = createHash('sha1').update(name).update(JSON.stringify(input)).digest('base64')
  const found = kept.get(key) ?? thread.run(name, input, { limitMs })
  kept.delete(key)
  kept.set(key, found)
  // What failed may be asked for anew.
  found.catch(() => kept.delete(key))
  if (kept.size > mostKept) kept.delete(kept.keys().next().value!)
  return found as Promise<ReturnType<HeavyJobs[N]>>
}
