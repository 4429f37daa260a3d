import { and, eq, inArray, or, sql } from 'drizzle-orm'
import type { Database } from '../connection'
import {
  attendance,
  bagItem,
  classroom,
  draft,
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

/** Takes every row about a child away, and its number out of the seats it had. */
export async function deletePupil({ db, classId }: ClassScope, pupilId: string) {
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
  // Groups on the table that name the child are let go as a whole: they are no record of anything.
  await db
    .delete(draft)
    .where(and(eq(draft.classId, classId), sql`${draft.history}::text like ${`%${pupilId}%`}`))
  await db.delete(pupil).where(and(eq(pupil.classId, classId), eq(pupil.id, pupilId)))
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
