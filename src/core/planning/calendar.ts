/** A day without a time, as `2026-11-24`. */
export type Day = string

const msPerDay = 86_400_000

/** Days since 1970-01-01. */
const number = (day: Day) => Math.round(Date.parse(`${day}T00:00:00Z`) / msPerDay)

export function addDays(day: Day, days: number): Day {
  return new Date((number(day) + days) * msPerDay).toISOString().slice(0, 10)
}

/** 0: Sunday … 6: Saturday. */
export function weekday(day: Day): number {
  return (((number(day) + 4) % 7) + 7) % 7
}

/** School days from `from` (excluded) to `to` (included); negative if `to` is earlier. Monday to Friday. */
export function schoolDaysBetween(from: Day, to: Day): number {
  return ordinal(to) - ordinal(from)
}

/** School days up to and with `day`, since a Monday long ago. */
function ordinal(day: Day): number {
  const sinceMonday = number(day) - 4 // 1970-01-05 was a Monday.
  const week = Math.floor(sinceMonday / 7)
  return week * 5 + Math.min(5, sinceMonday - week * 7 + 1)
}

/** Clock time `minutes` after `start`, both as `10:15`. */
export function clockAfter(start: string, minutes: number): string {
  const [hours, mins] = start.split(':').map(Number)
  const total = (hours * 60 + mins + minutes + 1440) % 1440
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`
}
