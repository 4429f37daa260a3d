import { everyRegrouping } from './curves'
import { makeGroups } from './group'
import { allRegroupings, regroupingRequest } from './regrouping'
import { groupsByIndex, problemOfRequest } from './request'
import { seededChance, unit } from '../chance/chance'

/** Twelve children in three groups, dealt without regard to what they can do. */
function dealtClass(seed: number) {
  const chance = seededChance(seed)
  const ids = Array.from({ length: 12 }, (_, i) => `c${i}`)
  const abilities = Object.fromEntries(ids.map((id) => [id, 6 * unit(chance)]))
  const fit = {
    levels: [0, 1.5, 3].map((difficulty) => ({ id: `l${difficulty}`, title: `${difficulty}` })),
    success: Object.fromEntries(
      ids.map((id) => [id, [0, 1.5, 3].map((difficulty) => 1 / (1 + Math.exp(difficulty - abilities[id])))]),
    ),
    abilities,
  }
  const groups = [0, 1, 2].map((g) => ({
    pennant: [4, 0, 2][g],
    levelId: fit.levels[g].id,
    pupils: ids.filter((_, i) => i % 3 === g),
    withAdult: false,
  }))
  const request = regroupingRequest(ids, fit, groups, [], [])
  const problem = problemOfRequest(request)
  const all = everyRegrouping(problem, groupsByIndex(request, groups))
  return { problem, fit, groups, all, found: allRegroupings(request, groups) }
}

test.each([1, 2, 3, 4, 5])('each regrouping is worth its moves, class %i', (seed) => {
  const { fit, groups: standing, found, all } = dealtClass(seed)
  expect(found[0].moves).toEqual([])
  expect(found[0].groups).toEqual(standing)
  for (let i = 1; i < found.length; i++) {
    const [before, made] = [found[i - 1], found[i]]
    expect(made.moves.length).toBeGreaterThan(before.moves.length)
    expect(made.cost).toBeLessThanOrEqual(before.cost + 1e-9)
    expect(made.fitting).toBeGreaterThanOrEqual(before.fitting)
    if (made.fitting === before.fitting) expect(made.cost).toBeLessThan(0.8 * before.cost)
  }
  // Nothing better was found with as few moves as any that is told.
  for (const { moved, fitting, cost } of all) {
    const told = found.findLast(({ moves }) => moves.length <= moved.length)!
    expect(fitting > told.fitting && cost <= told.cost).toBe(false)
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
