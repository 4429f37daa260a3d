import { and, asc, desc, eq, ne, sql } from 'drizzle-orm'
import { attendance, groupMember, station, stationSession, visit } from '../schema'

import type { StationMode } from '../schema'
import type { ClassScope } from '../scope'

export type { StationMode }

export type SessionRow = typeof stationSession.$inferSelect
type StationRow = Omit<typeof station.$inferSelect, 'classId' | 'sessionId'>
type VisitRow = Omit<typeof visit.$inferSelect, 'classId' | 'sessionId'>

export interface StoredSession extends SessionRow {
  stations: StationRow[]
  visits: VisitRow[]
}

async function withParts(
  { db, classId }: ClassScope,
  row: SessionRow | undefined,
): Promise<StoredSession | null> {
  if (!row) return null
  const [stations, visits] = await Promise.all([
    db
      .select()
      .from(station)
      .where(and(eq(station.classId, classId), eq(station.sessionId, row.id)))
      .orderBy(asc(station.position)),
    db
      .select()
      .from(visit)
      .where(and(eq(visit.classId, classId), eq(visit.sessionId, row.id)))
      .orderBy(asc(visit.slot), asc(visit.station), asc(visit.group)),
  ])
  return { ...row, stations, visits }
}

/** The session under way, else the earliest still planned. */
export async function nextSession(scope: ClassScope): Promise<StoredSession | null> {
  const { db, classId } = scope
  const [row] = await db
    .select()
    .from(stationSession)
    .where(and(eq(stationSession.classId, classId), ne(stationSession.state, 'done')))
    .orderBy(desc(eq(stationSession.state, 'running')), asc(stationSession.day), asc(stationSession.startsAt))
    .limit(1)
  return withParts(scope, row)
}

export async function sessionOf(scope: ClassScope, id: string): Promise<StoredSession | null> {
  const { db, classId } = scope
  const [row] = await db
    .select()
    .from(stationSession)
    .where(and(eq(stationSession.classId, classId), eq(stationSession.id, id)))
  return withParts(scope, row)
}

export async function insertSession(
  { db, classId }: ClassScope,
  { stations, visits, ...row }: Omit<StoredSession, 'classId'>,
) {
  await db.insert(stationSession).values({ ...row, classId })
  await db.insert(station).values(stations.map((s) => ({ ...s, classId, sessionId: row.id })))
  await db.insert(visit).values(visits.map((v) => ({ ...v, classId, sessionId: row.id })))
}

/** A child at a game in a way of having an adult, with the last day of it. */
export interface PlayedRow {
  pupilId: string
  gameId: string
  mode: StationMode
  day: string
}

/** Who has played what in the sessions that are done; who was away has not. */
export async function playedInClass({ db, classId }: ClassScope): Promise<PlayedRow[]> {
  // A row a session and no joins: here joins cost more than putting the parts together does.
  const [sessions, visits, stations, members, away] = await Promise.all([
    db
      .select({ id: stationSession.id, groupingId: stationSession.groupingId, day: stationSession.day })
      .from(stationSession)
      .where(and(eq(stationSession.classId, classId), eq(stationSession.state, 'done')))
      .orderBy(asc(stationSession.day)),
    db
      .select({
        of: visit.sessionId,
        all: sql<
          [group: number, station: number][]
        >`json_agg(json_build_array(${visit.group}, ${visit.station}))`,
      })
      .from(visit)
      .where(eq(visit.classId, classId))
      .groupBy(visit.sessionId),
    db
      .select({
        of: station.sessionId,
        all: sql<
          [gameId: string, mode: StationMode][]
        >`json_agg(json_build_array(${station.gameId}, ${station.mode}) order by ${station.position})`,
      })
      .from(station)
      .where(eq(station.classId, classId))
      .groupBy(station.sessionId),
    db
      .select({
        of: groupMember.groupingId,
        all: sql<
          [group: number, pupilId: string][]
        >`json_agg(json_build_array(${groupMember.position}, ${groupMember.pupilId}))`,
      })
      .from(groupMember)
      .where(eq(groupMember.classId, classId))
      .groupBy(groupMember.groupingId),
    db
      .select({ sessionId: attendance.sessionId, pupilId: attendance.pupilId })
      .from(attendance)
      .where(and(eq(attendance.classId, classId), eq(attendance.absent, true))),
  ])
  const wasAway = new Set(away.map(({ sessionId, pupilId }) => `${sessionId} ${pupilId}`))
  const allOf = <T>(rows: readonly { of: string; all: T[] }[], id: string) =>
    rows.find(({ of }) => of === id)?.all ?? []
  const played = new Map<string, PlayedRow>()
  for (const { id, groupingId, day } of sessions) {
    const there = allOf(stations, id)
    const children = allOf(members, groupingId)
    for (const [group, at] of allOf(visits, id)) {
      const [gameId, mode] = there[at]
      for (const [own, pupilId] of children)
        if (own === group && !wasAway.has(`${id} ${pupilId}`))
          // In the order of days: the last one stays.
          played.set(`${pupilId} ${gameId} ${mode}`, { pupilId, gameId, mode, day })
    }
  }
  return [...played.values()]
}

/** A planned session gives way to a new plan; one that ran is kept. */
export async function deletePlanned({ db, classId }: ClassScope, id: string) {
  const planned = and(
    eq(stationSession.classId, classId),
    eq(stationSession.id, id),
    eq(stationSession.state, 'planned'),
  )
  const [row] = await db.select({ id: stationSession.id }).from(stationSession).where(planned)
  if (!row) return
  await db.delete(attendance).where(and(eq(attendance.classId, classId), eq(attendance.sessionId, id)))
  await db.delete(visit).where(and(eq(visit.classId, classId), eq(visit.sessionId, id)))
  await db.delete(station).where(and(eq(station.classId, classId), eq(station.sessionId, id)))
  await db.delete(stationSession).where(planned)
}

export async function updateSession({ db, classId }: ClassScope, id: string, change: Partial<SessionRow>) {
  await db
    .update(stationSession)
    .set(change)
    .where(and(eq(stationSession.classId, classId), eq(stationSession.id, id)))
}

/** The session row, locked until the transaction ends: two taps on Next move on by one. */
export async function lockSession({ db, classId }: ClassScope, id: string): Promise<SessionRow | undefined> {
  const [row] = await db
    .select()
    .from(stationSession)
    .where(and(eq(stationSession.classId, classId), eq(stationSession.id, id)))
    .for('update')
  return row
}

export async function visitOf({ db, classId }: ClassScope, id: string) {
  const [row] = await db
    .select({ visit, session: stationSession, gameId: station.gameId })
    .from(visit)
    .innerJoin(stationSession, eq(stationSession.id, visit.sessionId))
    .innerJoin(station, and(eq(station.sessionId, visit.sessionId), eq(station.position, visit.station)))
    .where(and(eq(visit.classId, classId), eq(visit.id, id)))
  return row as { visit: typeof visit.$inferSelect; session: SessionRow; gameId: string } | undefined
}

export async function absentOf({ db, classId }: ClassScope, sessionId: string): Promise<string[]> {
  const rows = await db
    .select({ pupilId: attendance.pupilId })
    .from(attendance)
    .where(
      and(eq(attendance.classId, classId), eq(attendance.sessionId, sessionId), eq(attendance.absent, true)),
    )
  return rows.map(({ pupilId }) => pupilId)
}

export async function setAbsent(
  { db, classId }: ClassScope,
  sessionId: string,
  pupilId: string,
  absent: boolean,
) {
  await db
    .insert(attendance)
    .values({ classId, sessionId, pupilId, absent })
    .onConflictDoUpdate({ target: [attendance.sessionId, attendance.pupilId], set: { absent } })
}
