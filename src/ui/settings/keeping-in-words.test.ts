import { bytesInWords, momentInWords } from './keeping-in-words'

test('sizes as they are said', () => {
  expect([1, 18_400, 41_200_000, 2_340_000_000].map(bytesInWords)).toEqual([
    '1 kB',
    '18 kB',
    '41 MB',
    '2.3 GB',
  ])
})

test('moments by the school’s clock: a backup of the night belongs to the day that it was there', () => {
  const said = (at: string, zone = 'Europe/London') => momentInWords(at, '2026-07-14T09:00:00Z', zone)
  expect(said('2026-07-14T08:05:00Z')).toBe('today at 09:05')
  expect(said('2026-07-13T23:30:00Z')).toBe('today at 00:30')
  expect(said('2026-07-13T20:00:00Z')).toBe('yesterday at 21:00')
  expect(said('2026-07-01T02:00:00Z', 'Pacific/Auckland')).toBe('1 Jul at 14:00')
})
