import { and, asc, eq, sql } from 'drizzle-orm'
import { jsonAll, jsonList } from '../json-row'
import { attendance, groupMember, station, stationSession, visit } from '../schema'
import type { StationMode } from '../schema'
import type { ClassScope } from '../scope'

/** A session that was held: what was at its stations, who came to them, and who played with whom. */
export interface HeldSession {
  id: string
  day: string
  stations: [gameId: string, mode: StationMode][]
  /** In the order of the slots; seats only of the days that were asked for. */
  visits: [slot: number, group: number, station: number, seats: string[][]][]
  /** Children by their group's position. */
  members: [group: number, pupilId: string][]
  away: string[]
}

/**
 * The sessions that were held, oldest first.
 * @param seatsFrom the day from which on it is told who played with whom
 */
export async function heldSessions({ db, classId }: ClassScope, seatsFrom: string): Promise<HeldSession[]> {
  const ofSession = (table: typeof station | typeof visit | typeof attendance) =>
    sql`${table} where ${table.sessionId} = ${stationSession.id}`
  const seats = sql<
    string[][]
  >`case when ${stationSession.day} >= ${seatsFrom} then ${visit.seats} else '[]'::jsonb end`
  const [sessions, groupings] = await Promise.all([
    db
      .select({
        id: stationSession.id,
        day: stationSession.day,
        groupingId: stationSession.groupingId,
        stations: jsonList(
          sql<HeldSession['stations'][number]>`json_build_array(${station.gameId}, ${station.mode})`,
          ofSession(station),
          sql`${station.position}`,
        ),
        visits: jsonList(
          sql<
            HeldSession['visits'][number]
          >`json_build_array(${visit.slot}, ${visit.group}, ${visit.station}, ${seats})`,
          ofSession(visit),
          sql`${visit.slot}`,
        ),
        away: jsonList(
          sql<string>`${attendance.pupilId}`,
          sql`${ofSession(attendance)} and ${attendance.absent}`,
        ),
      })
      .from(stationSession)
      .where(and(eq(stationSession.classId, classId), eq(stationSession.state, 'done')))
      .orderBy(asc(stationSession.day), asc(stationSession.startsAt)),
    db
      .select({
        id: groupMember.groupingId,
        members: jsonAll(
          sql<
            HeldSession['members'][number]
          >`json_build_array(${groupMember.position}, ${groupMember.pupilId})`,
        ),
      })
      .from(groupMember)
      .where(eq(groupMember.classId, classId))
      .groupBy(groupMember.groupingId),
  ])
  const membersOf = new Map(groupings.map(({ id, members }) => [id, members]))
  return sessions.map(({ groupingId, ...session }) => ({
    ...session,
    members: membersOf.get(groupingId) ?? [],
  }))
}
