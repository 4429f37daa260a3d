import { z } from 'zod'
import { gameIdSchema, gameOf } from '@/core/games'
import { gamePages } from '@/core/printing/game-pages'
import { paperSchema } from '@/core/printing/paper'

const printSchema = z
  .object({
    game: gameIdSchema,
    level: z.string(),
    players: z.number().int().min(1).max(60).default(2),
    paper: paperSchema.default('A4'),
  })
  .refine(({ game, level }) => gameOf(game).levels.some(({ id }) => id === level), {
    path: ['level'],
    error: 'The game has no such level.',
  })

/** Pages of a level as marks in millimetres, and what of paper can't be printed yet. */
export function print(input: unknown) {
  const { game: id, level, players, paper } = printSchema.parse(input)
  const game = gameOf(id)
  return gamePages(
    game,
    game.levels.find((one) => one.id === level)!,
    players,
    paper,
  )
}
