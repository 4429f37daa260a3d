import fc from 'fast-check'
import { fitByNumberOfGroups, regroup } from './curves'
import { fitCost, inBand } from './fit-cost'
import { makeGroups, problemOf } from './group'
import { matchGroups } from './identity'
import { fittingAtOneLevel, type Grouping, type GroupingProblem } from './problem'
import { optimum, randomClass } from './testing/integer-model'
import { ContradictoryLimits } from './units'

function costOf(problem: GroupingProblem, { groups, moved }: Grouping): number {
  const fit = groups.reduce(
    (sum, { level, children }) => sum + children.reduce((s, child) => s + problem.cost[child][level], 0),
    0,
  )
  return fit + problem.limits.moveCost * moved.length
}

describe('equal to HiGHS on small random classes', () => {
  test.each([1, 2, 3, 4, 5, 6])(
    'sizes alone, class %i: the dynamic programme proves the optimum',
    async (seed) => {
      const problem = problemOf(randomClass(seed, 9))
      const made = makeGroups(problem)
      const best = await optimum(problem)
      expect(made.cost).toBeCloseTo(best, 6)
      expect(made.lowerBound).toBeCloseTo(made.cost, 9)
    },
  )

  test.each([11, 12, 13, 14, 15, 16])('with links, a lock and moves that cost, class %i', async (seed) => {
    const problem = problemOf(
      randomClass(seed, 9, {
        together: [['c0', 'c1']],
        apart: [
          ['c2', 'c3'],
          ['c4', 'c5'],
        ],
        locked: { c6: 1 },
        current: Object.fromEntries(Array.from({ length: 9 }, (_, i) => [`c${i}`, i % 3])),
        moveCost: 0.3,
        milliseconds: 200,
      }),
    )
    const made = makeGroups(problem)
    expect(made.cost).toBeCloseTo(costOf(problem, made), 9)
    expect(made.cost).toBeCloseTo(await optimum(problem), 6)
    // Small classes are proved: the bound meets the cost.
    expect(made.lowerBound).toBeCloseTo(made.cost, 9)
  })
})

test('limits are never broken', () => {
  const arbitrary = fc.record({
    seed: fc.integer({ min: 0, max: 10_000 }),
    children: fc.integer({ min: 6, max: 20 }),
    count: fc.integer({ min: 2, max: 5 }),
    pairs: fc.array(fc.tuple(fc.nat(19), fc.nat(19), fc.boolean()), { maxLength: 5 }),
    lock: fc.nat(4),
  })
  fc.assert(
    fc.property(arbitrary, ({ seed, children, count, pairs, lock }) => {
      const inside = pairs.filter(([a, b]) => a !== b && a < children && b < children)
      const names = (apart: boolean) =>
        inside.filter(([, , kind]) => kind === apart).map(([a, b]) => [`c${a}`, `c${b}`])
      const groups = {
        count,
        min: Math.max(1, Math.floor(children / count) - 1),
        max: Math.ceil(children / count) + 1,
      }
      const input = randomClass(seed, children, {
        groups,
        apart: names(true),
        together: names(false),
        locked: { c0: Math.min(lock, count - 1) },
        milliseconds: 30,
      })
      let made: Grouping
      try {
        made = makeGroups(problemOf(input))
      } catch (error) {
        expect(error).toBeInstanceOf(ContradictoryLimits)
        return
      }
      const groupOf = (id: string) =>
        made.groups.findIndex((group) => group.children.includes(Number(id.slice(1))))
      expect(made.groups.flatMap((group) => group.children).sort((a, b) => a - b)).toEqual(
        Array.from({ length: children }, (_, i) => i),
      )
      for (const { children: members } of made.groups) {
        expect(members.length).toBeGreaterThanOrEqual(groups.min)
        expect(members.length).toBeLessThanOrEqual(groups.max)
      }
      for (const [a, b] of input.apart) expect(groupOf(a)).not.toBe(groupOf(b))
      for (const [a, b] of input.together) expect(groupOf(a)).toBe(groupOf(b))
      expect(groupOf('c0')).toBe(Math.min(lock, count - 1))
    }),
    { numRuns: 80 },
  )
})

test('equal input and seed give equal groups', () => {
  const input = randomClass(3, 12, { apart: [['c1', 'c2']], milliseconds: 60 })
  expect(makeGroups(problemOf(input))).toEqual(makeGroups(problemOf(input)))
})

test('contradictions are told by kind', () => {
  const kinds = (change: object) => {
    try {
      makeGroups(problemOf(randomClass(1, 9, change)))
      return []
    } catch (error) {
      return (error as ContradictoryLimits).contradictions.map(({ kind }) => kind)
    }
  }
  expect(kinds({ together: [['c0', 'c1']], apart: [['c1', 'c0']] })).toEqual(['together-and-apart'])
  expect(kinds({ groups: { count: 2, min: 1, max: 3 } })).toEqual(['sizes'])
  expect(kinds({ apart: [['c0', 'c1']], locked: { c0: 0, c1: 0 } })).toEqual(['locked-apart-in-one-group'])
  expect(kinds({ together: [['c0', 'c1', 'c2', 'c3', 'c4']] })).toEqual(['too-many-kept-together'])
  expect(kinds({ apart: [['c0', 'nobody']] })).toContain('unknown-child')
})

test('cost: nothing inside the band, too hard half as much again as too easy at the same distance', () => {
  const band = [0.7, 0.9] as const
  const logistic = (z: number) => 1 / (1 + Math.exp(-z))
  const edge = (p: number) => Math.log(p / (1 - p))
  expect(fitCost(0.8, band)).toBe(0)
  expect(fitCost(logistic(edge(0.9) + 1), band)).toBeCloseTo(1, 9)
  expect(fitCost(logistic(edge(0.7) - 1), band)).toBeCloseTo(1.5, 9)
  expect([0.69, 0.7, 0.9, 0.91].map((p) => inBand(p, band))).toEqual([false, true, true, false])
})

test('groups keep their names by the largest overlap', () => {
  expect(
    matchGroups([
      [0, 3, 1],
      [4, 0, 0],
      [1, 1, 3],
    ]),
  ).toEqual([1, 0, 2])
})

test('the curves: more groups and more moves, each no worse than one level and no move', () => {
  const problem = problemOf(randomClass(8, 12, { groups: { count: 3, min: 3, max: 5 } }))
  const byNumber = fitByNumberOfGroups(problem, [1, 2, 3, 4])
  expect(byNumber.map(({ groups }) => groups)).toEqual([1, 2, 3, 4])
  expect(byNumber[0].fitting).toBeLessThanOrEqual(fittingAtOneLevel(problem).fitting)
  const current = Object.fromEntries(problem.children.map((id, i) => [id, i % 3]))
  const moves = [...regroup({ ...problem, limits: { ...problem.limits, current } })].at(-1)!
  const counts = moves.map(({ moved }) => moved.length)
  expect(counts).toEqual([...counts].sort((a, b) => a - b))
  const costs = moves.map(({ cost }) => cost)
  expect(costs).toEqual([...costs].sort((a, b) => b - a))
})
