import { seededChance } from '../chance/chance'
import { winnersOf } from './engine/game'
import { newRound } from './engine/round'
import { gameOf, games, playGo, type AnyGame, type GameState } from './index'
import { toTheEnd } from './testing/to-the-end'

/** A game with this seed and who has won it; null: it has not ended within two thousand goes. */
function played(game: AnyGame, params: unknown, players: number, seed: number): readonly number[] | null {
  const chance = seededChance(seed)
  let state = game.setup(params, players) as GameState
  let last = 0
  for (let goes = 0; goes < 2000 && !state.ended; goes++) {
    last = state.turn
    state = playGo(game, state, seed % 2 === 0 ? 'planner' : 'novice', chance) as GameState
  }
  return state.ended ? winnersOf(game, state, last) : null
}

test('of every level at most one game in twenty is won by nobody, whoever plays', () => {
  const seeds = 40
  let tried = 0
  const faults = games.flatMap((game) =>
    game.levels.flatMap(({ id, params }) => {
      const { min, max } = game.players
      const sets = [...new Set([Math.max(2, min), Math.min(max, 3), Math.min(max, 4)])].filter(
        (n) => n >= min && n <= max,
      )
      return sets.flatMap((players) => {
        const ended = Array.from({ length: seeds }, (_, i) => played(game, params, players, i + 1)).filter(
          (winners) => winners !== null,
        )
        tried += ended.length
        const nobody = ended.filter((winners) => winners.length === 0).length
        return nobody * 20 <= ended.length
          ? []
          : [`${game.id} ${id}, ${players}: ${nobody} of ${ended.length}`]
      })
    }),
  )
  expect(faults).toEqual([])
  expect(tried).toBeGreaterThan(20_000)
})

test('Perch: with all the perches safe most birds on perches wins, and as many share it', () => {
  const perch = gameOf('perch')
  const { params } = perch.levels.find(({ id }) => id === 'doubles-6')!
  const board = [0, 1, 1].map((owner) => ({ owner, tokens: 2 }))
  const start = perch.setup(params, 2) as object
  const over = { ...start, board, ended: true, winner: null } as unknown as GameState
  expect(winnersOf(perch, { ...over, hand: [1, 0] } as GameState, 0)).toEqual([1])
  expect(winnersOf(perch, { ...over, hand: [1, 1] } as GameState, 0)).toEqual([0, 1])
})

test('what all did together all have won; a race is won by whoever had the last go', () => {
  expect(toTheEnd(newRound('frame-up', gameOf('frame-up').levels[0].params, 3, 1)).winners).toEqual([0, 1, 2])
  const race = toTheEnd(newRound('landfall', gameOf('landfall').levels[0].params, 2, 3))
  expect(race.winners).toHaveLength(1)
  expect(newRound('landfall', gameOf('landfall').levels[0].params, 2, 3).winners).toEqual([])
})
