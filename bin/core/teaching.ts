import { z } from 'zod'
import { measureLevel } from '@/core/analysis/level-measure'
import { seededChance } from '@/core/chance/chance'
import { markedStep } from '@/core/skills/marked-step'
import { gameIdSchema, gameOf, type AnyGame } from '@/core/games'
import { textsOf } from '@/core/games/texts'
import { hasStep, slipReasons, strandIds } from '@/core/skills'
import { taskFor } from '@/core/skills/tasks'
import { teachingMoves } from '@/core/teaching/moves'

const levelSchema = z
  .object({ game: gameIdSchema, level: z.string() })
  .transform(({ game: id, level }, context) => {
    const game = gameOf(id)
    const found = game.levels.find((one) => one.id === level)
    if (found) return { game, params: found.params as unknown }
    context.addIssue({
      code: 'custom',
      path: ['level'],
      message: `${game.title} has no level “${level}”. It has: ${game.levels.map((one) => one.id).join(', ')}.`,
    })
    return z.NEVER
  })

/** What an adult reads of a level, with its teaching moves written out. */
export function texts(input: unknown) {
  const { game, params } = levelSchema.parse(input)
  return writtenOut(game, params)
}

function writtenOut(game: AnyGame, params: unknown) {
  const { steps, misconceptions, ...rest } = textsOf(game.id, params)
  const { strand, step } = markedStep(measureLevel(game, params).marked)
  return {
    ...rest,
    steps: steps.map(([gesture, words]) => ({ gesture, words })),
    misconceptions: misconceptions.map(({ seen, ask, move, slip = move }) => ({
      seen,
      ask,
      move: teachingMoves[move],
      ...((slipReasons as readonly string[]).includes(slip) ? { slip } : {}),
    })),
    markedStep: { strand, step },
  }
}

const tasksSchema = z
  .object({
    strand: z.enum(strandIds),
    step: z.string(),
    count: z.number().int().min(1).max(10_000).default(10),
    seed: z.number().int().default(1),
  })
  .refine(hasStep, { path: ['step'], error: 'The strand has no such step.' })

/** Fresh tasks of a step: what to do, what to say, and the fact that is asked. */
export function tasks(input: unknown) {
  const { count, seed, ...place } = tasksSchema.parse(input)
  const chance = seededChance(seed)
  return { tasks: Array.from({ length: count }, () => taskFor(place, chance)) }
}
