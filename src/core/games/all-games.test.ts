import fc from 'fast-check'
import { restoredChance, seededChance } from '../chance/chance'
import { isTrue } from '../skills'
import { gameEventSchema, type GameEvent } from './events'
import { games, playGo, type AnyGame, type GameState } from './index'

const levels = games.flatMap((game) => game.levels.map((level) => ({ game, level })))
const anyLevel = fc.constantFrom(...levels)

function play(game: AnyGame, params: unknown, players: number, seed: number, choice: 'novice' | 'planner') {
  const chance = seededChance(seed)
  const events: GameEvent[] = []
  let state = game.setup(params, players) as GameState
  let goes = 0
  while (!state.ended && goes < 20_000) {
    state = playGo(game, state, choice, chance, (event) => events.push(event))
    goes++
  }
  return { state, events, goes }
}

const plays = fc.record({
  at: anyLevel,
  players: fc.integer({ min: 1, max: 4 }),
  seed: fc.integer(),
  choice: fc.constantFrom('novice' as const, 'planner' as const),
})

test('from any seed every game ends, with as many players as it takes', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, players, seed, choice }) => {
      expect(play(game, level.params, players, seed, choice).state.ended).toBe(true)
    }),
    { numRuns: 120 },
  )
})

test('equal seeds replay the same events, and a go can be taken up from saved state and chance', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, players, seed, choice }) => {
      expect(play(game, level.params, players, seed, choice)).toEqual(
        play(game, level.params, players, seed, choice),
      )
      const chance = seededChance(seed)
      const middle = playGo(game, game.setup(level.params, players), choice, chance)
      const saved = JSON.parse(JSON.stringify({ state: middle, chance: chance.state() }))
      if (middle.ended) return
      expect(playGo(game, saved.state, choice, restoredChance(saved.chance))).toEqual(
        playGo(game, middle, choice, chance),
      )
    }),
    { numRuns: 40 },
  )
})

test('practice items are true and every event keeps to its schema', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, players, seed, choice }) => {
      for (const event of play(game, level.params, players, seed, choice).events) {
        expect(gameEventSchema.safeParse(event).success).toBe(true)
        if (event.kind === 'answered') expect(isTrue(event.item)).toBe(true)
      }
    }),
    { numRuns: 60 },
  )
})

test.each(levels.map(({ game, level }) => [game.id, level.id, game, level] as const))(
  '%s %s: items stay inside the number range of the level',
  (_game, _level, game, level) => {
    const { start, goal, target } = level.params as { start?: number; goal?: number; target?: number }
    const most = Math.max(start ?? 0, goal ?? 0, target ?? 12)
    for (const event of play(game, level.params, 2, 5, 'novice').events)
      if (event.kind === 'answered') expect(event.item.answer).toBeLessThanOrEqual(most)
  },
)

test('the parameters of every level are what its schema makes of them', () => {
  for (const { game, level } of levels) expect(game.params.parse(level.params)).toEqual(level.params)
})

test('every game has the texts an adult needs', () => {
  for (const { texts, levels: all } of games) {
    expect(all.length).toBeGreaterThanOrEqual(3)
    expect(texts.lookFors.length).toBeGreaterThanOrEqual(3)
    expect(texts.misconceptions.length).toBeGreaterThanOrEqual(2)
    expect(texts.rules.length).toBeLessThanOrEqual(5)
    for (const text of [texts.talk, texts.homeVersion, texts.finishEarly]) expect(text).toMatch(/\w+.*[.?]$/)
  }
})
