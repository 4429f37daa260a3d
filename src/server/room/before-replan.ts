import { z } from 'zod'
import { stationModes } from '@/core/planning/session/plan'
import type { StoredSession } from '@/data/queries/sessions'

/** What of a session a re-plan may change, as it was before: kept so that it can be undone. */
const beforeSchema = z.object({
  slots: z.number().int(),
  slotMinutes: z.number().int(),
  modes: z.record(z.uuid(), z.enum(stationModes)),
  visits: z.array(
    z.object({
      id: z.uuid(),
      slot: z.number().int(),
      stationId: z.uuid(),
      groupId: z.uuid(),
      levelId: z.string(),
      levelChosen: z.boolean(),
      seats: z.array(z.array(z.uuid())),
      ownLevels: z.record(z.string(), z.string()),
      pinned: z.boolean(),
    }),
  ),
  /** Sessions that were made for another day of what was lost. */
  carried: z.array(z.uuid()),
  /** The slot in which it was first planned anew: later there is no way back, since visits have been held by it. */
  inSlot: z.number().int(),
})
type Before = z.output<typeof beforeSchema>

/** A session as it stands before it is planned anew. */
export const beforeOf = ({ slots, slotMinutes, slot, stations, visits }: StoredSession): Before => ({
  slots,
  slotMinutes,
  modes: Object.fromEntries(stations.map(({ id, mode }) => [id, mode])),
  visits: visits.map(
    ({ id, slot: at, stationId, groupId, levelId, levelChosen, seats, ownLevels, pinned }) => ({
      id,
      slot: at,
      stationId,
      groupId,
      levelId,
      levelChosen,
      seats,
      ownLevels,
      pinned,
    }),
  ),
  carried: [],
  inSlot: slot,
})

/** As it was before it was planned anew in this slot; null: it was not, or it has moved on since. */
export function wayBack(session: Pick<StoredSession, 'state' | 'slot' | 'beforeReplan'>): Before | null {
  const before = beforeSchema.safeParse(session.beforeReplan)
  return session.state === 'running' && before.success && before.data.inSlot === session.slot
    ? before.data
    : null
}
