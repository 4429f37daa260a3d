import { gamesThatFit } from './short'

test('a game under a third of its time is short, and about so many fit as its usual length goes into it', () => {
  expect(gamesThatFit(4, 12)).toBeNull()
  expect(gamesThatFit(2, 11)).toBe(6)
  expect(gamesThatFit(3.9, 12)).toBe(3)
})
