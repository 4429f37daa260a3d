import type { Figures } from './context'
import { likingOf, noHabits } from './habits'
import { atPace } from './paced'

/** A game that ends evenly between the fourth and the fourteenth minute. */
const even: Figures = {
  around: () => 0,
  profile: () => [],
  marked: () => [],
  finish: (_game, _level, _players, minutes) => Math.min(1, Math.max(0, (minutes - 4) / 10)),
  usualMinutes: () => 9,
}

test.each([
  [1, 12, 0.8, 9],
  // Twice as slow: twelve minutes are as good as six.
  [2, 12, 0.2, 18],
  [0.8, 12, 1, 7.2],
  // Seven and a half minutes: half-way between seven and eight.
  [1.6, 12, 0.35, 14.4],
])('at a pace of %f a slot of %i minutes ends %f of the games', (factor, slot, share, usual) => {
  const paced = atPace(even, factor)
  expect(paced.finish('g', 'l', 2, slot)).toBeCloseTo(share, 12)
  expect(paced.usualMinutes('g', 'l', 2)).toBeCloseTo(usual, 12)
})

test('where time ends the game, pace ends nothing', () => {
  const timed: Figures = { ...even, finish: () => null, usualMinutes: () => null }
  expect(atPace(timed, 1.5).finish('g', 'l', 2, 12)).toBeNull()
  expect(atPace(timed, 1.5).usualMinutes('g', 'l', 2)).toBeNull()
})

test('a game nobody spoke of stands in the middle; three who liked it of three weigh more than one of one', () => {
  const habits = {
    ...noHabits,
    liked: { a: { liked: 1, of: 1 }, b: { liked: 3, of: 3 }, c: { liked: 0, of: 2 } },
  }
  const [none, one, three, two] = ['none', 'a', 'b', 'c'].map((id) => likingOf(habits, id))
  expect(none).toBe(0.5)
  expect([one, three, two]).toEqual([2 / 3, 0.8, 0.25])
})
