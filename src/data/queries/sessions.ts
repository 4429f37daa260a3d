import {
  and,
  asc,
  count,
  desc,
  eq,
  getTableColumns,
  inArray,
  isNull,
  lte,
  ne,
  notExists,
  notInArray,
  or,
  sql,
} from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import type { SessionFrame } from '@/core/planning/session/plan'
import type { StrandId } from '@/core/skills'
import { jsonList, jsonRow } from '../json-row'
import {
  attendance,
  grouping,
  groupMember,
  link,
  observation,
  station,
  stationSession,
  visit,
} from '../schema'
import type { ClockBefore, StationMode } from '../schema'
import type { ClassScope } from '../scope'

export type { ClockBefore, StationMode }

export type SessionRow = typeof stationSession.$inferSelect
type StationRow = Omit<typeof station.$inferSelect, 'classId' | 'sessionId'>
type VisitRow = Omit<typeof visit.$inferSelect, 'classId' | 'sessionId'>

export interface StoredSession extends SessionRow {
  stations: StationRow[]
  visits: VisitRow[]
}

const { classId: _ofStation, sessionId: _stationOf, ...stationColumns } = getTableColumns(station)
const { classId: _ofVisit, sessionId: _visitOf, ...visitColumns } = getTableColumns(visit)

/** A session with its parts, in one row. */
const sessionWithParts = {
  ...getTableColumns(stationSession),
  stations: jsonList(
    jsonRow(stationColumns),
    sql`${station} where ${station.sessionId} = ${stationSession.id}`,
    sql`${station.position}`,
  ),
  visits: jsonList(
    jsonRow(visitColumns),
    sql`${visit} where ${visit.sessionId} = ${stationSession.id}`,
    sql`${visit.slot}, ${visit.id}`,
  ),
}

/** How a session stands that has not begun. */
export const notBegun = {
  state: 'planned',
  begunAt: null,
  before: null,
  beforeReplan: null,
  slot: 0,
  slotStartedAt: null,
  pausedAt: null,
  extraMinutes: 0,
} as const

/** The session under way, else the earliest still planned. */
export async function nextSession({ db, classId }: ClassScope): Promise<StoredSession | null> {
  const [row] = await db
    .select(sessionWithParts)
    .from(stationSession)
    .where(and(eq(stationSession.classId, classId), ne(stationSession.state, 'done')))
    .orderBy(desc(eq(stationSession.state, 'running')), asc(stationSession.day), asc(stationSession.startsAt))
    .limit(1)
  return row ?? null
}

/** When the latest session began that was held as it was planned, with its slots and adults; undefined: there is none. */
export async function lastFrame({ db, classId }: ClassScope): Promise<SessionFrame | undefined> {
  const { startsAt, slots, slotMinutes, around, adults } = stationSession
  const changed = alias(stationSession, 'changed')
  const carriedOver = db
    .select({ id: changed.id })
    .from(changed)
    .where(
      and(
        eq(changed.classId, classId),
        sql`${changed.beforeReplan}->'carried' @> to_jsonb(${stationSession.id}::text)`,
      ),
    )
  const [row] = await db
    .select({ startsAt, slots, slotMinutes, around, adults })
    .from(stationSession)
    .where(
      and(
        eq(stationSession.classId, classId),
        eq(stationSession.state, 'done'),
        // One that was shortened on its day, or makes up for what was lost then, says nothing of the next.
        isNull(stationSession.beforeReplan),
        notExists(carriedOver),
      ),
    )
    .orderBy(desc(stationSession.day), desc(startsAt), desc(stationSession.id))
    .limit(1)
  return row
}

/** A session that was held. */
export interface HeldSession {
  id: string
  day: string
  gameIds: string[]
  marks: number
}

/** The latest sessions that were held, newest first. */
export async function heldSessions({ db, classId }: ClassScope, most: number): Promise<HeldSession[]> {
  const held = await db
    .select({
      id: stationSession.id,
      day: stationSession.day,
      gameIds: jsonList(
        sql<string>`to_json(${station.gameId})`,
        sql`${station} where ${station.sessionId} = ${stationSession.id}`,
        sql`${station.position}`,
      ),
    })
    .from(stationSession)
    .where(and(eq(stationSession.classId, classId), eq(stationSession.state, 'done')))
    .orderBy(desc(stationSession.day), desc(stationSession.startsAt), desc(stationSession.id))
    .limit(most)
  // Of all at once: counted session by session, the whole table would be gone through for each.
  const counted = await db
    .select({ sessionId: visit.sessionId, marks: count() })
    .from(observation)
    .innerJoin(visit, eq(visit.id, observation.visitId))
    .where(
      and(
        inArray(
          visit.sessionId,
          held.map(({ id }) => id),
        ),
        eq(visit.classId, classId),
        observation.standing,
      ),
    )
    .groupBy(visit.sessionId)
  const marksOf = new Map(counted.map(({ sessionId, marks }) => [sessionId, marks]))
  return held.map((session) => ({ ...session, marks: marksOf.get(session.id) ?? 0 }))
}

export async function sessionOf({ db, classId }: ClassScope, id: string): Promise<StoredSession | null> {
  const [row] = await db
    .select(sessionWithParts)
    .from(stationSession)
    .where(and(eq(stationSession.classId, classId), eq(stationSession.id, id)))
  return row ?? null
}

export async function insertSession(
  { db, classId }: ClassScope,
  { stations, visits, ...row }: Omit<StoredSession, 'classId'>,
) {
  await db.insert(stationSession).values({ ...row, classId })
  await db.insert(station).values(stations.map((s) => ({ ...s, classId, sessionId: row.id })))
  await db.insert(visit).values(visits.map((v) => ({ ...v, classId, sessionId: row.id })))
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
  await db.delete(link).where(and(eq(link.classId, classId), eq(link.sessionId, id)))
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

/** Who plays with whom and at which level at a visit. */
export async function updateVisit(
  { db, classId }: ClassScope,
  id: string,
  change: Partial<Pick<VisitRow, 'seats' | 'ownLevels'>>,
) {
  await db
    .update(visit)
    .set(change)
    .where(and(eq(visit.classId, classId), eq(visit.id, id)))
}

/**
 * The visits of a session are these: those that stay keep their number, so that what was seen at them stays with them.
 * Those that go must have nothing that points at them.
 */
export async function replaceVisits(
  { db, classId }: ClassScope,
  sessionId: string,
  visits: readonly VisitRow[],
) {
  const ofSession = and(eq(visit.classId, classId), eq(visit.sessionId, sessionId))
  const ids = visits.map(({ id }) => id)
  await db.delete(visit).where(and(ofSession, ids.length > 0 ? notInArray(visit.id, ids) : undefined))
  // Out of the way first: two visits that change places would meet at the same slot.
  await db
    .update(visit)
    .set({ slot: sql`-1 - ${visit.slot}` })
    .where(ofSession)
  for (const row of visits)
    await db
      .insert(visit)
      .values({ ...row, classId, sessionId })
      .onConflictDoUpdate({ target: visit.id, set: row })
}

export async function updateStationMode({ db, classId }: ClassScope, id: string, mode: StationMode) {
  await db
    .update(station)
    .set({ mode })
    .where(and(eq(station.classId, classId), eq(station.id, id)))
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

/** A visit with what a mark at it has to know. */
export interface VisitMet {
  visit: Pick<VisitRow, 'levelId' | 'ownLevels' | 'seats'>
  session: Pick<SessionRow, 'id' | 'state' | 'begunAt' | 'day'>
  stationId: string
  slot: number
  gameId: string
  /** The strand its groups were made for. */
  strand: StrandId
  /** Who of the children asked for is in its group, or sits at it. */
  pupilIds: Set<string>
}

/** Visits of the class by id, as far as there are any, with who of some children is there. */
export async function visitsMet(
  { db, classId }: ClassScope,
  ids: readonly string[],
  pupilIds: readonly string[],
): Promise<Map<string, VisitMet>> {
  const rows = await db
    .select({
      id: visit.id,
      visit: { levelId: visit.levelId, ownLevels: visit.ownLevels, seats: visit.seats },
      session: {
        id: stationSession.id,
        state: stationSession.state,
        begunAt: stationSession.begunAt,
        day: stationSession.day,
      },
      stationId: station.id,
      slot: visit.slot,
      gameId: station.gameId,
      strand: grouping.strand,
      pupilId: groupMember.pupilId,
    })
    .from(visit)
    .innerJoin(stationSession, eq(stationSession.id, visit.sessionId))
    .innerJoin(station, eq(station.id, visit.stationId))
    .innerJoin(grouping, eq(grouping.id, stationSession.groupingId))
    .leftJoin(
      groupMember,
      and(eq(groupMember.groupId, visit.groupId), inArray(groupMember.pupilId, [...pupilIds])),
    )
    .where(and(eq(visit.classId, classId), inArray(visit.id, [...ids])))
  const met = new Map<string, VisitMet>()
  const asked = new Set(pupilIds)
  for (const { id, pupilId, ...row } of rows) {
    const one = met.get(id) ?? { ...row, pupilIds: new Set<string>() }
    if (pupilId) one.pupilIds.add(pupilId)
    // Who joined for this session sits here, and is in another group on other days.
    for (const seated of row.visit.seats.flat()) if (asked.has(seated)) one.pupilIds.add(seated)
    met.set(id, one)
  }
  return met
}

/** Who is away, and from which slot on. */
export async function absentOf(
  { db, classId }: ClassScope,
  sessionId: string,
): Promise<{ pupilId: string; fromSlot: number }[]> {
  return db
    .select({ pupilId: attendance.pupilId, fromSlot: attendance.fromSlot })
    .from(attendance)
    .where(
      and(eq(attendance.classId, classId), eq(attendance.sessionId, sessionId), eq(attendance.absent, true)),
    )
}

/** What was told last stands. */
export async function setAbsent(
  { db, classId }: ClassScope,
  row: Omit<typeof attendance.$inferInsert, 'classId'>,
) {
  const { absent, fromSlot, toldAt } = row
  await db
    .insert(attendance)
    .values({ ...row, classId })
    .onConflictDoUpdate({
      target: [attendance.sessionId, attendance.pupilId],
      set: { absent, fromSlot, toldAt },
      setWhere: or(isNull(attendance.toldAt), lte(attendance.toldAt, toldAt!)),
    })
}
