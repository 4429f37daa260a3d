import { gameOf, usualLevel } from '../games'
import { analyse, analyseInputSchema } from './analyse'
import { strainOf } from './strain'

test('the longest wait of one child, by the law of the collector', () => {
  // With k of 6 towers standing a go is in vain with k/6; runs between two towers stand by themselves.
  let mean = 0
  for (let run = 0; run < 400; run++) {
    let within = 1
    for (let standing = 0; standing < 6; standing++) within *= 1 - (standing / 6) ** (run + 1)
    mean += 1 - within
  }
  const game = gameOf('tower-bay')
  const { params } = game.levels.find(({ id }) => id === 'die')!
  const { longestWait, sentBack } = strainOf(game, params, 1, 'planner', 4000, 3)
  expect(longestWait.halfWidth).toBeGreaterThan(0)
  expect(Math.abs(longestWait.mean - mean)).toBeLessThan(2.5 * longestWait.halfWidth)
  expect(longestWait.p90).toBeGreaterThan(longestWait.mean)
  expect(sentBack).toBeNull()
})

test('tokens sent back are counted where the rules send them back', () => {
  const game = gameOf('perch')
  const one = strainOf(game, usualLevel(game).params, 2, 'planner', 200)
  expect(one.sentBack!.mean).toBeGreaterThan(0.5)
  expect(strainOf(game, usualLevel(game).params, 1, 'planner', 200).sentBack).toBeNull()
})

test('who starts in own colours is found by playing, and has more than its share of the last tower', () => {
  for (const [game, params] of [
    ['tower-bay', { source: { kind: 'dice', count: 1 }, score: 'own-colours' }],
    ['lantern-grid', { sectors: 5, boxes: 15, score: 'own-colours' }],
  ] as const) {
    const { method, set, sample } = analyse(
      analyseInputSchema.parse({ game, params, players: 2, games: 4000 }),
    )
    expect(method).toBe('simulated')
    // Of seven boxes or more some games are drawn, and the first is never worse off.
    expect(set!.firstPlayerWins!).toBeGreaterThan(0.3)
    expect(set!.firstPlayerWins!).toBeLessThan(0.65)
    expect(sample!.halfWidth.firstPlayerWins).toBeLessThan(0.02)
  }
})

test('intervals of waiting, items and steps hold what is exactly so about as often as they say', () => {
  const input = { game: 'tower-bay', level: 'die', players: 2 }
  const exact = analyse(analyseInputSchema.parse({ ...input, method: 'exact' })).practice!
  let held = 0
  const seeds = 60
  for (let seed = 1; seed <= seeds; seed++) {
    const { practice, sample } = analyse(
      analyseInputSchema.parse({ ...input, method: 'simulate', games: 1000, seed }),
    )
    const { waitingShare, itemsPer10Min, stepShare } = sample!.halfWidth
    expect(Object.keys(stepShare)).toHaveLength(exact.steps.length)
    if (Math.abs(practice!.waitingShare - exact.waitingShare) <= waitingShare) held++
    if (Math.abs(practice!.itemsPerChildPer10Min - exact.itemsPerChildPer10Min) <= itemsPer10Min) held++
  }
  // 95 % of 120, less three standard errors and what 20 batches leave out (Student 1908: 2.09 for 1.96).
  expect(held / (2 * seeds)).toBeGreaterThan(0.85)
  expect(held / (2 * seeds)).toBeLessThan(1)
})
