import { seededChance } from '../../chance/chance'
import type { PlanContext } from '../session/context'
import { placed } from '../session/plan'
import { figures, planFor, randomClass } from '../session/testing/random-class'
import { workOut } from '../session/work-out'
import { closings } from './changes'
import type { Happened } from './happened'
import { changeOf, planAfter, type Change, type Running, type Way } from './running'
import { waysToGoOn, weighed } from './ways'

/** A session of a random class in its first slot. */
function sessionOf(seed: number, slot = 0): { running: Running; context: PlanContext } {
  const context = randomClass(seededChance(seed))
  const { groups } = context.grouping
  const plan = placed(
    planFor(context),
    groups.map(({ id }) => id),
  )
  return {
    context,
    running: {
      plan,
      slot,
      visits: plan.cells.map((cell, i) => ({ ...cell, id: `visit ${i}` })),
      present: Object.fromEntries(groups.map(({ id, pupils }) => [id, pupils.map((child) => child.id)])),
    },
  }
}

const hard = ['places', 'adults', 'floor', 'noise', 'materials', 'adult']
const breaks = (running: Running, change: Change, context: PlanContext) =>
  workOut(planAfter(running, change), context, figures).conflicts.filter(
    ({ kind, slot }) => hard.includes(kind) && slot >= running.slot,
  ).length

const nothing = (running: Running) => changeOf(running, 'adult-plays', {})

const cases: [string, (running: Running) => Happened][] = [
  ['ten minutes late', () => ({ kind: 'late', minutes: 10 })],
  ['a lost slot', () => ({ kind: 'lost-slot' })],
  ['a missing adult', () => ({ kind: 'adult-missing' })],
  ['a failing station', ({ plan }) => ({ kind: 'station-fails', stationId: plan.stations.at(-1)!.id })],
]

test.each(cases)('%s: every way keeps what must hold, and they come by what they lose', (_title, what) => {
  let offered = 0
  for (let seed = 1; seed <= 16; seed++) {
    const { running, context } = sessionOf(seed)
    const ways = waysToGoOn(running, what(running), context, figures)
    offered += ways.length
    expect(ways.length).toBeLessThanOrEqual(3)
    const before = breaks(running, nothing(running), context)
    for (const way of ways)
      expect([seed, way.kind, breaks(running, way, context) <= before]).toEqual([seed, way.kind, true])
    const costs = ways.map(({ cost }) => cost)
    expect(costs).toEqual([...costs].sort((a, b) => a - b))
    // The same question has the same answer: a way is taken by its name.
    expect(waysToGoOn(running, what(running), context, figures)).toEqual(ways)
  }
  expect(offered).toBeGreaterThan(12)
})

test('a lost slot: of those to come the one that is left out loses least; who missed what is named', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const { running, context } = sessionOf(seed)
    const { plan, visits } = running
    if (plan.slots < 3) continue
    const before = workOut(plan, context, figures)
    const dropping = Array.from({ length: plan.slots - 1 }, (_, i) => i + 1).map((gone) =>
      weighed(
        running,
        changeOf(running, 'drop-slot', {
          slots: plan.slots - 1,
          dropped: visits.filter(({ slot }) => slot === gone).map(({ id }) => id),
          moved: visits
            .filter(({ slot }) => slot > gone)
            .map(({ id, slot, stationId }) => ({ visitId: id, slot: slot - 1, stationId })),
        }),
        before,
        context,
        figures,
      )!,
    )
    const way = waysToGoOn(running, { kind: 'lost-slot' }, context, figures).find(
      ({ kind }) => kind === 'drop-slot',
    )
    expect(way!.cost).toBeCloseTo(Math.min(...dropping.map(({ cost }) => cost)), 9)
    expect(way!.loses.filter(({ kind }) => kind === 'visit')).toHaveLength(way!.dropped.length)
  }
})

test('a failing station: nothing cheaper is found by trying every way to send everybody elsewhere', () => {
  let compared = 0
  for (let seed = 1; seed <= 60 && compared < 6; seed++) {
    const { running, context } = sessionOf(seed)
    const { stations } = running.plan
    if (stations.length < 3 || stations.length > 5) continue
    const closed = stations[1].id
    const before = workOut(running.plan, context, figures)
    let all: Change['moved'][] = [[]]
    for (const choices of closings(running, closed))
      all = all.flatMap((way) => choices.map((one) => [...way, one]))
    const modes = [{ stationId: closed, mode: 'own' as const }]
    const costs = all.flatMap((moved) => {
      const way = weighed(
        running,
        changeOf(running, 'close-station', { moved, modes }),
        before,
        context,
        figures,
      )
      return way ? [way.cost] : []
    })
    const [found] = waysToGoOn(running, { kind: 'station-fails', stationId: closed }, context, figures)
    if (costs.length === 0) expect(found).toBeUndefined()
    else {
      expect([seed, found.cost]).toEqual([seed, expect.closeTo(Math.min(...costs), 9)])
      compared++
    }
  }
  expect(compared).toBe(6)
})

test('a child who is alone joins a group that has room at every table still to come, or an adult plays along', () => {
  let joined = 0
  for (let seed = 1; seed <= 16; seed++) {
    const { running, context } = sessionOf(seed)
    const [alone] = context.grouping.groups
    const present = { ...running.present, [alone.id]: [alone.pupils[0].id] }
    const ways = waysToGoOn({ ...running, present }, { kind: 'alone', groupId: alone.id }, context, figures)
    expect(ways.map(({ kind }) => kind)).toContain('adult-plays')
    for (const way of ways.filter(({ kind }) => kind === 'join-group')) {
      joined++
      const [{ pupilId, visitIds }] = way.joins
      expect(pupilId).toBe(alone.pupils[0].id)
      const hosts = running.visits.filter(({ id }) => visitIds.includes(id))
      expect(new Set(hosts.map(({ groupId }) => groupId)).size).toBe(1)
      expect(hosts.map(({ slot }) => slot).sort()).toEqual(
        Array.from({ length: running.plan.slots }, (_, i) => i),
      )
      expect(way.dropped).toEqual(
        running.visits.filter(({ groupId }) => groupId === alone.id).map(({ id }) => id),
      )
    }
  }
  expect(joined).toBeGreaterThan(4)
})

test('in the last slot nothing is left out any more; only what is under way can be made shorter', () => {
  const { running, context } = sessionOf(3)
  const late: Running = { ...running, slot: running.plan.slots - 1 }
  const kinds = (happened: Happened): Way['kind'][] =>
    waysToGoOn(late, happened, context, figures).map(({ kind }) => kind)
  expect(kinds({ kind: 'late', minutes: 5 })).toEqual(['shorten'])
  expect(kinds({ kind: 'lost-slot' })).toEqual([])
})
