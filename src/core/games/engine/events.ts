import { z } from 'zod'
import { practiceItemSchema } from '../../skills/item'

const player = z.number()

/**
 * What happens in a go, in order: enough to animate a board, to write the number sentence and to
 * add up the seconds. Which of them a game sends says which parts of a go take time.
 */
export const gameEventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('predicted'), player }),
  z.object({ kind: z.literal('rolled'), player, faces: z.array(z.number()).readonly() }),
  z.object({ kind: z.literal('spun'), player, sector: z.number() }),
  z.object({ kind: z.literal('drew'), player, card: z.number() }),
  /** An adult or a caller says or shows something to all. */
  z.object({ kind: z.literal('called'), player, words: z.string() }),
  /** A practice item was worked out, by counting `steps` on from a number, or all of them. */
  z.object({
    kind: z.literal('answered'),
    player,
    item: practiceItemSchema,
    steps: z.number(),
    /** It holds what only one who keeps a secret knows: told to nobody else. */
    secret: z.literal(true).optional(),
  }),
  /** A child weighed up several moves, and took one. */
  z.object({ kind: z.literal('chose'), player }),
  z.object({ kind: z.literal('moved'), player, from: z.number(), to: z.number(), squares: z.number() }),
  z.object({ kind: z.literal('built'), player, cubes: z.number(), space: z.number() }),
  /** A token, marker or card laid on a space. */
  z.object({ kind: z.literal('placed'), player, space: z.number() }),
  /** Cards taken, kept or turned back. */
  z.object({ kind: z.literal('took'), player, cards: z.array(z.number()) }),
  /** A token sent back to its owner. */
  z.object({ kind: z.literal('sent-back'), player: z.number(), space: z.number() }),
  /** Jumps, hops, claps or steps. */
  z.object({
    kind: z.literal('jumped'),
    player,
    times: z.number(),
    /** They leave the table for it, and come back. */
    away: z.literal(true).optional(),
  }),
  z.object({ kind: z.literal('explained'), player }),
  /** The child judged that nothing can be done: a dead go. */
  z.object({ kind: z.literal('waited'), player }),
  z.object({
    kind: z.literal('wrote'),
    player,
    what: z.enum(['sentence', 'numeral', 'drawing']),
    text: z.string(),
  }),
  z.object({ kind: z.literal('handed-over'), player }),
  z.object({ kind: z.literal('ended'), player: z.number().nullable() }),
])

export type GameEvent = z.infer<typeof gameEventSchema>
