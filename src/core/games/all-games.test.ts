import { isLoose } from '../things'
import fc from 'fast-check'
import { restoredChance, seededChance } from '../chance/chance'
import { hasStep, isTrue, largestNumber, placeOf } from '../skills'
import { gameEventSchema, type GameEvent } from './engine/events'
import { anyMove } from './engine/game'
import { textsOf } from './texts'
import { games, gameOf, playGo, usualLevel, type AnyGame, type Choice, type GameState } from './index'

const levels = games.flatMap((game) => game.levels.map((level) => ({ game, level })))

/** Goes played of a game that only the time ends. */
const enough = 40

function play(game: AnyGame, params: unknown, players: number, seed: number, choice: Choice) {
  const chance = seededChance(seed)
  const events: GameEvent[] = []
  let state = game.setup(params, players) as GameState
  const timeBoxed = game.sameLawEachGo?.(params).goes === null
  let goes = 0
  while (!state.ended && goes < (timeBoxed ? enough : 5000)) {
    state = playGo(game, state, choice, chance, (event) => events.push(event))
    goes++
  }
  return { state, events, goes, timeBoxed }
}

const plays = fc.record({
  at: fc.constantFrom(...levels),
  more: fc.integer({ min: 0, max: 3 }),
  seed: fc.integer(),
  choice: fc.constantFrom('novice' as const, 'planner' as const),
})
const playersOf = (game: AnyGame, more: number) => Math.min(game.players.max, game.players.min + more)

test('fifty games, each id once, at least three levels each', () => {
  expect(games).toHaveLength(50)
  expect(new Set(games.map(({ id }) => id)).size).toBe(50)
  for (const { levels: all } of games) expect(all.length).toBeGreaterThanOrEqual(3)
})

test('each level has an id and a title of its own in its game, and the usual one is among them', () => {
  for (const { id, levels: all, usual } of games) {
    for (const key of ['id', 'title'] as const)
      expect([id, new Set(all.map((level) => level[key])).size]).toEqual([id, all.length])
    if (usual !== undefined)
      expect([id, all.map((level) => level.id)]).toEqual([id, expect.arrayContaining([usual])])
  }
  // Where none is named it is the first.
  expect(usualLevel(gameOf('landfall')).id).toBe('to-10-die')
  expect(usualLevel(gameOf('tower-bay'))).toBe(gameOf('tower-bay').levels[0])
})

test('from any seed a game with an end ends, with as many players as it takes', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, more, seed, choice }) => {
      const { state, timeBoxed } = play(game, level.params, playersOf(game, more), seed, choice)
      expect(state.ended).toBe(!timeBoxed)
    }),
    { numRuns: 600 },
  )
})

test('equal seeds replay the same events, and a go can be taken up from saved state and chance', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, more, seed, choice }) => {
      const players = playersOf(game, more)
      expect(play(game, level.params, players, seed, choice).events).toEqual(
        play(game, level.params, players, seed, choice).events,
      )
      const chance = seededChance(seed)
      const middle = playGo(game, game.setup(level.params, players), choice, chance) as GameState
      const saved = JSON.parse(JSON.stringify({ state: middle, chance: chance.state() }))
      expect(saved.state).toEqual(middle)
      if (middle.ended) return
      expect(playGo(game, saved.state, choice, restoredChance(saved.chance))).toEqual(
        playGo(game, middle, choice, chance),
      )
    }),
    { numRuns: 150 },
  )
})

test('a beginner’s move found without listing the moves is the one picked from the list', () => {
  const quick = levels.filter(({ game }) => game.beginner)
  expect(quick.length).toBeGreaterThan(0)
  fc.assert(
    fc.property(fc.constantFrom(...quick), fc.integer(), ({ game, level }, seed) => {
      const [chance, listed, counted] = [seededChance(seed), seededChance(seed), seededChance(seed)]
      let state = game.roll(game.setup(level.params, game.players.min) as GameState, chance)
      for (let go = 0; go < 30 && !state.ended; go++) {
        const all = game.moves(state)
        const picked = all.length === 0 ? null : anyMove(all, listed)
        expect(game.beginner!(state, counted)).toEqual(picked)
        expect(counted.state()).toEqual(listed.state())
        state = game.roll(game.play(state, picked) as GameState, chance)
      }
    }),
    { numRuns: 100 },
  )
})

test('without a sink the same game is played', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, more, seed, choice }) => {
      const [heard, unheard] = [seededChance(seed), seededChance(seed)]
      const start = game.setup(level.params, playersOf(game, more))
      expect(playGo(game, start, choice, unheard)).toEqual(
        playGo(game, start, choice, heard, () => undefined),
      )
    }),
    { numRuns: 200 },
  )
})

test.each(levels.map(({ game, level }) => [game.id, level.id, game, level] as const))(
  '%s %s: items are true and inside the range of the level, every event keeps to its schema, all of it practises something',
  (_game, _level, game, level) => {
    let items = 0
    for (const choice of ['novice', 'planner'] as const)
      for (const event of play(game, level.params, playersOf(game, 1), 5, choice).events) {
        expect(gameEventSchema.safeParse(event).error).toBe(undefined)
        if (event.kind !== 'answered') continue
        items++
        expect(isTrue(event.item)).toBe(true)
        expect(largestNumber(event.item)).toBeLessThanOrEqual(level.to)
        expect(hasStep(placeOf(event.item))).toBe(true)
      }
    expect(items).toBeGreaterThan(0)
  },
)

test('a dead go changes nothing on the table: nobody moves, places, builds or takes', () => {
  const acts = new Set(['moved', 'placed', 'built', 'took', 'sent-back'])
  fc.assert(
    fc.property(plays, ({ at: { game, level }, more, seed }) => {
      const chance = seededChance(seed)
      let state = game.setup(level.params, playersOf(game, more)) as GameState
      for (let go = 0; go < 60 && !state.ended; go++) {
        const rolled = game.roll(state, chance) as GameState
        if (game.moves(rolled).length === 0) {
          const events: GameEvent[] = []
          game.play(rolled, null, (event) => events.push(event))
          expect(events.filter(({ kind }) => acts.has(kind))).toEqual([])
        }
        state = playGo(game, state, 'novice', chance) as GameState
      }
    }),
    { numRuns: 200 },
  )
})

test('every move offered is legal: playing it keeps the state whole and the turn with a player', () => {
  fc.assert(
    fc.property(plays, ({ at: { game, level }, more, seed }) => {
      const chance = seededChance(seed)
      const players = playersOf(game, more)
      let state = game.setup(level.params, players) as GameState
      for (let go = 0; go < 12 && !state.ended; go++) {
        const rolled = game.roll(state, chance) as GameState
        for (const move of game.moves(rolled)) {
          const next = game.play(rolled, move) as GameState
          expect(JSON.parse(JSON.stringify(next))).toEqual(next)
          expect(next.turn).toBeGreaterThanOrEqual(0)
          expect(next.turn).toBeLessThan(players)
        }
        state = playGo(game, state, 'novice', chance) as GameState
      }
    }),
    { numRuns: 150 },
  )
})

test('the parameters of every level are what its schema makes of them', () => {
  for (const { game, level } of levels) expect(game.params.parse(level.params)).toEqual(level.params)
})

test('a variant is a legal change of the rules', () => {
  for (const { game, level } of levels)
    for (const { params } of game.variants(level.params)) {
      expect(game.params.parse(params)).toEqual(params)
      expect(params).not.toEqual(level.params)
    }
})

test('games with small parts, movement, balls, stairs or a clock say so', () => {
  for (const game of games)
    for (const { params } of game.levels) {
      const items = game.materials(params)
      const said = textsOf(game.id, params).cautions.join(' ')
      if (items.some(({ thing }) => isLoose(thing))) expect(said).toMatch(/Small parts/)
      if (items.some(({ thing }) => thing.kind === 'ball')) expect(said).toMatch(/Soft ball/)
      if (items.some(({ thing }) => thing.kind === 'timer')) expect(said).toMatch(/never before Year 2/)
      const jumps = play(game, params, playersOf(game, 1), 3, 'novice').events.some(
        ({ kind }) => kind === 'jumped',
      )
      const claps = 'action' in params && params.action === 'clap'
      if (jumps && !claps && game.id !== 'skip-lines') expect(said).toMatch(/own pace/)
      if (claps) expect(said).not.toMatch(/[Jj]ump/)
      if (items.some(({ thing }) => thing.kind === 'rope')) expect(said).toMatch(/Rope: flat/)
      if (/chalk/.test(textsOf(game.id, params).setUp)) expect(said).toMatch(/Chalk on dry ground/)
      if (jumps && items.some(({ thing }) => thing.kind === 'die'))
        expect(said).toMatch(/Roll dice in a tray/)
    }
})

describe('the planner sees no hidden card: what it chooses is the same however they lie', () => {
  const view = (id: string, state: object) => gameOf(id).view(state as GameState, 0)
  test('Twin Totals: cards nobody has turned', () => {
    const game = gameOf('twin-totals')
    const state = game.setup(game.levels[0].params, 2) as GameState & { seen: boolean[] }
    const seen = state.seen.map((_, place) => place < 3)
    const layout = [4, 1, 7, 0, 2, 3, 5, 6, 8, 9]
    const other = [4, 1, 7, 9, 8, 6, 5, 3, 2, 0]
    expect(view('twin-totals', { ...state, seen, layout })).toEqual(
      view('twin-totals', { ...state, seen, layout: other }),
    )
  })
  test('Any Pairs?: the stock and the other hands', () => {
    const game = gameOf('any-pairs')
    const state = { ...game.setup(game.levels[1].params, 2), dealt: true }
    expect(
      view('any-pairs', {
        ...state,
        hands: [
          [1, 2],
          [3, 4],
        ],
        stock: [5, 6],
      }),
    ).toEqual(
      view('any-pairs', {
        ...state,
        hands: [
          [1, 2],
          [6, 3],
        ],
        stock: [4, 5],
      }),
    )
  })
  test('Tens Catch: the pile; Number in the Fog: the number', () => {
    const tens = gameOf('tens-catch')
    const state = { ...tens.setup(tens.levels[1].params, 1), open: [1, 2, 3, 4] }
    expect(view('tens-catch', { ...state, unseen: [5, 6] })).toEqual(
      view('tens-catch', { ...state, unseen: [6, 7] }),
    )
    const fog = gameOf('fog-number')
    const hidden = (at: number) => ({ ...fog.setup(usualLevel(fog).params, 2), hidden: at })
    expect(view('fog-number', hidden(2))).toEqual(view('fog-number', hidden(7)))
  })
})

test('materials are conserved: cards of Tens Catch, birds of Perch, cards of Any Pairs?', () => {
  const cards = (state: Record<string, number[]>) =>
    state.unseen.length + state.under.length + state.open.length
  for (const seed of [1, 2, 3]) {
    const chance = seededChance(seed)
    const tens = gameOf('tens-catch')
    let state = tens.setup(tens.levels[1].params, 1) as never
    let taken = 0
    while (!(state as GameState).ended) {
      state = playGo(tens, state, 'novice', chance, (event: GameEvent) => {
        if (event.kind === 'took') taken += event.cards.length
      }) as never
      expect(cards(state) + taken).toBe(36)
    }
    const perch = gameOf('perch')
    let birds = perch.setup(perch.levels.find(({ id }) => id === 'two-dice')!.params, 2) as never
    while (!(birds as GameState).ended) {
      birds = playGo(perch, birds, 'novice', chance) as never
      const { hand, board } = birds as { hand: number[]; board: { tokens: number }[] }
      expect(hand[0] + hand[1] + board.reduce((sum, { tokens }) => sum + tokens, 0)).toBe(20)
    }
    const pairs = gameOf('any-pairs')
    let dealt = pairs.setup(pairs.levels[1].params, 3) as never
    while (!(dealt as GameState).ended) {
      dealt = playGo(pairs, dealt, 'novice', chance) as never
      const { hands, stock, pairs: laid } = dealt as { hands: number[][]; stock: number[]; pairs: number[] }
      const held = hands.reduce((sum, hand) => sum + hand.length, 0)
      expect(held + stock.length + 2 * laid.reduce((a, b) => a + b, 0)).toBe(40)
    }
  }
})
