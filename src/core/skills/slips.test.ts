import fc from 'fast-check'
import { isTrue, type PracticeItem } from './item'
import { slips } from './slips'

const number = fc.integer({ min: 0, max: 100 })

/** Items of every kind that has an answer to get wrong. */
const item: fc.Arbitrary<PracticeItem> = fc.oneof(
  fc.tuple(number, number).map(([a, b]): PracticeItem => ({ op: 'add', a, b, answer: a + b })),
  fc.tuple(number, number).map(([b, answer]): PracticeItem => ({ op: 'subtract', a: b + answer, b, answer })),
  fc
    .tuple(number, number)
    .map(([part, answer]): PracticeItem => ({ op: 'missing', part, whole: part + answer, answer })),
  number.map((answer): PracticeItem => ({ op: 'count', answer })),
  number.map((answer): PracticeItem => ({ op: 'numeral', answer })),
  fc
    .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 12 }))
    .map(([a, b]): PracticeItem => ({ op: 'multiply', a, b, answer: a * b })),
  fc
    .tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 }))
    .map(([tens, ones]): PracticeItem => ({ op: 'tens', tens, ones, answer: 10 * tens + ones })),
  fc
    .tuple(number, fc.constantFrom(-10, -1, 1, 10))
    .filter(([of, by]) => of + by >= 0)
    .map(([of, by]): PracticeItem => ({ op: 'neighbour', of, by, answer: of + by })),
)

test('a slip is a whole number, never the right answer, each once', () => {
  fc.assert(
    fc.property(item, (one) => {
      expect(isTrue(one)).toBe(true)
      const answers = slips(one).map(({ answer }) => answer)
      expect(answers).not.toContain(one.answer)
      expect(answers.every((answer) => Number.isInteger(answer) && answer >= 0)).toBe(true)
      expect(new Set(answers).size).toBe(answers.length)
    }),
    { numRuns: 2000 },
  )
})

// Common practice, no source, but for the column slips, which are from memory of Brown & Burton 1978.
test.each<[string, PracticeItem, number, string]>([
  ['15 − 8 = 13', { op: 'subtract', a: 15, b: 8, answer: 7 }, 13, 'smaller-from-larger'],
  ['27 + _ = 46: 21', { op: 'missing', part: 27, whole: 46, answer: 19 }, 21, 'smaller-from-larger'],
  ['8 + 5 = 12', { op: 'add', a: 8, b: 5, answer: 13 }, 12, 'counted-own'],
  ['28 + 15 = 33', { op: 'add', a: 28, b: 15, answer: 43 }, 33, 'forgot-the-ten'],
  ['7 + _ = 10: 4', { op: 'missing', part: 7, whole: 10, answer: 3 }, 4, 'counted-own'],
  ['63 + _ = 100: 47', { op: 'missing', part: 63, whole: 100, answer: 37 }, 47, 'kept-the-ten'],
  ['13 read as 30', { op: 'numeral', answer: 13 }, 30, 'teen-or-ty'],
  ['21 read as 12', { op: 'numeral', answer: 21 }, 12, 'digits-turned'],
  ['6 read as 9', { op: 'numeral', answer: 6 }, 9, 'looks-alike'],
  ['half past 3 read as half past 4', { op: 'clock', hour: 3, minute: 30, answer: 210 }, 270, 'next-hour'],
  ['6 × 4 = 10', { op: 'multiply', a: 6, b: 4, answer: 24 }, 10, 'added'],
  ['8 is 8 more than 5', { op: 'subtract', a: 8, b: 5, answer: 3, compared: true }, 8, 'named-the-whole'],
  ['3 groups of 4 are 7', { op: 'groups', groups: 3, size: 4, answer: 12 }, 7, 'added'],
  ['12 shared by 3: 5', { op: 'share', total: 12, among: 3, answer: 4 }, 5, 'unequal-shares'],
  ['a quarter of 12 is 6', { op: 'part-of', of: 12, parts: 4, answer: 3 }, 6, 'halved-once'],
  ['half of 12 is 10', { op: 'part-of', of: 12, parts: 2, answer: 6 }, 10, 'took-away'],
  ['7 is even', { op: 'odd-even', of: 7, answer: 1 }, 0, 'not-paired'],
  ['one less than 20 is 21', { op: 'neighbour', of: 20, by: -1, answer: 19 }, 21, 'other-way'],
])('%s', (_title, one, answer, reason) => {
  expect(slips(one)).toContainEqual({ answer, reason })
})
