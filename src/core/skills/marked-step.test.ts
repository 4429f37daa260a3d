import { markedStep } from './marked-step'

test('a level is marked at the hardest step of which it holds a fifth, in the strand of the groups where that is practised enough', () => {
  const profile = [
    { strand: 'add' as const, step: 'take-away-5', share: 0.5 },
    { strand: 'add' as const, step: 'take-away-10', share: 0.3 },
    { strand: 'add' as const, step: 'count-on-20', share: 0.1 },
    { strand: 'numerals' as const, step: 'numerals-20', share: 0.1 },
  ]
  expect(markedStep(profile)).toMatchObject({ strand: 'add', step: 'take-away-10' })
  // A tenth of its items is not what a level is for.
  expect(markedStep(profile, 'numerals')).toMatchObject({ strand: 'add', step: 'take-away-10' })
  const more = [...profile.slice(0, 3), { strand: 'numerals' as const, step: 'numerals-20', share: 0.3 }]
  expect(markedStep(more, 'numerals')).toMatchObject({ strand: 'numerals', step: 'numerals-20' })
  expect(markedStep(profile, 'how-many')).toMatchObject({ strand: 'add', step: 'take-away-10' })
})
