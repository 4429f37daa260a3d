import { seededChance, type Chance } from '../../chance/chance'
import { clashOf } from './contradiction'
import { feasibleGroups } from './feasible'
import { groupInputSchema, makeGroups, problemOf } from '../making/make-groups'
import type { GroupingProblem } from './problem'
import { ContradictoryLimits, unitsOf, type Limit } from './units'
import { rounds } from '../../testing/rounds'

const classOf = (children: number, change: object) =>
  problemOf(
    groupInputSchema.parse({
      children: Array.from({ length: children }, (_, i) => ({ id: `c${i}`, ability: i })),
      levels: [{ id: 'l', difficulty: 0 }],
      ...change,
    }),
  )

/** Whether some assignment of every child keeps the limits, by going through all of them. */
function possible(children: number, count: number, limits: readonly Limit[]): boolean {
  const group = new Array<number>(children).fill(0)
  const of = (id: string) => group[Number(id.slice(1))]
  const kept = () =>
    limits.every((limit) => {
      switch (limit.kind) {
        case 'apart':
          return new Set(limit.children.map(of)).size === limit.children.length
        case 'together':
          return new Set(limit.children.map(of)).size === 1
        case 'locked':
          return of(limit.child) === limit.group
        case 'adult-near':
          return of(limit.child) === 0
        case 'sizes':
          return Array.from({ length: count }, (_, g) => group.filter((own) => own === g).length).every(
            (size) => size >= limit.min && size <= limit.max,
          )
      }
    })
  for (let all = 0; all < count ** children; all++) {
    for (let child = 0, rest = all; child < children; child++, rest = Math.floor(rest / count))
      group[child] = rest % count
    if (kept()) return true
  }
  return false
}

function randomProblem(chance: Chance): GroupingProblem {
  const two = () => {
    const a = chance.int(0, 5)
    return [`c${a}`, `c${(a + chance.int(1, 5)) % 6}`]
  }
  const some = (most: number) => Array.from({ length: chance.int(0, most) }, two)
  return classOf(6, {
    groups: { count: 3, min: 1, max: chance.int(2, 3) },
    apart: some(5),
    together: some(2),
    adultNear: Array.from({ length: chance.int(0, 3) }, (_, i) => `c${i + 1}`),
    locked: Object.fromEntries(
      Array.from({ length: chance.int(0, 2) }, (_, i) => [`c${i}`, chance.int(0, 2)]),
    ),
  })
}

test('a clash is told exactly where nothing is possible; none of it can be spared, and no fewer can be dropped', () => {
  const chance = seededChance(4)
  let clashes = 0
  for (let round = 0; round < 150; round++) {
    const problem = randomProblem(chance)
    const { limits } = problem
    const all: Limit[] = [
      ...limits.apart.map((children): Limit => ({ kind: 'apart', children })),
      ...limits.together.map((children): Limit => ({ kind: 'together', children })),
      ...Object.entries(limits.locked).map(([child, group]): Limit => ({ kind: 'locked', child, group })),
      ...limits.adultNear.map((child): Limit => ({ kind: 'adult-near', child })),
      { kind: 'sizes', ...limits.groups },
    ]
    const clash = clashOf(problem)
    expect(clash === null).toBe(possible(6, 3, all))
    if (!clash) continue
    clashes++
    expect(possible(6, 3, clash.limits)).toBe(false)
    for (const spared of clash.limits)
      expect(
        possible(
          6,
          3,
          clash.limits.filter((limit) => limit !== spared),
        ),
      ).toBe(true)
    const without = (dropped: readonly Limit[]) =>
      all.filter((limit) => !dropped.some((gone) => JSON.stringify(gone) === JSON.stringify(limit)))
    expect(possible(6, 3, without(clash.drop))).toBe(true)
    if (clash.drop.length === 2)
      for (const one of all)
        expect(
          possible(
            6,
            3,
            all.filter((limit) => limit !== one),
          ),
        ).toBe(false)
  }
  expect(clashes).toBeGreaterThan(20)
})

test(`trying finds groups in ${rounds(10_000)} random classes, or there are none, and never breaks a limit`, () => {
  const chance = seededChance(10)
  let none = 0
  for (let round = 0; round < rounds(10_000); round++) {
    const children = chance.int(4, 30)
    const count = chance.int(2, 6)
    const min = Math.max(1, Math.floor(children / count) - chance.int(0, 2))
    const max = Math.ceil(children / count) + chance.int(0, 2)
    const members = Array.from({ length: children }, (_, i) => [i])
    const apart = members.map(() => new Set<number>())
    for (let pair = chance.int(0, 12); pair > 0; pair--) {
      const [a, b] = [chance.int(0, children - 1), chance.int(0, children - 1)]
      if (a === b) continue
      apart[a].add(b)
      apart[b].add(a)
    }
    const open = Int32Array.from(members, () =>
      chance.int(1, 5) === 1 ? chance.int(1, 2 ** count - 1) : 2 ** count - 1,
    )
    const found = feasibleGroups({ members, apart, open }, { count, min, max })
    expect(found).not.toBe('unknown')
    if (found === null || found === 'unknown') {
      none++
      continue
    }
    const sizes = Array.from({ length: count }, (_, g) => found.filter((own) => own === g).length)
    if (Math.min(...sizes) < min || Math.max(...sizes) > max) throw new Error('A size is broken.')
    open.forEach((mask, unit) => {
      if (!(mask & (1 << found[unit]))) throw new Error('A unit stands where it may not.')
    })
    apart.forEach((others, unit) => {
      for (const other of others) if (found[unit] === found[other]) throw new Error('Two are not apart.')
    })
  }
  expect(none).toBeGreaterThan(0)
  expect(none).toBeLessThan(rounds(5000))
})

test('four who are all to be apart do not fit into three groups: one of the six links can be dropped', () => {
  const four = ['c0', 'c1', 'c2', 'c3']
  const apart = four.flatMap((a, i) => four.slice(i + 1).map((b) => [a, b]))
  const problem = classOf(9, { groups: { count: 3, min: 2, max: 4 }, apart })
  let told: unknown
  try {
    makeGroups(problem)
  } catch (error) {
    told = error
  }
  expect(told).toBeInstanceOf(ContradictoryLimits)
  const { contradictions, clash } = told as ContradictoryLimits
  expect(contradictions).toEqual([{ kind: 'together-impossible' }])
  expect(clash!.limits).toHaveLength(6)
  expect(clash!.drop).toEqual([{ kind: 'apart', children: ['c0', 'c1'] }])
  expect(
    feasibleGroups(unitsOf({ ...problem, limits: { ...problem.limits, apart: apart.slice(1) } }), {
      count: 3,
      min: 2,
      max: 4,
    }),
  ).not.toBeNull()
})
