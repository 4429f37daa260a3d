import { z } from 'zod'
import { practiceItemSchema } from '../skills/item'

/**
 * What happens in a go, in order: enough to animate a board, to write the number sentence and to
 * add up the seconds. Which of them a game sends says which parts of a go take time.
 */
export const gameEventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('predicted'), player: z.number() }),
  z.object({ kind: z.literal('rolled'), player: z.number(), faces: z.array(z.number()) }),
  z.object({ kind: z.literal('spun'), player: z.number(), sector: z.number() }),
  z.object({ kind: z.literal('drew'), player: z.number(), card: z.number() }),
  /** A practice item was worked out, by counting `steps` on from a number, or all of them. */
  z.object({ kind: z.literal('answered'), player: z.number(), item: practiceItemSchema, steps: z.number() }),
  z.object({
    kind: z.literal('moved'),
    player: z.number(),
    from: z.number(),
    to: z.number(),
    squares: z.number(),
  }),
  z.object({ kind: z.literal('built'), player: z.number(), cubes: z.number(), space: z.number() }),
  /** The child judged that nothing can be done: a dead go. */
  z.object({ kind: z.literal('waited'), player: z.number() }),
  z.object({
    kind: z.literal('wrote'),
    player: z.number(),
    what: z.enum(['sentence', 'numeral']),
    text: z.string(),
  }),
  z.object({ kind: z.literal('handed-over'), player: z.number() }),
  z.object({ kind: z.literal('ended'), player: z.number() }),
])

export type GameEvent = z.infer<typeof gameEventSchema>
