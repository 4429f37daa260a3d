import { games, gameOf, usualLevel } from '../games'
import { aroundMinutes, aroundPlay } from './around'
import { analyse, analyseInputSchema } from './analyse'
import { goTime, defaultPace } from './pace'

test('Landfall for two: sit down, fetch a die and the track, count out two markers; then put it away', () => {
  const game = gameOf('landfall')
  const { setUp, packUp } = aroundPlay(game, usualLevel(game).params, 2)
  // 20 s to sit down, 4 s for the die and for the track, half a second for each marker.
  expect(60 * setUp).toBeCloseTo(20 + 2 * 4 + 2 * 0.5, 9)
  expect(60 * packUp).toBeCloseTo(10 + 0.4 * 29, 9)
})

test('a pack is shuffled, not fetched card by card; no game takes longer than two minutes to lay out', () => {
  const leaky = gameOf('hidden-corner')
  expect(60 * aroundPlay(leaky, leaky.levels[0].params, 2).setUp).toBeCloseTo(20 + 12, 9)
  for (const game of games)
    for (const { params } of game.levels)
      for (const players of [game.players.min, game.players.typical, game.players.max]) {
        const { setUp, packUp } = aroundPlay(game, params, players)
        expect(setUp).toBeGreaterThan(1 / 3)
        expect(setUp).toBeLessThanOrEqual(2)
        // Common practice, no source: putting away is quicker than laying out what has to be counted.
        expect(packUp).toBeLessThan(1)
        expect(aroundMinutes(game, params, players)).toBeCloseTo(setUp + packUp, 12)
      }
})

test('more children need more things laid out', () => {
  const game = gameOf('pebble-count')
  const { params } = usualLevel(game)
  expect(aroundMinutes(game, params, 4)).toBeGreaterThan(aroundMinutes(game, params, 2))
})

test('a choice takes time to weigh up, and only where there is one', () => {
  expect(goTime([{ kind: 'chose', player: 0 }], defaultPace).seconds).toBe(3)
  const secondsPerGo = (game: string, choose: number) => {
    const { set, minutes } = analyse(analyseInputSchema.parse({ game, players: 2, pace: { choose } }))
    return (60 * minutes!.mean) / set!.goes!.mean
  }
  // One die, one square to land on: nothing to weigh up.
  expect(secondsPerGo('landfall', 30)).toBeCloseTo(secondsPerGo('landfall', 0), 9)
  // Ones or tens: each go has both, until near the end.
  const [quick, slow] = [secondsPerGo('grid-hop', 0), secondsPerGo('grid-hop', 10)]
  expect(slow - quick).toBeGreaterThan(9)
  expect(slow - quick).toBeLessThanOrEqual(10 + 1e-9)
})
