import fc from 'fast-check'
import { addDays, clockAfter, schoolDaysBetween, weekday, type Day } from './calendar'

/** A day in the years an application may see, by its number since 1970. */
const anyDay = fc.integer({ min: 0, max: 40_000 }).map((n): Day => addDays('1970-01-01', n))

test('days of the week as the calendar has them', () => {
  // Common knowledge, no source: a Thursday in 1970, the leap day of 2024, a New Year's Day, and a Saturday in November 2026.
  expect(weekday('1970-01-01')).toBe(4)
  expect(weekday('2024-02-29')).toBe(4)
  expect(weekday('2000-01-01')).toBe(6)
  expect(weekday('2026-11-28')).toBe(6)
})

test('over the end of months and years, leap days, and the nights in which clocks are changed', () => {
  expect(addDays('2024-02-28', 1)).toBe('2024-02-29')
  expect(addDays('2026-02-28', 1)).toBe('2026-03-01')
  expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
  expect(addDays('2026-10-24', 2)).toBe('2026-10-26')
  expect(addDays('2026-03-29', -1)).toBe('2026-03-28')
})

test('as many days there as back, and each day of the week after the one before', () => {
  fc.assert(
    fc.property(anyDay, fc.integer({ min: 0, max: 2_000 }), (day, days) => {
      expect(addDays(addDays(day, days), -days)).toBe(day)
      expect(weekday(addDays(day, 1))).toBe((weekday(day) + 1) % 7)
      expect(weekday(day)).toBe(new Date(`${day}T12:00:00Z`).getUTCDay())
    }),
  )
})

test('school days are counted as by going through them one by one', () => {
  fc.assert(
    fc.property(anyDay, fc.integer({ min: 0, max: 60 }), (from, days) => {
      const to = addDays(from, days)
      const gone = Array.from({ length: days }, (_, i) => weekday(addDays(from, i + 1)))
      expect(schoolDaysBetween(from, to)).toBe(gone.filter((day) => day > 0 && day < 6).length)
      expect(schoolDaysBetween(to, from) + schoolDaysBetween(from, to)).toBe(0)
    }),
  )
})

test('from a Friday to the Monday after is one school day, over a week end none', () => {
  expect(schoolDaysBetween('2026-11-27', '2026-11-30')).toBe(1)
  expect(schoolDaysBetween('2026-11-28', '2026-11-29')).toBe(0)
  expect(schoolDaysBetween('2026-11-23', '2026-11-30')).toBe(5)
})

test('the clock goes on over full hours and midnight', () => {
  expect(clockAfter('10:15', 12)).toBe('10:27')
  expect(clockAfter('09:55', 5)).toBe('10:00')
  expect(clockAfter('23:50', 15)).toBe('00:05')
  expect(clockAfter('00:05', -10)).toBe('23:55')
})
