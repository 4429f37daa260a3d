import { seededChance } from '../../chance/chance'
import { everyRegrouping } from '../regrouping/by-move-price'
import { fitCost, inBand } from '../problem/fit-cost'
import { makeGroups, presentGrouping, problemOf } from './make-groups'
import { matchGroups } from './keep-group-names'
import type { Grouping, GroupingProblem } from '../problem/problem'
import { optimum, randomClass } from '../testing/integer-model'
import { ContradictoryLimits } from '../problem/units'
import { rounds } from '../../testing/rounds'

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
        adultNear: ['c7', 'c8'],
        withAdult: [0, 2],
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

test(`limits are never broken in ${rounds(10_000)} random classes, and clashes are told`, () => {
  const chance = seededChance(12)
  let clashes = 0
  for (let round = 0; round < rounds(10_000); round++) {
    const children = chance.int(5, 16)
    const count = chance.int(2, 4)
    const name = () => `c${chance.int(0, children - 1)}`
    const pairs = (most: number) =>
      Array.from({ length: chance.int(0, most) }, () => [name(), name()]).filter(([a, b]) => a !== b)
    const input = randomClass(round, children, {
      groups: {
        count,
        min: Math.max(1, Math.floor(children / count) - chance.int(0, 2)),
        max: Math.ceil(children / count) + chance.int(0, 2),
      },
      apart: pairs(4),
      together: pairs(2),
      adultNear: Array.from({ length: chance.int(0, 2) }, name),
      withAdult: [chance.int(0, count - 1), 0],
      locked: chance.int(0, 1) ? { [name()]: chance.int(0, count - 1) } : {},
      current: chance.int(0, 1) ? { [name()]: chance.int(0, count - 1) } : null,
      moveCost: chance.int(0, 1) * 0.3,
      milliseconds: 1,
    })
    let made: Grouping
    try {
      made = makeGroups(problemOf(input))
    } catch (error) {
      if (!(error instanceof ContradictoryLimits)) throw error
      clashes++
      continue
    }
    const broken = brokenLimits(input, made)
    if (broken.length > 0) throw new Error(`Class ${round}: ${broken.join(', ')}.`)
  }
  expect(clashes).toBeGreaterThan(rounds(100))
  expect(clashes).toBeLessThan(rounds(5000))
})

/** Limits that groups break, by looking at the groups alone. */
function brokenLimits({ children, groups, ...limits }: ReturnType<typeof randomClass>, made: Grouping) {
  const groupOf = new Map(
    made.groups.flatMap((group, g) => group.children.map((child) => [children[child].id, g] as const)),
  )
  const broken: string[] = []
  const check = (holds: boolean, what: string) => void (holds || broken.push(what))
  const sizes = made.groups.map((group) => group.children.length)
  check(
    groupOf.size === children.length && sizes.reduce((a, b) => a + b) === children.length,
    'everybody once',
  )
  check(made.groups.length === groups.count, 'number of groups')
  check(
    sizes.every((size) => size >= groups.min && size <= groups.max),
    'sizes',
  )
  for (const [a, b] of limits.apart) check(groupOf.get(a) !== groupOf.get(b), 'apart')
  for (const [a, b] of limits.together) check(groupOf.get(a) === groupOf.get(b), 'together')
  for (const [child, group] of Object.entries(limits.locked)) check(groupOf.get(child) === group, 'locked')
  for (const child of limits.adultNear) check(limits.withAdult.includes(groupOf.get(child)!), 'an adult near')
  return broken
}

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
  expect(kinds({ adultNear: ['c0'], withAdult: [1], locked: { c0: 0 } })).toEqual(['locked-without-adult'])
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

test('the curve of moves: every count of a few, and none worse than no move', () => {
  const problem = problemOf(randomClass(8, 12, { groups: { count: 3, min: 3, max: 5 } }))
  const current = Object.fromEntries(problem.children.map((id, i) => [id, i % 3]))
  const present = [0, 1, 2].map((g) => ({
    level: 0,
    children: problem.children.flatMap((_, i) => (i % 3 === g ? [i] : [])),
  }))
  const limited = { ...problem, limits: { ...problem.limits, current } }
  const moves = everyRegrouping(limited, present)
  const counts = new Set(moves.map(({ moved }) => moved.length))
  for (const count of [1, 2, 3, 4, 5, 6]) expect(counts).toContain(count)
  const least = Math.min(...moves.map(({ cost }) => cost))
  expect(least).toBeLessThan(
    presentGrouping(
      limited,
      present.map(({ children }) => children),
      [0, 0, 0],
    ).cost,
  )
  expect(least).toBeGreaterThanOrEqual(makeGroups(problem).lowerBound - 1e-9)
})
