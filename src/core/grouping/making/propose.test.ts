import { seededChance, unit } from '../../chance/chance'
import { inBand } from '../problem/fit-cost'
import type { GroupingMode } from './mode'
import { pennantsFor, type Groups } from '../groups'
import { atOneLevel, childrenInZone } from '../in-zone'
import { propose } from './propose'
import { evenSizes, requestFor, type ClassFit, type Link } from '../request'
import { rounds } from '../../testing/rounds'

/** A class of `n` with abilities spread over eight logits, and four levels two logits apart. */
function classOf(n: number, seed = 1): { ids: string[]; fit: ClassFit } {
  const chance = seededChance(seed)
  const ids = Array.from({ length: n }, (_, i) => `c${i}`)
  const abilities = Object.fromEntries(ids.map((id) => [id, 8 * unit(chance)]))
  const levels = [0, 2, 4, 6].map((difficulty) => ({ id: `l${difficulty}`, title: `level ${difficulty}` }))
  const success = Object.fromEntries(
    ids.map((id) => [id, [0, 2, 4, 6].map((difficulty) => 1 / (1 + Math.exp(difficulty - abilities[id])))]),
  )
  return { ids, fit: { levels, success, abilities, notKnown: [], spans: {} } }
}

/** Not counted from 0: a group is its pennant, wherever it stands. */
const pennants = [5, 1, 0, 7]

function made(
  { ids, fit }: ReturnType<typeof classOf>,
  mode: GroupingMode,
  {
    links = [],
    met,
    ...limits
  }: { links?: Link[]; met?: string[][]; adultNear?: string[]; withAdult?: number[] } = {},
): Groups {
  const sizes = evenSizes(ids.length, pennants.length)
  const run = propose(requestFor(ids, fit, { mode, links, met, pennants, sizes, evenly: true, ...limits }))
  let step = run.next()
  while (!step.done) step = run.next()
  return step.value
}

/** Who plays with whom. */
const setsOf = (pairs: Record<string, number>): string[][] =>
  [...new Set(Object.values(pairs))].map((pair) => Object.keys(pairs).filter((id) => pairs[id] === pair))

const meanOf = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length

test('similar groups differ in their means, mixed groups hardly do; in these every child has an own range', () => {
  const group = classOf(24)
  const abilities = (proposal: Groups) =>
    proposal.groups.map(({ pupils }) => meanOf(pupils.map((id) => group.fit.abilities[id])))
  const spread = (values: number[]) => Math.max(...values) - Math.min(...values)
  const similar = made(group, 'similar')
  const mixed = made(group, 'mixed')
  expect(spread(abilities(similar))).toBeGreaterThan(3)
  expect(spread(abilities(mixed))).toBeLessThan(0.2)
  expect(similar.own).toEqual({})
  expect(similar.groups.map(({ pennant }) => pennant)).toEqual(pennants)
  // Alone at the own level no child could be better off at another.
  for (const id of group.ids) {
    const row = group.fit.success[id]
    const level = group.fit.levels.findIndex((one) => one.id === mixed.own[id])
    if (row.some((p) => inBand(p, [0.7, 0.9]))) expect(inBand(row[level], [0.7, 0.9])).toBe(true)
  }
})

test('pairs: everybody in one, within reach, at one level, in one group; never who is kept apart', () => {
  for (const n of [24, 25]) {
    const group = classOf(n, n)
    const byAbility = [...group.ids].sort((a, b) => group.fit.abilities[a] - group.fit.abilities[b])
    const links: Link[] = [{ kind: 'apart', a: byAbility[3], b: byAbility[4] }]
    const { groups, own, pairs } = made(group, 'pairs', { links })
    const sets = setsOf(pairs)
    expect(sets.map(({ length }) => length).sort()).toEqual(
      n % 2 === 0 ? Array(n / 2).fill(2) : [...Array((n - 3) / 2).fill(2), 3],
    )
    for (const set of sets) {
      expect(new Set(set.map((child) => own[child])).size).toBe(1)
      expect(groups.filter(({ pupils }) => set.some((child) => pupils.includes(child)))).toHaveLength(1)
      expect(set.includes(byAbility[3]) && set.includes(byAbility[4])).toBe(false)
    }
  }
})

test('pairs: who were partners before are not again while others are within reach', () => {
  const group = classOf(16, 3)
  const first = setsOf(made(group, 'pairs').pairs)
  const again = setsOf(made(group, 'pairs', { met: first }).pairs)
  const key = (set: string[]) => [...set].sort().join()
  const repeated = again.filter((set) => first.map(key).includes(key(set)))
  expect(repeated.length).toBeLessThan(3)
})

test('in every mode a child who needs an adult near is where one is', () => {
  const group = classOf(20, 4)
  for (const mode of ['similar', 'mixed', 'pairs'] as const) {
    const { groups } = made(group, mode, { adultNear: ['c3', 'c7'], withAdult: [0] })
    expect(groups.find(({ withAdult }) => withAdult)).toMatchObject({
      pennant: 0,
      pupils: expect.arrayContaining(['c3', 'c7']) as unknown,
    })
  }
})

test('even sizes differ by one at most; or they are what the teacher sets', () => {
  expect(evenSizes(26, 6)).toEqual({ min: 4, max: 5 })
  expect(evenSizes(24, 4)).toEqual({ min: 6, max: 6 })
  expect(evenSizes(26, 6, 7)).toEqual({ min: 1, max: 7 })
  expect(evenSizes(26, 6, 5, 4)).toEqual({ min: 4, max: 5 })
  expect(evenSizes(3, 3)).toEqual({ min: 1, max: 1 })
})

test('even groups are even; where limits forbid it the sizes give way, and the limits are told', () => {
  const group = classOf(13)
  const evenly = { pennants, sizes: evenSizes(13, 4), evenly: true }
  const sizesOf = ({ groups }: Groups) => groups.map(({ pupils }) => pupils.length).sort()
  const even = propose(requestFor(group.ids, group.fit, { links: [], ...evenly })).next().value
  expect(sizesOf(even)).toEqual([3, 3, 3, 4])
  expect(even.uneven).toBeUndefined()
  // Five who stay in one group can't be in one of four.
  const locked = Object.fromEntries(['c0', 'c1', 'c2', 'c3', 'c4'].map((id) => [id, 5]))
  const made = propose(requestFor(group.ids, group.fit, { links: [], ...evenly, locked })).next().value
  expect(Math.max(...sizesOf(made))).toBe(5)
  expect(made.uneven!.limits.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['locked']))
})

const modes = ['similar', 'mixed', 'pairs'] as const

test('headline, curve and comparison count alike in every mode', () => {
  for (let seed = 1; seed <= rounds(1000); seed++) {
    // Small classes beside some of the usual size: the rule is the same, the search is shorter.
    const n = seed <= rounds(60) ? 8 + (seed % 20) : 8 + (seed % 4)
    const group = classOf(n, seed)
    const fit = { ...group.fit, notKnown: group.ids.filter((_, i) => (i * seed) % 5 === 0) }
    // In every mode each of the first, then one mode a class.
    for (const mode of seed <= rounds(60) ? modes : [modes[seed % modes.length]]) {
      const one = propose(
        requestFor(group.ids, fit, { mode, links: [], pennants: [3], sizes: evenSizes(n, 1), evenly: true }),
      ).next().value
      const zone = childrenInZone(fit, one)
      // One level for all is told at its best: what is compared with it is not flattered.
      if (mode === 'similar') expect(atOneLevel(fit, group.ids).fitting).toBeGreaterThanOrEqual(zone.fitting)
      // Own ranges fit as many whatever the number of groups.
      const four = propose(
        requestFor(group.ids, fit, { mode, links: [], pennants, sizes: evenSizes(n, 4), evenly: true }),
      ).next().value
      if (mode === 'mixed') expect(childrenInZone(fit, four)).toEqual(zone)
      expect(zone.known + zone.notKnown).toBe(n)
      expect(zone.notKnown).toBe(fit.notKnown.length)
    }
  }
})

test('limits that clash are told with the pennants of the groups', () => {
  const group = classOf(12)
  const links: Link[] = [{ kind: 'apart', a: 'c0', b: 'c1' }]
  const request = requestFor(group.ids, group.fit, {
    links,
    pennants,
    sizes: evenSizes(12, 4),
    locked: { c0: 7, c1: 7 },
  })
  expect(() => propose(request).next()).toThrow(
    expect.objectContaining({
      contradictions: [{ kind: 'locked-apart-in-one-group', children: ['c0', 'c1'], group: 7 }],
    }),
  )
})

test('pennants: groups that stand keep theirs, more take the first that are free', () => {
  expect(pennantsFor([5, 1], 4)).toEqual([5, 1, 0, 2])
  expect(pennantsFor([5, 1, 3], 2)).toEqual([5, 1])
  expect(new Set(pennantsFor([7, 6], 99)).size).toBe(8)
})
