import { z } from 'zod'
import { seededChance } from '../chance/chance'
import type { GameEvent } from './engine/events'
import { games, playGo, type AnyGame, type GameState } from './index'
import { cards, dice, spinner } from './engine/source'

/** Values that some option of some game may take; those a schema refuses are passed over. */
const candidates: unknown[] = [
  ...[true, false, null, 0, 1, 2, 3, 4, 5, 6, 7, 8, 10, 12, 15, 16, 20, 24, 30, 50, 60, 90, 100, 120, 600],
  ...['any', 'make-ten', 'product', 'difference', 'ten-minus', 'minus-two'],
  ...[dice(1), dice(2), dice(3), spinner(4), spinner(8), cards(0, 5), cards(1, 9)],
  ...[{ kind: 'doubles', sectors: 5 }, { kind: 'difference' }, { kind: 'ten-more' }],
  ...[{ low: 0, high: 4, by: 1 }],
  ...[[34, 67], [3], [5, 9], [2, -1, 3, 1, -2, 5], ['AB'], ['ABB', 'ABC']],
  ...[['bonds-10', 'doubles'], Array.from({ length: 5 }, () => [7, 6, 8, 5, 9])],
]

/** Values of an enumeration, wherever it stands in the schema of an option. */
function enumerated(schema: unknown): unknown[] {
  if (typeof schema !== 'object' || schema === null) return []
  if (Array.isArray(schema)) return schema.flatMap(enumerated)
  const {
    enum: values = [],
    const: constant,
    ...rest
  } = schema as Record<string, unknown> & { enum?: unknown[] }
  return [
    ...values,
    ...(constant === undefined ? [] : [constant]),
    ...Object.values(rest).flatMap(enumerated),
  ]
}

/** What a game does and needs under these rules, as text. */
function behaviour(game: AnyGame, params: unknown): string {
  const players = Math.min(6, Math.max(game.players.min, 2, game.players.typical), game.players.max)
  const heard: unknown[] = [game.materials(params), game.figures?.(params, players)]
  for (const choice of ['novice', 'planner'] as const)
    for (const seed of [1, 2]) {
      const chance = seededChance(seed)
      let state = game.setup(params, players) as GameState
      for (let go = 0; go < 60 && !state.ended; go++)
        state = playGo(game, state, choice, chance, (event: GameEvent) => heard.push(event)) as GameState
      heard.push(state.ended, state.winner)
    }
  return JSON.stringify(heard)
}

/** The rules with one option changed, in every way that makes legal rules. */
function* changed(game: AnyGame, params: object, option: string, values: readonly unknown[]) {
  for (const value of values) {
    const parsed = game.params.safeParse({ ...params, [option]: value })
    const same = JSON.stringify((params as Record<string, unknown>)[option]) === JSON.stringify(value)
    if (parsed.success && !same) yield parsed.data as object
  }
}

function matters(
  game: AnyGame,
  option: string,
  values: readonly unknown[],
  bases: readonly object[],
): boolean {
  for (const base of bases) {
    const before = behaviour(game, base)
    for (const params of changed(game, base, option, values))
      if (behaviour(game, params) !== before) return true
  }
  return false
}

const options = games.flatMap((game) => {
  const { properties } = z.toJSONSchema(game.params, { io: 'input', unrepresentable: 'any' })
  return Object.entries(properties as object).map(
    ([option, schema]) => [game.id, option, game, schema] as const,
  )
})

test('there are options to walk', () => expect(options.length).toBeGreaterThan(150))

test.each(options)(
  '%s: changing %s changes a figure, an event or what is needed',
  (_id, option, game, schema) => {
    const values = [...enumerated(schema), ...candidates]
    const bases = game.levels.map(({ params }) => params as object)
    if (matters(game, option, values, bases)) return
    // Some options only speak where another is set: slips must happen before it matters what follows them.
    const others = options.filter(([id, other]) => id === game.id && other !== option)
    const set = others.flatMap(([, other, , own]) =>
      [...changed(game, bases[0], other, [...enumerated(own), ...candidates])].slice(0, 8),
    )
    expect(matters(game, option, values, set)).toBe(true)
  },
)
