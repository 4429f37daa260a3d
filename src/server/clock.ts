import type { Day } from '@/core/planning/calendar'

/** The present moment; `ISLANDS_CLOCK` freezes it for tests. */
export function now(): Date {
  return process.env.ISLANDS_CLOCK ? new Date(process.env.ISLANDS_CLOCK) : new Date()
}

/** Writers of dates by time zone: made once, as making one takes longer than all a page works out about days. */
const writers = new Map<string, Intl.DateTimeFormat>()

function writerFor(timeZone: string): Intl.DateTimeFormat {
  const known = writers.get(timeZone)
  if (known) return known
  const parts = { year: 'numeric', month: '2-digit', day: '2-digit' } as const
  const made = new Intl.DateTimeFormat('en-CA', { timeZone, ...parts })
  writers.set(timeZone, made)
  return made
}

/** Today's date where the school is. */
export const todayIn = (timeZone: string, at = now()): Day => writerFor(timeZone).format(at)
