import { z } from 'zod'
import { mostMinutes } from './class-pace'
import { noteSchema } from './note'

/** Made by the device: what is told twice counts once, and what was told last stands. */
const told = { id: z.uuid(), madeAt: z.iso.datetime({ offset: true }) }

/**
 * What an adult tells at a station beside marks: who is away, words about a child, a game that was finished, whether
 * it was liked. The one shape of it in the device's queue, on its way and where it is taken in.
 */
export const toldSchema = z.discriminatedUnion('kind', [
  z.object({
    ...told,
    kind: z.literal('absent'),
    sessionId: z.uuid(),
    pupilId: z.uuid(),
    absent: z.boolean(),
    /** Away from this slot on: who went home was there before. */
    fromSlot: z.number().int().min(0).max(20).default(0),
  }),
  noteSchema.extend({ kind: z.literal('note') }),
  z.object({
    ...told,
    kind: z.literal('finished'),
    visitId: z.uuid(),
    /** From the beginning of the slot, or from the game before it at this visit. */
    minutes: z.number().positive().max(mostMinutes),
  }),
  /** A tap too much: that game was not finished. */
  z.object({ ...told, kind: z.literal('unfinished'), visitId: z.uuid(), game: z.uuid() }),
  z.object({ ...told, kind: z.literal('liked'), visitId: z.uuid(), liked: z.boolean() }),
])

export type Told = z.output<typeof toldSchema>
