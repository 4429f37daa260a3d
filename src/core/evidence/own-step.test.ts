import { isKnown, ownStep, type Standing } from './own-step'
import type { Seen } from './seen'

const marks = (...list: [day: number, step: number][]): Seen[] =>
  list.map(([day, step]) => ({ day, step, judged: 'own' }))
const standing = (change: Partial<Standing>): Standing => ({
  seen: [],
  secure: [0.9, 0.5, 0.2, 0.1],
  struggling: [0, 0.2, 0.6, 0.9],
  workingStep: 2,
  plays: null,
  observations: 3,
  sd: 0.8,
  daysSince: 1,
  ...change,
})

test('a child works at the step most of its latest marks are at, whatever its group plays', () => {
  expect(ownStep(standing({ seen: marks([1, 1], [1, 1], [2, 1], [2, 2]), plays: 0 }))).toBe(1)
  // Of two days: what was marked before says nothing of now.
  expect(ownStep(standing({ seen: marks([1, 3], [1, 3], [1, 3], [2, 1], [3, 1]) }))).toBe(1)
})

test('of two steps alike it works at the one nearer to its estimate, the harder of two as near', () => {
  const seen = marks([2, 1], [3, 3])
  expect(ownStep(standing({ seen, workingStep: 0 }))).toBe(1)
  expect(ownStep(standing({ seen, workingStep: 2 }))).toBe(3)
  expect(ownStep(standing({ seen: marks([2, 1], [3, 3], [3, 3]), workingStep: 0 }))).toBe(3)
})

test('one that has moved on works at the step of its new level; one moved back, where it was marked', () => {
  const secureAt1 = [1, 0.85, 0.2, 0.1]
  const seen = marks([1, 1], [2, 1])
  expect(ownStep(standing({ seen, secure: secureAt1, plays: 2 }))).toBe(2)
  expect(ownStep(standing({ seen, plays: 2 }))).toBe(1)
  expect(ownStep(standing({ seen, plays: 0 }))).toBe(1)
})

test('without a mark: the step of its level, else the one its estimate puts it at', () => {
  expect(ownStep(standing({ plays: 1 }))).toBe(1)
  expect(ownStep(standing({}))).toBe(2)
})

test('known is who was seen, and narrowly enough', () => {
  expect(isKnown({ observations: 0, sd: 0.5 })).toBe(false)
  expect(isKnown({ observations: 1, sd: 1.3 })).toBe(false)
  expect(isKnown({ observations: 1, sd: 1.2 })).toBe(true)
})
