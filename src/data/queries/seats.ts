import { and, asc, eq, gte, inArray, sql } from 'drizzle-orm'
import { attendance, stationSession, visit } from '../schema'
import type { ClassScope } from '../scope'

/** Who played with whom in a session that was held. */
export interface SeatsRow {
  sessionId: string
  /** In the order they were played. */
  visits: { slot: number; seats: string[][] }[]
  away: string[]
}

/** Seats of the sessions held from a day on, oldest first. */
export async function seatsSince({ db, classId }: ClassScope, day: string): Promise<SeatsRow[]> {
  const sessions = await db
    .select({ id: stationSession.id })
    .from(stationSession)
    .where(
      and(
        eq(stationSession.classId, classId),
        eq(stationSession.state, 'done'),
        gte(stationSession.day, day),
      ),
    )
    .orderBy(asc(stationSession.day), asc(stationSession.startsAt))
  if (sessions.length === 0) return []
  const ids = sessions.map(({ id }) => id)
  const [visits, away] = await Promise.all([
    // A row a session: rows are what costs here.
    db
      .select({
        sessionId: visit.sessionId,
        all: sql<
          SeatsRow['visits']
        >`json_agg(json_build_object('slot', ${visit.slot}, 'seats', ${visit.seats}) order by ${visit.slot})`,
      })
      .from(visit)
      .where(and(eq(visit.classId, classId), inArray(visit.sessionId, ids)))
      .groupBy(visit.sessionId),
    db
      .select({ sessionId: attendance.sessionId, pupilId: attendance.pupilId })
      .from(attendance)
      .where(
        and(eq(attendance.classId, classId), inArray(attendance.sessionId, ids), eq(attendance.absent, true)),
      ),
  ])
  return ids.map((sessionId) => ({
    sessionId,
    visits: visits.find((one) => one.sessionId === sessionId)?.all ?? [],
    away: away.filter((one) => one.sessionId === sessionId).map(({ pupilId }) => pupilId),
  }))
}
