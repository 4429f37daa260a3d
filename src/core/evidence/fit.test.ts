import { markedStep } from './fit'

test('a level is marked at the hardest step of which it holds a quarter, in the focus strand', () => {
  const profile = [
    { strand: 'add' as const, step: 'take-away-5', share: 0.5 },
    { strand: 'add' as const, step: 'take-away-10', share: 0.3 },
    { strand: 'add' as const, step: 'count-on-20', share: 0.1 },
    { strand: 'numerals' as const, step: 'numerals-20', share: 0.1 },
  ]
  expect(markedStep(profile)).toMatchObject({ strand: 'add', step: 'take-away-10' })
  expect(markedStep(profile, 'numerals')).toMatchObject({ strand: 'numerals', step: 'numerals-20' })
  expect(markedStep(profile, 'how-many')).toMatchObject({ strand: 'add', step: 'take-away-10' })
})
