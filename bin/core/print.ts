import { buffer } from 'node:stream/consumers'
import { z } from 'zod'
import { gameIdSchema, gameOf } from '@/core/games'
import { gamePile } from '@/core/printing/game-pile'
import { packed, type Page } from '@/core/printing/pack'
import { pagesOf } from '@/core/printing/pages'
import { mostCopies, TooMuch } from '@/core/printing/too-much'
import { backsSchema, paperSchema } from '@/core/printing/paper'
import { piecesOf } from '@/core/printing/pieces/of-thing'
import { taskCardForms } from '@/core/printing/sheets/task-card'
import { countsToPrint } from '@/core/printing/to-print'
import { nameOf, thingSchema } from '@/core/things'
import { pdfOf } from '@/server/print/pdf'
import { inputProblems } from './input-problems'

const levelSchema = z
  .object({
    game: gameIdSchema,
    level: z.string(),
    players: z.number().int().min(1).max(60).default(2),
  })
  .refine(({ game, level }) => gameOf(game).levels.some(({ id }) => id === level), {
    path: ['level'],
    error: 'The game has no such level.',
  })

const thingsSchema = z
  .array(z.object({ thing: thingSchema, count: z.number().int().min(1).max(mostCopies).default(1) }))
  .min(1)
  .max(100)

const frameSchema = z.object({
  paper: paperSchema.default('A4'),
  backs: backsSchema.default('none'),
  taskCards: z.enum(taskCardForms).default('small'),
  seed: z.number().int().min(1).max(9999).default(1),
  as: z.enum(['marks', 'pdf']).default('marks'),
})

const printSchema = z.union([
  frameSchema.extend({ job: z.union([thingsSchema, levelSchema]) }),
  z.intersection(frameSchema, levelSchema),
])

/** Pages of things or of a level as marks in millimetres, or as a PDF; and what can't be printed. */
export async function print(input: unknown) {
  const asked = printSchema.parse(input)
  const { paper, backs, seed, as, taskCards } = asked
  const job = 'job' in asked ? asked.job : asked
  const { title, pages, missing } = asInputProblem(() =>
    Array.isArray(job)
      ? thingPages(job, { paper, backs, seed })
      : levelPages(job, { paper, backs, seed, taskCards }),
  )
  if (as === 'marks') return { pages, missing }
  const document = pdfOf(title, pages)
  return { pages: pages.length, missing, pdf: (await buffer(document)).toString('base64') }
}

/** A job that nobody can mean is a problem with the input. */
function asInputProblem<T>(run: () => T): T {
  try {
    return run()
  } catch (error) {
    if (error instanceof TooMuch) throw inputProblems('job', [error.message])
    throw error
  }
}

type Frame = Omit<z.output<typeof frameSchema>, 'as' | 'taskCards'>

function levelPages(
  { game: id, level: levelId, players }: z.output<typeof levelSchema>,
  frame: Frame & Pick<z.output<typeof frameSchema>, 'taskCards'>,
) {
  const game = gameOf(id)
  const pile = gamePile(
    game,
    game.levels.find((one) => one.id === levelId)!,
    players,
  )
  const pages = pagesOf(pile, { ...frame, counts: countsToPrint(pile.bundles, new Map()) })
  return { title: pile.title, pages, missing: [] as string[] }
}

/** Things that only a game knows how to draw, such as its boards, are printed with a level of it. */
function thingPages(job: z.output<typeof thingsSchema>, frame: Frame) {
  const missing: string[] = []
  const parts = job.flatMap(({ thing, count }) => {
    const pieces = piecesOf(thing, count, null, frame.seed)
    if (pieces) return [{ title: nameOf(thing), pieces }]
    missing.push(nameOf(thing))
    return []
  })
  const pages: Page[] = packed([{ title: 'things', parts }], frame)
  return { title: 'things', pages, missing }
}
