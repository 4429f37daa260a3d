import { seededChance, unit } from '../../chance/chance'
import { rotate } from '../rotation'
import { bestRound } from './who-begins-where'

const costOf = (cost: number[][], order: readonly number[], slots: number) =>
  rotate(cost.length, cost[0].length, slots).reduce(
    (sum, { group, station }) => sum + cost[group][order[station]],
    0,
  )

test('what does not suit a group is left out where the session is shorter than the round', () => {
  // Group 0 can't play at station 1, group 1 not at station 2, group 2 not at station 0; two slots of three.
  const cost = [
    [0, 9, 0],
    [0, 0, 9],
    [9, 0, 0],
  ]
  const order = bestRound(cost, 2)
  expect(costOf(cost, order, 2)).toBe(0)
})

test('where nothing speaks for another order, stations are walked round as they are listed', () => {
  expect(bestRound([[1, 1, 1, 1]], 2)).toEqual([0, 1, 2, 3])
  expect(bestRound([], 2)).toEqual([])
})

test('no order costs less: tried at random', () => {
  const chance = seededChance(3)
  for (let seed = 0; seed < 20; seed++) {
    const stations = chance.int(2, 6)
    const cost = Array.from({ length: chance.int(1, 8) }, () =>
      Array.from({ length: stations }, () => unit(chance)),
    )
    const slots = Math.min(3, stations)
    const least = costOf(cost, bestRound(cost, slots), slots)
    for (let i = 0; i < 100; i++) {
      const order = Array.from({ length: stations }, (_, s) => s).sort(() => unit(chance) - 0.5)
      expect(costOf(cost, order, slots)).toBeGreaterThanOrEqual(least - 1e-9)
    }
  }
})
