import type { Day } from '@/core/planning/calendar'

/** The present moment; `ISLANDS_CLOCK` freezes it for tests. */
export function now(): Date {
  return process.env.ISLANDS_CLOCK ? new Date(process.env.ISLANDS_CLOCK) : new Date()
}

export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** A zone this computer knows: a class that came with another one opens all the same, in the time of Greenwich. */
const known = (zone: string): string => (isTimeZone(zone) ? zone : 'UTC')

/** Writers of dates by time zone: made once, as making one takes longer than all a page works out about days. */
const writers = new Map<string, Intl.DateTimeFormat>()

function writerFor(timeZone: string): Intl.DateTimeFormat {
  const found = writers.get(timeZone)
  if (found) return found
  const parts = { year: 'numeric', month: '2-digit', day: '2-digit' } as const
  const made = new Intl.DateTimeFormat('en-CA', { timeZone: known(timeZone), ...parts })
  writers.set(timeZone, made)
  return made
}

/** Today's date where the school is. */
export const todayIn = (timeZone: string, at = now()): Day => writerFor(timeZone).format(at)

/** The first moment of a day where the school is. */
export function startOfDayIn(timeZone: string, day: Day): Date {
  // The offset of a zone is found by asking what day and hour it is there.
  const noon = new Date(`${day}T12:00:00Z`)
  const there = new Intl.DateTimeFormat('en-GB', {
    timeZone: known(timeZone),
    timeStyle: 'short',
    hourCycle: 'h23',
  }).format(noon)
  const [hours, minutes] = there.split(':').map(Number)
  const ahead = todayIn(timeZone, noon) > day ? 24 * 60 : todayIn(timeZone, noon) < day ? -24 * 60 : 0
  return new Date(noon.getTime() - (hours * 60 + minutes + ahead) * 60_000)
}

/** The time of day where the school is: “10:02”. */
export const timeIn = (timeZone: string, at = now()): string =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: known(timeZone),
    timeStyle: 'short',
    hourCycle: 'h23',
  }).format(at)

/** A moment for a person where the school is: “10:02” of today, “Mon 23 Nov, 10:02” of another day. */
export function momentInWords(timeZone: string, at: Date): string {
  const time = timeIn(timeZone, at)
  if (todayIn(timeZone, at) === todayIn(timeZone)) return time
  const parts = { weekday: 'short', day: 'numeric', month: 'short' } as const
  const day = new Intl.DateTimeFormat('en-GB', { timeZone: known(timeZone), ...parts })
    .format(at)
    .replace(',', '')
  return `${day}, ${time}`
}
