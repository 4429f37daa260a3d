import { regroup } from './curves'
import { makeGroups } from './group'
import { regroupingOf, worthTheirMoves } from './regrouping'
import { problemOfRequest } from './request'
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
    level: g,
    children: ids.filter((_, i) => i % 3 === g),
    withAdult: false,
  }))
  const { request, present } = regroupingOf(ids, fit, groups, [], [])
  const problem = problemOfRequest(request)
  return { problem, present, found: worthTheirMoves(problem, present, [...regroup(problem)].at(-1)!) }
}

test.each([1, 2, 3, 4, 5])('each regrouping is worth its moves, class %i', (seed) => {
  const { problem, present, found } = dealtClass(seed)
  expect(found[0].moves).toEqual([])
  expect(found[0].groups.map(({ children }) => children)).toEqual(present.map(({ children }) => children))
  for (let i = 1; i < found.length; i++) {
    expect(found[i].moves.length).toBeGreaterThanOrEqual(found[i - 1].moves.length)
    const before = found.slice(0, i)
    const most = Math.max(...before.map(({ fitting }) => fitting))
    expect(found[i].fitting).toBeGreaterThanOrEqual(most)
    if (found[i].fitting === most)
      expect(found[i].cost).toBeLessThan(0.8 * Math.min(...before.map(({ cost }) => cost)))
  }
  for (const { groups, moves } of found)
    for (const { child, from, to, here, there } of moves) {
      expect(present[from].children).toContain(child)
      expect(groups[to].children).toContain(child)
      expect(here).toBe(problem.success[child][present[from].level])
      expect(there).toBe(problem.success[child][groups[to].level])
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
    ].map((children, g) => ({ level: 0, children, withAdult: adults[g] }))
    const { request, present } = regroupingOf(ids, fit, groups, [], ['c'])
    const problem = problemOfRequest(request)
    return { found: [...regroup(problem)].at(-1)!, present }
  }
  for (const made of movedWith([true, false]).found) expect(made.groups[0].children).toContain(2)
  expect(movedWith([false, false]).found[0].moved).toEqual([])
})

test.each([1, 2, 3])('with as many moves as it takes it comes to the optimum, class %i', (seed) => {
  const { problem, found } = dealtClass(seed)
  const free = makeGroups({ ...problem, limits: { ...problem.limits, moveCost: 0 } })
  // The last price on a move is small, but not nothing.
  expect(found.at(-1)!.cost).toBeLessThanOrEqual(free.cost + 0.04 * 12 + 1e-9)
  expect(found.at(-1)!.cost).toBeGreaterThanOrEqual(free.lowerBound - 1e-9)
})
