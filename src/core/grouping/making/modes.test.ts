import { seededChance, unit } from '../../chance/chance'
import { groupInputSchema, problemOf } from './make-groups'
import { mixGroups } from './mixed'
import { pairUp } from './pairs'
import { ContradictoryLimits } from '../problem/units'

function classOf(abilities: readonly number[], change: object) {
  const input = groupInputSchema.parse({
    children: abilities.map((ability, i) => ({ id: `c${i}`, ability })),
    levels: [0, 2, 4, 6].map((difficulty) => ({ id: `l${difficulty}`, difficulty })),
    ...change,
  })
  return problemOf(input)
}

const spread = (seed: number, n: number) => {
  const chance = seededChance(seed)
  return Array.from({ length: n }, () => 8 * unit(chance))
}

describe('mixed groups', () => {
  test('of 26 children the means of five groups come together: under one thousandth of the spread lies between them', () => {
    for (const seed of [1, 2, 3]) {
      const abilities = spread(seed, 26)
      const { groups, between } = mixGroups(
        classOf(abilities, { groups: { count: 5, min: 5, max: 6 } }),
        abilities,
      )
      expect(groups.flatMap(({ children }) => children).sort((a, b) => a - b)).toEqual(
        abilities.map((_, i) => i),
      )
      expect(groups.map(({ children }) => children.length).sort()).toEqual([5, 5, 5, 5, 6])
      expect(between).toBeLessThan(0.001)
      const means = groups.map(
        ({ children }) => children.reduce((sum, i) => sum + abilities[i], 0) / children.length,
      )
      expect(Math.max(...means) - Math.min(...means)).toBeLessThan(0.3)
    }
  })

  test('every child gets the level that suits it, within the same group', () => {
    const abilities = [1.4, 3.4, 5.4, 7.4, 1.5, 3.5, 5.5, 7.5]
    const { groups } = mixGroups(classOf(abilities, { groups: { count: 2, min: 4, max: 4 } }), abilities)
    for (const { children, levels } of groups)
      children.forEach((child, i) => expect(levels[i]).toBe(Math.floor(abilities[child] / 2)))
  })

  test('the share between groups equals the least of all groupings, for small classes', () => {
    for (const seed of [5, 6, 7, 8]) {
      const abilities = spread(seed, 8)
      const mean = abilities.reduce((a, b) => a + b, 0) / 8
      const total = abilities.reduce((sum, ability) => sum + (ability - mean) ** 2, 0)
      let least = Infinity
      for (let mask = 0; mask < 256; mask++) {
        const parts = [0, 1].map((side) => abilities.filter((_, i) => ((mask >> i) & 1) === side))
        if (parts[0].length !== 4) continue
        const squares = parts.map((part) => 4 * (part.reduce((a, b) => a + b, 0) / 4 - mean) ** 2)
        least = Math.min(least, (squares[0] + squares[1]) / total)
      }
      const { between } = mixGroups(classOf(abilities, { groups: { count: 2, min: 4, max: 4 } }), abilities)
      expect(between).toBeCloseTo(least, 9)
    }
  })

  test('limits are kept, and a clash is told', () => {
    const abilities = spread(9, 12)
    const limits = {
      groups: { count: 3, min: 3, max: 5 },
      together: [['c0', 'c1']],
      apart: [['c2', 'c3']],
      locked: { c4: 2 },
    }
    const { groups } = mixGroups(classOf(abilities, limits), abilities)
    const of = (child: number) => groups.findIndex(({ children }) => children.includes(child))
    expect(of(0)).toBe(of(1))
    expect(of(2)).not.toBe(of(3))
    expect(of(4)).toBe(2)
    const four = ['c0', 'c1', 'c2', 'c3']
    const apart = four.flatMap((a, i) => four.slice(i + 1).map((b) => [a, b]))
    expect(() => mixGroups(classOf(abilities, { ...limits, together: [], apart }), abilities)).toThrow(
      ContradictoryLimits,
    )
  })
})

describe('pairs within reach', () => {
  /** The least cost of all ways to pair up, three together where the number is odd. */
  function leastCost(abilities: readonly number[], met: Float64Array): number {
    const n = abilities.length
    const pair = (a: number, b: number) =>
      10 * Math.max(0, Math.abs(abilities[a] - abilities[b]) - 1) ** 2 +
      met[Math.min(a, b) * n + Math.max(a, b)]
    const best = (left: number[], trio: boolean): number => {
      if (left.length === 0) return 0
      const [a, ...rest] = left
      let least = Infinity
      rest.forEach((b, i) => {
        least = Math.min(
          least,
          pair(a, b) +
            best(
              rest.filter((_, k) => k !== i),
              trio,
            ),
        )
        if (trio)
          rest.slice(i + 1).forEach((c) => {
            const others = rest.filter((child) => child !== b && child !== c)
            least = Math.min(least, pair(a, b) + pair(a, c) + pair(b, c) + best(others, false))
          })
      })
      return least
    }
    return best(
      abilities.map((_, i) => i),
      n % 2 === 1,
    )
  }

  test('cost the least of all ways to pair up, for 40 small classes', () => {
    const chance = seededChance(31)
    for (let round = 0; round < 40; round++) {
      const n = chance.int(4, 9)
      const abilities = Array.from({ length: n }, () => 4 * unit(chance))
      const met = Float64Array.from({ length: n * n }, () => Math.max(0, chance.int(-2, 2)))
      const { pairs, cost } = pairUp(abilities, met, round)
      expect(pairs.flat().sort((a, b) => a - b)).toEqual(abilities.map((_, i) => i))
      expect(pairs.filter((set) => set.length !== 2)).toHaveLength(n % 2)
      expect(cost).toBeCloseTo(leastCost(abilities, met), 9)
    }
  })

  test('a class of 26 over five weeks: partners within a logit, and new ones but for a few at the ends', () => {
    const abilities = spread(4, 26)
    const met = new Float64Array(26 * 26)
    for (let week = 0; week < 5; week++) {
      const { pairs } = pairUp(abilities, met, week)
      for (const [a, b] of pairs) {
        // A new partner a little beyond a logit costs less than the same one again.
        expect(Math.abs(abilities[a] - abilities[b])).toBeLessThan(1.5)
        met[a * 26 + b]++
      }
    }
    const again = met.reduce((sum, meetings) => sum + Math.max(0, meetings - 1), 0)
    // Without heed to meetings before, the same thirteen pairs would meet again 52 times.
    expect(again).toBeLessThanOrEqual(8)
  })
})
