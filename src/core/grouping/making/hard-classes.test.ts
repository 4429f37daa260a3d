import { seededChance, unit } from '../../chance/chance'
import { optimum } from '../testing/integer-model'
import { unitsOf } from '../problem/units'
import { moveCosts, openToChildren } from './at-levels'
import { LevelChoices } from './level-choices'
import { groupInputSchema, makeGroups, problemOf } from './make-groups'

/** A class whose groups stand any way, with many levels and a price on every move: the hardest kind met. */
function hardClass(seed: number, { children = 12, count = 4, levels = 8, spread = 0 } = {}) {
  const chance = seededChance(seed)
  return problemOf(
    groupInputSchema.parse({
      children: Array.from({ length: children }, (_, i) => ({ id: `c${i}`, ability: 8 * unit(chance) })),
      levels: Array.from({ length: levels }, (_, i) => ({ id: `l${i}`, difficulty: i })),
      groups: {
        count,
        min: Math.floor(children / count) - spread,
        max: Math.ceil(children / count) + spread,
      },
      current: Object.fromEntries(
        Array.from({ length: children }, (_, i) => [`c${i}`, chance.int(0, count - 1)]),
      ),
      moveCost: 0.25,
      seed,
    }),
  )
}

test('groups with a price on moves cost what an independent solver proves to be least', async () => {
  for (let seed = 1; seed <= 3; seed++) {
    const problem = hardClass(seed)
    const made = makeGroups(problem)
    const best = await optimum(problem)
    expect(Math.abs(made.cost - best)).toBeLessThan(1e-6)
    expect(made.lowerBound).toBeLessThanOrEqual(best + 1e-6)
  }
}, 120_000)

test('a class too large for the proof still comes to what an independent solver proves to be least', async () => {
  const problem = hardClass(1, { children: 45, count: 12, levels: 10, spread: 1 })
  const made = makeGroups(problem)
  expect(made.lowerBound).toBeLessThan(made.cost - 0.1)
  expect(made.cost - (await optimum(problem))).toBeLessThan(1e-6)
}, 120_000)

test('a bound that can’t be closed still says something: more than each child at its own best level', () => {
  const problem = hardClass(7, { children: 30, count: 5, levels: 8 })
  const made = makeGroups(problem)
  expect(made.lowerBound).toBeGreaterThan(0.5 * made.cost)
  expect(made.lowerBound).toBeLessThanOrEqual(made.cost)
})

describe('choices of levels', () => {
  const choicesOf = (problem: ReturnType<typeof hardClass>, most: number) => {
    const units = unitsOf(problem)
    const masks = openToChildren(units, problem.children.length)
    return new LevelChoices(problem, units, moveCosts(problem), masks, most)
  }

  test('come cheapest first, every one once', () => {
    const problem = hardClass(2, { children: 6, count: 3, levels: 4 })
    const choices = choicesOf(problem, 1e6)
    const seen = new Set<string>()
    let last = -Infinity
    for (let next = choices.next(); next; next = choices.next()) {
      expect(next.bound).toBeGreaterThanOrEqual(last - 1e-12)
      last = next.bound
      seen.add(next.chosen.join())
    }
    expect(seen.size).toBe(4 ** 3)
    expect(choices.bound).toBe(Infinity)
  })

  test('given up, the bound holds for all that were not looked at', () => {
    const problem = hardClass(2, { children: 6, count: 3, levels: 4 })
    const few = choicesOf(problem, 20)
    const taken: number[] = []
    for (let next = few.next(); next; next = few.next()) taken.push(next.bound)
    const all = choicesOf(problem, 1e6)
    const bounds: number[] = []
    for (let next = all.next(); next; next = all.next()) bounds.push(next.bound)
    expect(taken.length).toBeLessThan(bounds.length)
    expect(few.bound).toBeLessThanOrEqual(bounds[taken.length] + 1e-12)
    expect(few.bound).toBeGreaterThan(0)
  })
})
