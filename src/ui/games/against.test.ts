import type { Against } from '@/server/games/list'
import { againstInWords, whyNone } from './against'

const row = (against: Against[]) => ({ against, players: { min: 2, max: 4 }, to: 20, minutes: null })
const filter = { needs: 'no-dice', slotMinutes: 5 } as const

test('a game that does not fit says why, in the order of what matters', () => {
  expect(againstInWords(row(['players']), filter)).toBe('For 2 to 4 children')
  expect(againstInWords(row(['range', 'needs']), filter)).toBe('Numbers to 20, needs dice')
  expect(againstInWords(row(['needs']), { ...filter, needs: 'no-print' })).toBe('Has to be printed')
  const minutes = { p10: 6, p50: 9, p90: 12, finishInSlot: 0.04, method: 'exact' as const }
  expect(againstInWords({ ...row(['slot']), minutes }, filter)).toBe('Ends in 5 minutes 4 times in 100')
})

test('where nothing fits: which wish, given up, would bring how many', () => {
  expect(
    whyNone([
      { wish: 'slotMinutes', games: 12 },
      { wish: 'adult', games: 3 },
    ]),
  ).toBe('Nothing fits all of this. In a longer slot 12 would, with an adult 3.')
  expect(whyNone([])).toMatch(/would not be enough/)
})
