import { and, asc, eq, gte, sql } from 'drizzle-orm'
import type { Played, SeatedBefore } from '@/core/planning/session/past'
import { jsonAll, jsonList } from '../json-row'
import { attendance, groupMember, played, pupil, station, stationSession, visit } from '../schema'
import type { ClassScope } from '../scope'

/** Who has played what in all sessions that were held, each with the last day of it. */
export async function playedIn({ db, classId }: ClassScope): Promise<Played[]> {
  // By game and day: a class has played thirty times as often as there are such rows.
  const rows = await db
    .select({
      gameId: played.gameId,
      mode: played.mode,
      day: played.day,
      pupilIds: jsonAll(sql<string>`to_json(${played.pupilId})`, sql`${played.pupilId}`),
    })
    .from(played)
    .where(eq(played.classId, classId))
    .groupBy(played.gameId, played.mode, played.day)
    .orderBy(asc(played.gameId), asc(played.mode), asc(played.day))
  return rows.flatMap(({ pupilIds, ...row }) => pupilIds.map((pupilId) => ({ ...row, pupilId })))
}

/**
 * Sums up a session that was held: who was there has played what was at the stations, as one of its group or as one who
 * sat with it for this session. Who went home has played what came before; and nobody what lies after the slot in which
 * it was ended.
 */
export async function sumUpPlayed({ db, classId }: ClassScope, sessionId: string) {
  await db.execute(sql`
    insert into ${played} (class_id, pupil_id, game_id, mode, day)
    select ${stationSession.classId}, there.pupil_id, ${station.gameId}, ${station.mode}, max(${stationSession.day})
    from ${visit} join ${stationSession} on ${stationSession.id} = ${visit.sessionId}
      join ${station} on ${station.id} = ${visit.stationId}
      join lateral (
        select ${groupMember.pupilId} from ${groupMember} where ${groupMember.groupId} = ${visit.groupId}
        union select ${pupil.id} from ${pupil} where ${pupil.classId} = ${classId}
          and ${pupil.id}::text in (select jsonb_array_elements_text(jsonb_array_elements(${visit.seats})))
      ) there on true
    where ${stationSession.id} = ${sessionId} and ${stationSession.classId} = ${classId}
      and ${visit.slot} <= ${stationSession.slot}
      and not exists (select from ${attendance} where ${attendance.sessionId} = ${stationSession.id}
        and ${attendance.pupilId} = there.pupil_id and ${attendance.absent} and ${visit.slot} >= ${attendance.fromSlot})
    group by 1, 2, 3, 4
    on conflict (pupil_id, game_id, mode) do update set day = greatest(${played.day}, excluded.day)`)
}

/** The sets of the sessions that were held since a day, oldest first; who was away sat in none. */
export async function seatedSince({ db, classId }: ClassScope, day: string): Promise<SeatedBefore[]> {
  const sessions = await db
    .select({
      id: stationSession.id,
      visits: jsonList(
        sql<[slot: number, seats: string[][]]>`json_build_array(${visit.slot}, ${visit.seats})`,
        sql`${visit} where ${visit.sessionId} = ${stationSession.id} and ${visit.slot} <= ${stationSession.slot}`,
        sql`${visit.slot}`,
      ),
      away: jsonList(
        sql<
          [pupilId: string, fromSlot: number]
        >`json_build_array(${attendance.pupilId}, ${attendance.fromSlot})`,
        sql`${attendance} where ${attendance.sessionId} = ${stationSession.id} and ${attendance.absent}`,
      ),
    })
    .from(stationSession)
    .where(
      and(
        eq(stationSession.classId, classId),
        eq(stationSession.state, 'done'),
        gte(stationSession.day, day),
      ),
    )
    .orderBy(asc(stationSession.day), asc(stationSession.startsAt), asc(stationSession.id))
  return sessions.flatMap(({ id: sessionId, visits, away }) =>
    visits.map(([slot, seats]) => ({
      sessionId,
      slot,
      sets: seats
        .map((set) => set.filter((child) => !away.some(([id, from]) => id === child && slot >= from)))
        .filter((set) => set.length > 0),
    })),
  )
}
