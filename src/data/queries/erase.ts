import { and, eq, inArray, or, sql } from 'drizzle-orm'
import { z } from 'zod'
import { withoutId } from '../backup/without-child'
import type { Database } from '../connection'
import {
  attendance,
  bagItem,
  classroom,
  draft,
  erasure,
  estimate,
  estimateDay,
  grouping,
  groupingGroup,
  groupMember,
  houseStyle,
  finishedGame,
  link,
  invitation,
  membership,
  note,
  observation,
  placement,
  played,
  pupil,
  pupilLink,
  shelfCount,
  station,
  stationSession,
  visit,
  visitLiking,
} from '../schema'
import type { ClassScope } from '../scope'

/** A class as far as erasing needs it: an erase that was broken off is finished by nobody in particular. */
type OfClass = Pick<ClassScope, 'db' | 'classId'>

/** Takes every row about a child away, and its id out of seats, also of those a changed plan may go back to. */
export async function deletePupil({ db, classId }: OfClass, pupilId: string) {
  const own = (table: { classId: typeof placement.classId; pupilId: typeof placement.pupilId }) =>
    and(eq(table.classId, classId), eq(table.pupilId, pupilId))
  for (const table of [placement, observation, note, estimate, estimateDay, groupMember, played, attendance])
    await db.delete(table).where(own(table as unknown as typeof placement))
  await db
    .delete(pupilLink)
    .where(
      and(eq(pupilLink.classId, classId), or(eq(pupilLink.pupilA, pupilId), eq(pupilLink.pupilB, pupilId))),
    )
  await db.execute(sql`
    update ${visit} set own_levels = own_levels - ${pupilId}, seats = (
      select coalesce(jsonb_agg(seat - ${pupilId}::text), '[]'::jsonb)
      from jsonb_array_elements(seats) seat where jsonb_array_length(seat - ${pupilId}::text) > 0)
    where ${visit.classId} = ${classId} and (own_levels ? ${pupilId} or seats::text like ${`%${pupilId}%`})`)
  const sessions = await db
    .select({ id: stationSession.id, before: stationSession.beforeReplan })
    .from(stationSession)
    .where(
      and(
        eq(stationSession.classId, classId),
        sql`${stationSession.beforeReplan}::text like ${`%${pupilId}%`}`,
      ),
    )
  for (const { id, before } of sessions)
    await db
      .update(stationSession)
      .set({ beforeReplan: withoutId(z.json().parse(before), pupilId) })
      .where(eq(stationSession.id, id))
  // Groups on the table that name the child are let go as a whole: they are no record of anything.
  await db
    .delete(draft)
    .where(and(eq(draft.classId, classId), sql`${draft.history}::text like ${`%${pupilId}%`}`))
  await db.delete(pupil).where(and(eq(pupil.classId, classId), eq(pupil.id, pupilId)))
}

/** Erases that were asked for and are not finished in every file, of one class or of all. */
export const owedErasures = (db: Database, classId?: string) =>
  db
    .select({ pupilId: erasure.pupilId, classId: erasure.classId })
    .from(erasure)
    .where(classId === undefined ? undefined : eq(erasure.classId, classId))

export async function isOwed({ db, classId }: OfClass, pupilId: string): Promise<boolean> {
  const rows = await db
    .select({ id: erasure.pupilId })
    .from(erasure)
    .where(and(eq(erasure.classId, classId), eq(erasure.pupilId, pupilId)))
  return rows.length > 0
}

/** Writes down that a child is to be erased from every file, together with the erase itself. */
export async function oweErasure({ db, classId }: OfClass, pupilId: string) {
  await db.insert(erasure).values({ pupilId, classId }).onConflictDoNothing()
}

/** A child is in no file any more. */
export async function settleErasure(db: Database, pupilId: string) {
  await db.delete(erasure).where(eq(erasure.pupilId, pupilId))
}

/** Takes a whole class away. */
export async function deleteClass({ db, classId }: ClassScope) {
  const sessions = db
    .select({ id: stationSession.id })
    .from(stationSession)
    .where(eq(stationSession.classId, classId))
  await db.delete(observation).where(eq(observation.classId, classId))
  for (const table of [
    note,
    link,
    invitation,
    finishedGame,
    visitLiking,
    estimate,
    estimateDay,
    placement,
    played,
    pupilLink,
    shelfCount,
    bagItem,
    houseStyle,
    draft,
  ])
    await db.delete(table).where(eq(table.classId, classId))
  await db.delete(attendance).where(inArray(attendance.sessionId, sessions))
  for (const table of [
    visit,
    station,
    stationSession,
    groupMember,
    groupingGroup,
    grouping,
    pupil,
    membership,
  ])
    await db.delete(table).where(eq(table.classId, classId))
  await db.delete(classroom).where(eq(classroom.id, classId))
}

/**
 * Makes sure that what was deleted is gone from the files, too: tables and statistics are written anew, and the
 * write-ahead log that still holds it is let go. Of a PostgreSQL server the log and copies are its keeper's affair.
 */
export async function scrub(database: Database) {
  const { rows } = await database.execute<{ name: string }>(
    sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`,
  )
  for (const { name } of rows) await database.execute(sql`vacuum full ${sql.identifier(name)}`)
  await database.execute(sql`analyze`)
  if (process.env.DATABASE_URL) return
  await database.execute(sql`vacuum full pg_statistic`)
  // Old log files would be kept for later use with all that is in them.
  await database.execute(sql`set wal_recycle = off`)
  for (let turn = 0; turn < 2; turn++) {
    await database.execute(sql`select pg_switch_wal()`)
    await database.execute(sql`checkpoint`)
  }
  await database.execute(sql`reset wal_recycle`)
}
