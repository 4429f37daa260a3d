import fc from 'fast-check'
import {
  hasStep,
  isTrue,
  itemKey,
  largestNumber,
  placeOf,
  sentenceOf,
  stepOf,
  strandOf,
  type PracticeItem,
} from './index'

const add = (a: number, b: number): PracticeItem => ({ op: 'add', a, b, answer: a + b })
const subtract = (a: number, b: number): PracticeItem => ({ op: 'subtract', a, b, answer: a - b })
const missing = (part: number, whole: number): PracticeItem => ({
  op: 'missing',
  part,
  whole,
  answer: whole - part,
})

// Which fact belongs to which step: common practice, no source.
test.each<[PracticeItem, string, string]>([
  [add(2, 3), 'add', 'count-all-5'],
  [add(0, 9), 'add', 'count-all-10'],
  [add(6, 3), 'add', 'count-on-10'],
  [add(14, 3), 'add', 'count-on-20'],
  [add(8, 8), 'add', 'doubles-20'],
  [add(10, 7), 'place', 'ten-and-some'],
  [add(34, 20), 'place', 'ten-more-grid'],
  [subtract(17, 4), 'add', 'subtract-teens'],
  [subtract(20, 1), 'add', 'subtract-20'],
  [missing(60, 100), 'add', 'whole-tens-100'],
  [missing(13, 17), 'add', 'subtract-teens'],
  [add(8, 5), 'add', 'make-ten-20'],
  [{ op: 'subtract', a: 9, b: 6, answer: 3, compared: true }, 'add', 'difference-10'],
  [{ op: 'subtract', a: 15, b: 8, answer: 7, compared: true }, 'add', 'subtract-20'],
  [{ op: 'share', total: 12, among: 3, answer: 4 }, 'groups', 'share-12'],
  [{ op: 'odd-even', of: 7, answer: 1 }, 'groups', 'odd-even-10'],
  [{ op: 'groups', groups: 4, size: 5, answer: 20 }, 'groups', 'equal-groups-20'],
  [{ op: 'groups', groups: 4, size: 5, rows: true, answer: 20 }, 'groups', 'rows-25'],
  [{ op: 'part-of', of: 12, parts: 2, answer: 6 }, 'groups', 'half-20'],
  [{ op: 'part-of', of: 12, parts: 4, answer: 3 }, 'groups', 'quarter-20'],
  [add(42, 6), 'add', 'tens-ones-100'],
  [add(47, 8), 'add', 'crossing-100'],
  [add(80, 50), 'add', 'beyond-100'],
  [subtract(308, 40), 'add', 'beyond-100'],
  [missing(95, 130), 'add', 'beyond-100'],
  [add(30, 40), 'add', 'whole-tens-100'],
  [subtract(5, 2), 'add', 'take-away-5'],
  [subtract(9, 4), 'add', 'take-away-10'],
  [subtract(15, 6), 'add', 'subtract-20'],
  [subtract(52, 7), 'add', 'crossing-100'],
  [missing(3, 5), 'add', 'parts-of-5'],
  [missing(3, 8), 'add', 'missing-part-10'],
  [missing(6, 10), 'add', 'complements-10'],
  [missing(27, 46), 'add', 'complement-100'],
  [{ op: 'count', answer: 8 }, 'how-many', 'count-out-10'],
  [{ op: 'count', answer: 8, set: true }, 'how-many', 'count-set-10'],
  [{ op: 'count', answer: 14, set: true }, 'how-many', 'count-out-20'],
  [{ op: 'see', pattern: 'dice', answer: 5 }, 'how-many', 'see-5'],
  [{ op: 'see', pattern: 'dice', answer: 6 }, 'how-many', 'see-6'],
  [{ op: 'see', pattern: 'frame', answer: 5 }, 'how-many', 'see-5'],
  [{ op: 'see', pattern: 'frame', answer: 8 }, 'how-many', 'five-and-some'],
  [{ op: 'see', pattern: 'frame', answer: 14 }, 'place', 'ten-and-some'],
  [{ op: 'numeral', answer: 13 }, 'numerals', 'numerals-20'],
  [{ op: 'say', from: 18, answer: 25 }, 'count', 'count-30'],
  [{ op: 'say', from: 15, answer: 12 }, 'count-back', 'back-20'],
  [{ op: 'skip', by: 10, answer: 70 }, 'skip-tens', 'tens-100'],
  [{ op: 'skip', by: 5, answer: 35 }, 'skip-fives', 'fives-50'],
  [{ op: 'skip', by: 2, answer: 18 }, 'skip-twos', 'twos-20'],
  [{ op: 'skip', by: 3, answer: 21 }, 'skip-more', 'threes-fours'],
  [{ op: 'skip', by: 7, answer: 21 }, 'skip-more', 'sevens'],
  [{ op: 'skip', by: 8, answer: 24 }, 'skip-more', 'threes-fours'],
  [{ op: 'compare', a: 4, b: 3, ask: 'more', answer: 4 }, 'order', 'more-5'],
  [{ op: 'compare', a: 85, b: 58, ask: 'less', answer: 58 }, 'order', 'order-100'],
  [{ op: 'neighbour', of: 7, by: 1, answer: 8 }, 'order', 'one-more-10'],
  [{ op: 'neighbour', of: 34, by: 10, answer: 44 }, 'place', 'ten-more-grid'],
  [{ op: 'order', among: 5, answer: 15 }, 'order', 'order-20'],
  [{ op: 'tens', tens: 1, ones: 4, answer: 14 }, 'place', 'ten-and-some'],
  [{ op: 'tens', tens: 4, ones: 7, answer: 47 }, 'place', 'tens-ones'],
  [{ op: 'multiply', a: 7, b: 5, answer: 35 }, 'facts', 'x2-10-5'],
  [{ op: 'multiply', a: 6, b: 4, answer: 24 }, 'facts', 'x3-4'],
  [{ op: 'multiply', a: 7, b: 9, answer: 63 }, 'facts', 'x6-9'],
  [{ op: 'multiply', a: 7, b: 8, answer: 56 }, 'facts', 'x3-4'],
  [{ op: 'order', among: 5, answer: 8 }, 'order', 'order-10'],
  [{ op: 'clock', hour: 3, minute: 25, answer: 205 }, 'time', 'five-minutes'],
  [{ op: 'factor', part: 8, whole: 56, answer: 7 }, 'facts', 'missing-factor'],
  [{ op: 'clock', hour: 4, minute: 30, answer: 270 }, 'time', 'half-hour'],
  [{ op: 'pattern', unit: 'AAB', answer: 3 }, 'pattern', 'pattern-aab'],
])('%j stands at %s, %s', (item, strand, step) => {
  expect(isTrue(item)).toBe(true)
  const place = placeOf(item)
  expect(place).toEqual({ strand, step })
  expect(largestNumber(item)).toBeLessThanOrEqual(Math.max(12, stepOf(place).range.to))
})

test('whatever its numbers, an item has a place, a name of its own and a sentence that says the same', () => {
  const whole = fc.integer({ min: 0, max: 1000 })
  fc.assert(
    fc.property(whole, whole, (a, b) => {
      const [high, low] = [Math.max(a, b), Math.min(a, b)]
      const items = [add(a, b), subtract(high, low), missing(low, high)]
      expect(new Set(items.map(itemKey)).size).toBe(3)
      for (const item of items) {
        expect(hasStep(placeOf(item))).toBe(true)
        const [left, right] = sentenceOf(item).split(' = ')
        const [x, sign, y] = left.split(' ')
        expect(sign === '+' ? +x + +y : +x - +y).toBe(+right)
      }
    }),
  )
})

test('an item that is not true is told', () => {
  expect(isTrue({ op: 'add', a: 2, b: 2, answer: 5 })).toBe(false)
  expect(isTrue({ op: 'compare', a: 2, b: 9, ask: 'more', answer: 2 })).toBe(false)
  expect(isTrue({ op: 'skip', by: 7, answer: 27 })).toBe(false)
  expect(isTrue({ op: 'clock', hour: 3, minute: 75, answer: 255 })).toBe(false)
})

test('ladders climb: each step is harder than the one before, and its range no smaller', () => {
  for (const id of ['count', 'order', 'add', 'place', 'facts'] as const) {
    const { steps } = strandOf(id)
    steps.forEach((step, index) => {
      if (index > 0) expect(step.difficulty).toBeGreaterThan(steps[index - 1].difficulty)
      for (const mark of Object.values(step.marks)) expect(mark).toMatch(/[.?]$/)
    })
  }
})
