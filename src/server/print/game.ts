import { z } from 'zod'
import { gameIdSchema, gameOf } from '@/core/games'
import { gamePages } from '@/core/printing/game-pages'
import { paperSchema } from '@/core/printing/paper'
import { classIdSchema } from '../classes'
import { NotHere, readingClass } from '../use-case'
import { pdfOf } from './pdf'

const printSchema = classIdSchema.extend({
  gameId: gameIdSchema,
  levelId: z.string().max(60).optional(),
  /** How many children it is for: a class and a half at the most, whatever the address says. */
  children: z.coerce.number().int().min(1).max(60).default(6),
  paper: paperSchema.default('A4'),
})

/** All of paper that children need for a level, as one PDF. Nothing of a child. */
export const printGame = readingClass(printSchema, async (_scope, { gameId, levelId, children, paper }) => {
  const game = gameOf(gameId)
  const level = levelId === undefined ? game.levels[0] : game.levels.find(({ id }) => id === levelId)
  if (!level) throw new NotHere()
  const { pages } = gamePages(game, level, children, paper)
  const title = `${game.title}, ${level.title}`
  return { title, pdf: await pdfOf(title, pages) }
})
