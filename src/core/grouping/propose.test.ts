import { seededChance, unit } from '../chance/chance'
import { inBand } from './fit-cost'
import type { GroupingMode } from './mode'
import { propose, type Proposal } from './propose'
import { evenSizes, requestFor, type ClassFit, type Link } from './request'

/** A class of `n` with abilities spread over eight logits, and four levels two logits apart. */
function classOf(n: number, seed = 1): { ids: string[]; fit: ClassFit } {
  const chance = seededChance(seed)
  const ids = Array.from({ length: n }, (_, i) => `c${i}`)
  const abilities = Object.fromEntries(ids.map((id) => [id, 8 * unit(chance)]))
  const levels = [0, 2, 4, 6].map((difficulty) => ({ id: `l${difficulty}`, title: `level ${difficulty}` }))
  const success = Object.fromEntries(
    ids.map((id) => [id, [0, 2, 4, 6].map((difficulty) => 1 / (1 + Math.exp(difficulty - abilities[id])))]),
  )
  return { ids, fit: { levels, success, abilities } }
}

function made(
  { ids, fit }: ReturnType<typeof classOf>,
  mode: GroupingMode,
  {
    links = [],
    met,
    ...limits
  }: { links?: Link[]; met?: string[][]; adultNear?: string[]; withAdult?: number[]; groups?: number } = {},
): Proposal {
  const sizes = evenSizes(ids.length, limits.groups ?? 4)
  const run = propose(requestFor(ids, fit, { mode, links, met, sizes, ...limits }))
  let step = run.next()
  while (!step.done) step = run.next()
  return step.value
}

const meanOf = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length

test('similar groups differ in their means, mixed groups hardly do; in these every child has an own range', () => {
  const group = classOf(24)
  const abilities = (proposal: Proposal) =>
    proposal.groups.map(({ children }) =>
      meanOf(children.map((child) => group.fit.abilities[group.ids[child]])),
    )
  const spread = (values: number[]) => Math.max(...values) - Math.min(...values)
  const similar = made(group, 'similar')
  const mixed = made(group, 'mixed')
  expect(spread(abilities(similar))).toBeGreaterThan(3)
  expect(spread(abilities(mixed))).toBeLessThan(0.2)
  expect(similar.own).toBeNull()
  // Alone at the own level no child could be better off at another.
  mixed.own!.forEach((level, child) => {
    const row = group.fit.success[group.ids[child]]
    if (row.some((p) => inBand(p, [0.7, 0.9]))) expect(inBand(row[level], [0.7, 0.9])).toBe(true)
  })
})

test('pairs: everybody in one, within reach, at one level, in one group; never who is kept apart', () => {
  for (const n of [24, 25]) {
    const group = classOf(n, n)
    const byAbility = [...group.ids].sort((a, b) => group.fit.abilities[a] - group.fit.abilities[b])
    const links: Link[] = [{ kind: 'apart', a: byAbility[3], b: byAbility[4] }]
    const { groups, own, pairs } = made(group, 'pairs', { links })
    const sets = [...new Set(pairs)].map((pair) =>
      group.ids.flatMap((_, i) => (pairs![i] === pair ? [i] : [])),
    )
    expect(sets.map(({ length }) => length).sort()).toEqual(
      n % 2 === 0 ? Array(n / 2).fill(2) : [...Array((n - 3) / 2).fill(2), 3],
    )
    for (const set of sets) {
      expect(new Set(set.map((child) => own![child])).size).toBe(1)
      expect(groups.filter(({ children }) => set.some((child) => children.includes(child)))).toHaveLength(1)
      const names = set.map((child) => group.ids[child])
      expect(names.includes(byAbility[3]) && names.includes(byAbility[4])).toBe(false)
    }
  }
})

test('pairs: who were partners before are not again while others are within reach', () => {
  const group = classOf(16, 3)
  const partnersIn = ({ pairs }: Proposal) =>
    [...new Set(pairs)].map((pair) => group.ids.filter((_, i) => pairs![i] === pair))
  const first = partnersIn(made(group, 'pairs'))
  const again = partnersIn(made(group, 'pairs', { met: first }))
  const key = (set: string[]) => [...set].sort().join()
  const repeated = again.filter((set) => first.map(key).includes(key(set)))
  expect(repeated.length).toBeLessThan(3)
})

test('in every mode a child who needs an adult near is where one is', () => {
  const group = classOf(20, 4)
  for (const mode of ['similar', 'mixed', 'pairs'] as const) {
    const { groups } = made(group, mode, { adultNear: ['c3', 'c7'], withAdult: [1] })
    expect(groups[1].children).toEqual(expect.arrayContaining([3, 7]))
  }
})

test('even sizes: one more or fewer than a fair share, or what the teacher sets', () => {
  expect(evenSizes(26, 6)).toEqual({ count: 6, min: 3, max: 6 })
  expect(evenSizes(26, 6, 7)).toEqual({ count: 6, min: 1, max: 7 })
  expect(evenSizes(26, 6, 5, 4)).toEqual({ count: 6, min: 4, max: 5 })
  expect(evenSizes(3, 3)).toEqual({ count: 3, min: 1, max: 2 })
})
