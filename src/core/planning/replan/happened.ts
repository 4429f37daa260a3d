import { z } from 'zod'

/** What can go wrong while a session runs. */
export const happenedSchema = z.discriminatedUnion('kind', [
  /** So many minutes behind: the bell does not wait. */
  z.object({ kind: z.literal('late'), minutes: z.number().int().min(1).max(60) }),
  /** A slot’s time is gone: a fire drill, a visitor. */
  z.object({ kind: z.literal('lost-slot') }),
  /** An adult who was to be at a station is not there. */
  z.object({ kind: z.literal('adult-missing') }),
  /** A station can’t go on. */
  z.object({ kind: z.literal('station-fails'), stationId: z.uuid() }),
  /** Of a group only one child is there. */
  z.object({ kind: z.literal('alone'), groupId: z.uuid() }),
])

export type Happened = z.output<typeof happenedSchema>
