import { z } from 'zod'
import { gameIdSchema, gameOf, usualLevel, type AnyGame } from '@/core/games'
import { auto, newRound, sceneOf, type RoundEvent } from '@/core/games/engine/round'
import { demonstrate } from '@/core/games/engine/demonstration'
import { isTrue, practiceItemSchema, slips } from '@/core/skills'
import type { Viewer } from '@/core/table'

/** A game with rules: a level by its id, or the game's own parameters; neither: the first level. */
const ruledSchema = z
  .object({
    game: gameIdSchema,
    level: z.string().optional(),
    params: z.unknown().optional(),
    players: z.number().int().min(1).max(34).optional(),
  })
  .transform(({ game: id, level, params, players }, context) => {
    const game = gameOf(id)
    const found = level === undefined ? usualLevel(game) : game.levels.find((one) => one.id === level)
    if (!found) {
      context.addIssue({ code: 'custom', path: ['level'], message: `${game.title} has no such level.` })
      return z.NEVER
    }
    const rules = game.params.safeParse(params ?? found.params)
    if (!rules.success) {
      for (const { path, message } of rules.error.issues)
        context.addIssue({ code: 'custom', path: ['params', ...path], message })
      return z.NEVER
    }
    const playing = players ?? Math.max(1, game.players.min)
    if (playing < game.players.min || playing > game.players.max) {
      context.addIssue({
        code: 'custom',
        path: ['players'],
        message: `${game.title} takes ${game.players.min} to ${game.players.max} players.`,
      })
      return z.NEVER
    }
    return { game: game as AnyGame, params: rules.data as unknown, players: playing }
  })

const playSchema = z.intersection(
  ruledSchema,
  z.object({
    choice: z.enum(['planner', 'novice']).default('planner'),
    seed: z
      .number()
      .int()
      .min(0)
      .max(2 ** 31)
      .default(1),
    goes: z.number().int().min(1).max(1000).default(50),
    viewer: z.union([z.literal('all'), z.literal('table'), z.number().int().min(0).max(33)]).default('all'),
  }),
)

/** A round as it lies on the table, go by go. */
export function play(input: unknown) {
  const { game, params, players, choice, seed, goes, viewer } = playSchema.parse(input)
  const { width, height, spots } = game.table.layout(params, players)
  let round = newRound(game.id, params, players, seed)
  const start = sceneOf(round, viewer)
  const rounds: { actor: number; events: readonly RoundEvent[]; scene: ReturnType<typeof sceneOf> }[] = []
  while (round.phase !== 'over' && rounds.length < goes) {
    const actor = round.state.turn
    const events: RoundEvent[] = []
    do {
      const step = auto(round, choice, viewer as Viewer)
      events.push(...step.events)
      round = step.round
    } while (round.phase === 'choose')
    rounds.push({ actor, events, scene: sceneOf(round, viewer) })
  }
  return {
    layout: { width, height, spots: spots.map(({ id, at, size }) => ({ id, at, size })) },
    start,
    rounds,
    over: round.phase === 'over',
  }
}

/** The round that shows most of a level's rules. */
export function demonstration(input: unknown) {
  const { game, params, players } = ruledSchema.parse(input)
  return demonstrate(game, params, players)
}

/** Wrong answers that are likely, likeliest first. */
export const slipsOf = (input: unknown) => ({
  slips: slips(
    z.object({ item: practiceItemSchema.refine(isTrue, 'The answer is not the right one.') }).parse(input)
      .item,
  ),
})
