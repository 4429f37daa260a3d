import { everyRegrouping } from './by-move-price'
import { makeGroups } from '../making/make-groups'
import type { Grouping, GroupingProblem } from '../problem/problem'
import { allRegroupings, type Regrouping } from './regrouping'
import { regroupingRequest } from './request'
import { groupsByIndex, problemOfRequest } from '../request'
import { dealtClass } from '../testing/dealt-class'
import { rounds } from '../../testing/rounds'

/** Children who stand further outside their zone than before by more than a tenth. */
function harmedBy(
  { success }: GroupingProblem,
  before: Grouping['groups'],
  after: Grouping['groups'],
): number {
  const outside = (groups: Grouping['groups'], child: number) => {
    const share = success[child][groups.find(({ children }) => children.includes(child))!.level]
    return Math.max(0, 0.7 - share, share - 0.9)
  }
  return success.filter((_, child) => outside(after, child) - outside(before, child) > 0.1).length
}

test('everyone whose fit changes clearly is named, moved or staying, with what it was and will be', () => {
  let staying = 0
  for (let seed = 1; seed <= rounds(40); seed++) {
    const { fit, groups: standing, found } = dealtClass(seed)
    for (const { groups, moves, staying: stay, harmed } of found) {
      const named = new Map([...moves, ...stay].map((one) => [one.pupil, one]))
      staying += stay.length
      const at = (all: typeof standing, pupil: string) =>
        fit.success[pupil][
          fit.levels.findIndex(({ id }) => id === all.find(({ pupils }) => pupils.includes(pupil))!.levelId)
        ]
      for (const pupil of Object.keys(fit.success)) {
        const [before, after] = [at(standing, pupil), at(groups, pupil)]
        if (Math.abs(after - before) > 0.05)
          expect(named.get(pupil)).toMatchObject({ here: before, there: after })
        const outside = (share: number) => Math.max(0, 0.7 - share, share - 0.9)
        expect(harmed.includes(pupil)).toBe(outside(after) - outside(before) > 0.1)
      }
    }
  }
  expect(staying).toBeGreaterThan(rounds(20))
})

test('a group that everybody has left is no place to move a child to, alone', () => {
  let moved = 0
  for (let seed = 1; seed <= rounds(40); seed++) {
    const { fit, groups: dealt } = dealtClass(seed)
    const groups = [...dealt, { pennant: 5, levelId: fit.levels[2].id, pupils: [], withAdult: false }]
    const request = regroupingRequest(Object.keys(fit.success), fit, groups, [], [])
    for (const { groups: made, moves } of allRegroupings(request, groups)) {
      moved += moves.length
      expect(made.map(({ pennant }) => pennant)).toEqual(dealt.map(({ pennant }) => pennant))
      expect(Math.min(...made.map(({ pupils }) => pupils.length))).toBeGreaterThan(1)
    }
  }
  expect(moved).toBeGreaterThan(rounds(20))
})

test('moves are looked for with newcomers about: these stay in no group, whatever they are linked with', () => {
  let moved = 0
  for (let seed = 1; seed <= rounds(40); seed++) {
    const { fit, groups: dealt } = dealtClass(seed)
    const newcomers = ['c0', 'c4']
    const groups = dealt.map((group) => ({
      ...group,
      withAdult: true,
      pupils: group.pupils.filter((id) => !newcomers.includes(id)),
    }))
    const links = [{ kind: 'apart' as const, a: 'c0', b: 'c1' }]
    const request = regroupingRequest(Object.keys(fit.success), fit, groups, links, ['c0', 'c2'])
    for (const { groups: made, moves } of allRegroupings(request, groups)) {
      moved += moves.length
      const ids = (all: typeof groups) => all.flatMap(({ pupils }) => pupils).sort()
      expect(ids(made)).toEqual(ids(groups))
    }
  }
  expect(moved).toBeGreaterThan(rounds(20))
})

test.each([1, 2, 3, 4, 5])('each regrouping is worth its moves, class %i', (seed) => {
  const { problem, request, fit, groups: standing, found, all } = dealtClass(seed)
  expect(found[0].moves).toEqual([])
  expect(found[0].groups).toEqual(standing)
  for (let i = 1; i < found.length; i++) {
    const [before, made] = [found[i - 1], found[i]]
    expect(made.moves.length).toBeGreaterThan(before.moves.length)
    expect(made.cost).toBeLessThanOrEqual(before.cost + 1e-9)
    const gain = (one: Regrouping) => one.fitting - one.harmed.length
    expect(gain(made)).toBeGreaterThanOrEqual(gain(before))
    if (gain(made) === gain(before)) expect(made.cost).toBeLessThan(0.8 * before.cost)
  }
  // Nothing better was found with as few moves as any that is told, but where it harms somebody.
  for (const made of all) {
    const told = found.findLast(({ moves }) => moves.length <= made.moved.length)!
    const gain = made.fitting - harmedBy(problem, groupsByIndex(request, standing), made.groups)
    expect(gain > told.fitting - told.harmed.length && made.cost <= told.cost).toBe(false)
  }
  for (const { groups, moves } of found)
    for (const { pupil, from, to, here, there } of moves) {
      const before = standing.find(({ pennant }) => pennant === from)!
      const after = groups.find(({ pennant }) => pennant === to)!
      expect(before.pupils).toContain(pupil)
      expect(after.pupils).toContain(pupil)
      const at = (levelId: string) => fit.levels.findIndex(({ id }) => id === levelId)
      expect(here).toBe(fit.success[pupil][at(before.levelId)])
      expect(there).toBe(fit.success[pupil][at(after.levelId)])
    }
})

test('who needs an adult near moves to where one is; while no group has one, that waits', () => {
  const ids = ['a', 'b', 'c', 'd']
  const fit = {
    levels: [{ id: 'l', title: 'l' }],
    success: Object.fromEntries(ids.map((id) => [id, [0.8]])),
    abilities: Object.fromEntries(ids.map((id) => [id, 0])),
    notKnown: [],
    spans: {},
  }
  const movedWith = (adults: boolean[]) => {
    const groups = [
      ['a', 'b'],
      ['c', 'd'],
    ].map((pupils, pennant) => ({ pennant, levelId: 'l', pupils, withAdult: adults[pennant] }))
    const request = regroupingRequest(ids, fit, groups, [], ['c'])
    return everyRegrouping(problemOfRequest(request), groupsByIndex(request, groups))
  }
  for (const made of movedWith([true, false])) expect(made.groups[0].children).toContain(2)
  expect(movedWith([false, false]).some(({ moved }) => moved.length === 0)).toBe(true)
})

test.each([1, 2, 3])('with as many moves as it takes it comes to the optimum, class %i', (seed) => {
  const { problem, all } = dealtClass(seed)
  const free = makeGroups({ ...problem, limits: { ...problem.limits, moveCost: 0 } })
  // The last price on a move is small, but not nothing.
  const least = Math.min(...all.map(({ cost }) => cost))
  expect(least).toBeLessThanOrEqual(free.cost + 0.04 * 12 + 1e-9)
  expect(least).toBeGreaterThanOrEqual(free.lowerBound - 1e-9)
})

test('of whom little is known counts as well: none is moved out of its zone for others to be a little less far from theirs', () => {
  // Twenty who count on, six for whom that is far too easy; a level between them suits neither.
  const ids = Array.from({ length: 26 }, (_, i) => `c${i}`)
  const able = (id: string) => Number(id.slice(1)) >= 20
  const fit = {
    levels: ['on', 'between', 'far'].map((id) => ({ id, title: id })),
    success: Object.fromEntries(ids.map((id) => [id, able(id) ? [0.999, 0.97, 0.85] : [0.76, 0.63, 0.2]])),
    abilities: Object.fromEntries(ids.map((id) => [id, able(id) ? 16 : 8])),
    notKnown: ids,
    spans: {},
  }
  const groups = [5, 5, 5, 5, 6].map((size, g) => ({
    pennant: g,
    levelId: 'on',
    withAdult: false,
    // The six stand among the last two groups.
    pupils: ids.filter((_, i) => i >= 5 * g && i < 5 * g + size),
  }))
  groups[3].pupils = ['c15', 'c16', 'c20', 'c21', 'c22']
  groups[4].pupils = ['c17', 'c18', 'c19', 'c23', 'c24', 'c25']
  const found = allRegroupings(regroupingRequest(ids, fit, groups, [], []), groups)
  const inZone = ({ groups: after }: Pick<Regrouping, 'groups'>) =>
    after.reduce(
      (sum, { levelId, pupils }) =>
        sum +
        pupils.filter((id) => {
          const share = fit.success[id][fit.levels.findIndex((level) => level.id === levelId)]
          return share >= 0.7 && share <= 0.9
        }).length,
      0,
    )
  const counts = found.map(inZone)
  expect(counts[0]).toBe(20)
  expect(counts).toEqual([...counts].sort((a, b) => a - b))
  // They are put together, and play what suits them.
  expect(counts.at(-1)).toBe(26)
  expect(found.at(-1)!.fitting).toBe(0)
})
