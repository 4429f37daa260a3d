import { seededChance, unit } from '../../chance/chance'
import { logistic } from '../../evidence/observation'
import { regroupFor, regroupInputSchema } from './regroup-input'

/** Nine children in three groups, dealt without regard to what they can do. */
function dealt(seed: number, moves = 3) {
  const chance = seededChance(seed)
  const children = Array.from({ length: 9 }, (_, i) => ({ id: `c${i}`, ability: 6 * unit(chance) }))
  const levels = [0, 1.5, 3].map((difficulty) => ({ id: `l${difficulty}`, difficulty }))
  return {
    children,
    levels,
    groups: { count: 3, min: 2, max: 4 },
    current: Object.fromEntries(children.map(({ id }, i) => [id, i % 3])),
    levelsNow: levels.map(({ id }) => id),
    moves,
  }
}

test('every child whose predicted success changes is named, with what it was and will be; no more move than allowed', () => {
  let named = 0
  for (let seed = 1; seed <= 25; seed++) {
    const input = dealt(seed, seed % 4)
    const { groups, moved, better, worse } = regroupFor(regroupInputSchema.parse(input))
    expect(moved.length).toBeLessThanOrEqual(input.moves)
    expect(groups.flatMap(({ children }) => children).sort()).toEqual(
      input.children.map(({ id }) => id).sort(),
    )
    const told = new Map([...better, ...worse].map((one) => [one.id, one]))
    expect(told.size).toBe(better.length + worse.length)
    for (const { id, ability } of input.children) {
      const at = (level: string) =>
        logistic(ability - input.levels.find((one) => one.id === level)!.difficulty)
      const before = at(input.levelsNow[input.current[id]])
      const after = at(groups.find(({ children }) => children.includes(id))!.level)
      if (before === after) expect(told.has(id)).toBe(false)
      else expect(told.get(id)).toEqual({ id, before, after })
      const staysInGroup = groups[input.current[id]].children.includes(id)
      expect(moved.includes(id)).toBe(!staysInGroup)
    }
    named += told.size
  }
  expect(named).toBeGreaterThan(25)
})

test('a level that is not there and a child without a group are refused by their fields', () => {
  const paths = (change: object) =>
    regroupInputSchema.safeParse({ ...dealt(1), ...change }).error!.issues.map(({ path }) => path.join('.'))
  expect(paths({ levelsNow: ['l0', 'l1.5', 'l9'] })).toEqual(['levelsNow.2'])
  expect(paths({ levelsNow: ['l0'] })).toEqual(['levelsNow'])
  expect(paths({ current: { c0: 0 } })).toContain('current.c1')
})
