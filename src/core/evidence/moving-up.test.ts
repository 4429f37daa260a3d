import { markedStep } from './fit'
import { movingUpSchema, suggest, type Standing } from './moving-up'
import type { Judgement } from './observation'

const standing = (change: Partial<Standing>): Standing => ({
  step: 1,
  secure: [0.99, 0.9, 0.1],
  struggling: [0, 0.05, 0.6],
  seen: [
    { day: 1, step: 1, judged: 'own' },
    { day: 2, step: 1, judged: 'own' },
    { day: 2, step: 1, judged: 'help' },
  ],
  daysSince: 1,
  ...change,
})

test('secure with evidence of two days: may be ready, with what it rests on', () => {
  expect(suggest(standing({}))).toEqual({ kind: 'ready', own: 2, of: 3, days: 2 })
})

test('secure but seen on one day only: another look', () => {
  const seen = [{ day: 2, step: 1, judged: 'own' as const }]
  expect(suggest(standing({ seen }))).toMatchObject({
    kind: 'another-look',
    why: 'secure-but-one-day',
    days: 1,
  })
})

test('evidence at an easier step does not count for this one', () => {
  const seen = [1, 2, 3].map((day) => ({ day, step: 0, judged: 'own' as const }))
  expect(suggest(standing({ seen }))).toMatchObject({ kind: 'another-look', days: 0 })
})

test('less than half right with 80 % certainty, and seen so: an easier step', () => {
  const hard = { secure: [0.5, 0.01, 0], struggling: [0.2, 0.85, 1] }
  const marks = (...judged: Judgement[]) => judged.map((one, i) => ({ day: i % 2, step: 1, judged: one }))
  const kind = (seen: ReturnType<typeof marks>) => suggest(standing({ ...hard, seen })).kind
  expect(kind(marks('own', 'notYet', 'help'))).toBe('step-back')
  // The word is borne out by what stands beside it: not by two marks, one day, or a child right as often as not.
  expect(kind(marks('notYet', 'notYet'))).toBe('stay')
  expect(kind(marks('notYet', 'notYet', 'notYet').map((mark) => ({ ...mark, day: 1 })))).toBe('stay')
  expect(kind(marks('own', 'own', 'own'))).toBe('stay')
  expect(kind(marks('own', 'own', 'help', 'notYet'))).toBe('stay')
})

test('not seen for two weeks of school', () => {
  expect(suggest(standing({ secure: [0.9, 0.4, 0], daysSince: 10 }))).toEqual({
    kind: 'another-look',
    why: 'not-seen',
    days: 10,
  })
  expect(suggest(standing({ secure: [0.9, 0.4, 0], daysSince: 9 }))).toEqual({ kind: 'stay' })
})

describe('other ways of deciding', () => {
  const count = { by: 'count' as const, own: 3, of: 4, days: 2 }
  const judged = (...marks: ['own' | 'help' | 'notYet', day: number][]) =>
    marks.map(([judged, day]) => ({ day, step: 1, judged }))

  test('counting: enough of the latest alone on enough days, whatever the estimate says', () => {
    const unsure = { secure: [0.9, 0.2, 0], daysSince: 1 }
    const seen = judged(['notYet', 1], ['own', 1], ['own', 2], ['help', 2], ['own', 3])
    expect(suggest(standing({ ...unsure, seen }), count)).toEqual({ kind: 'ready', own: 3, of: 4, days: 3 })
    const oneDay = judged(['own', 2], ['own', 2], ['own', 2])
    expect(suggest(standing({ ...unsure, seen: oneDay }), count)).toEqual({ kind: 'stay' })
  })
  test('counting back: as many not alone, on as many days', () => {
    const seen = judged(['help', 1], ['notYet', 1], ['notYet', 2], ['own', 2])
    expect(suggest(standing({ seen }), count)).toEqual({ kind: 'step-back', own: 1, of: 4, days: 2 })
    expect(suggest(standing({ seen: seen.slice(0, 2) }), count)).toEqual({ kind: 'stay' })
  })
  test('judgement alone: nobody is said to be ready; who was not seen still is', () => {
    expect(suggest(standing({}), { by: 'judgement' })).toEqual({ kind: 'stay' })
    expect(suggest(standing({ daysSince: 12 }), { by: 'judgement' })).toMatchObject({ why: 'not-seen' })
  })
  test('more successes than are counted can’t be wanted', () => {
    expect(movingUpSchema.safeParse({ ...count, own: 5 }).error!.issues[0].path).toEqual(['own'])
  })
})

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
