import { seededChance } from '../../chance/chance'
import { otherGames } from './other-games'
import { stationAt } from './plan'
import { figures, planFor, randomClass, strandBy } from './testing/random-class'
import { workOut } from './work-out'

test('games that would go as well: none played lately, none beyond what is begun; put in a plan, none brings a clash of its own', () => {
  let [put, clashes] = [0, 0]
  for (let seed = 1; seed <= 30; seed++) {
    const context = randomClass(seededChance(seed))
    const others = otherGames(context, 12, figures)
    const lately = context.room.played.filter(({ day }) => day >= '2026-11-24').map(({ gameId }) => gameId)
    expect(others.filter(({ gameId }) => lately.includes(gameId))).toEqual([])
    expect(new Set(others.map(({ gameId }) => gameId)).size).toBe(others.length)
    for (const { gameId, strand, fitting, known } of others) {
      expect(strand).toBe(strandBy.get(gameId))
      expect(known).toBe(context.grouping.groups.flatMap(({ pupils }) => pupils).length)
      expect(fitting).toBeLessThanOrEqual(known)
    }
    const plan = planFor(context)
    const [station] = plan.stations
    const other = others.find(({ gameId }) => plan.stations.every((one) => one.gameId !== gameId))
    if (!other) continue
    const stations = plan.stations.map((one) => (one === station ? { ...one, gameId: other.gameId } : one))
    const changed = { ...plan, stations }
    const { conflicts, visits } = workOut(changed, context, figures)
    put++
    // At most half of the groups may find it does not suit them, as in a plan to start from.
    const there = visits.filter(({ stationId }) => stationAt(changed, stationId).gameId === other.gameId)
    const bad = conflicts.filter(
      (one) =>
        ['too-long', 'nobody-in-zone', 'too-hard'].includes(one.kind) &&
        there.some(({ slot, groupId }) => 'groupId' in one && one.slot === slot && one.groupId === groupId),
    )
    if (bad.length * 2 > there.length) clashes++
  }
  expect(put).toBeGreaterThan(20)
  expect(clashes / put).toBeLessThan(0.1)
})

test('the first choices of a plan to start from are among them, as far as they were not played lately', () => {
  for (let seed = 1; seed <= 30; seed++) {
    const context = randomClass(seededChance(seed))
    const named = otherGames(context, 12, figures).map(({ gameId }) => gameId)
    const { stations } = planFor(context)
    expect(stations.filter(({ gameId }) => named.includes(gameId)).length * 2).toBeGreaterThanOrEqual(
      stations.length,
    )
  }
})
