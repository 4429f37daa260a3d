import type { Day } from '@/core/planning/calendar'

/** The present moment; `ISLANDS_CLOCK` freezes it for tests. */
export function now(): Date {
  return process.env.ISLANDS_CLOCK ? new Date(process.env.ISLANDS_CLOCK) : new Date()
}

/** Today's date where the school is. */
export function todayIn(timeZone: string, at = now()): Day {
  return new Intl.DateTimeFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(at)
}
