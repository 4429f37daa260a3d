import { and, count, desc, eq, inArray, lt, sql, sum } from 'drizzle-orm'
import type { Finished, Liked } from '@/core/live/session'
import { finishedGame, station, visit, visitLiking } from '../schema'
import type { ClassScope } from '../scope'

/** What was finished at some visits; nothing where nothing was told. */
export async function finishedOf(
  { db, classId }: ClassScope,
  visitIds: readonly string[],
): Promise<Finished[]> {
  return db
    .select({
      visitId: finishedGame.visitId,
      games: count(),
      minutes: sum(finishedGame.minutes).mapWith(Number),
      last: sql<
        Finished['last']
      >`(array_agg(json_build_object('id', ${finishedGame.id}, 'minutes', ${finishedGame.minutes})
        order by ${finishedGame.madeAt} desc, ${finishedGame.id}))[1]`,
    })
    .from(finishedGame)
    .where(and(eq(finishedGame.classId, classId), inArray(finishedGame.visitId, [...visitIds])))
    .groupBy(finishedGame.visitId)
}

/** Whether groups liked their game at some visits, where it was told. */
export async function likedOf({ db, classId }: ClassScope, visitIds: readonly string[]): Promise<Liked[]> {
  return db
    .select({ visitId: visitLiking.visitId, liked: visitLiking.liked })
    .from(visitLiking)
    .where(and(eq(visitLiking.classId, classId), inArray(visitLiking.visitId, [...visitIds])))
}

export async function insertFinished(
  { db, classId }: ClassScope,
  row: Omit<typeof finishedGame.$inferInsert, 'classId'>,
) {
  await db
    .insert(finishedGame)
    .values({ ...row, classId })
    .onConflictDoNothing()
}

export async function deleteFinishedGame({ db, classId }: ClassScope, visitId: string, id: string) {
  await db
    .delete(finishedGame)
    .where(and(eq(finishedGame.classId, classId), eq(finishedGame.visitId, visitId), eq(finishedGame.id, id)))
}

/** What was told last stands. */
export async function saveLiking(
  { db, classId }: ClassScope,
  row: Omit<typeof visitLiking.$inferInsert, 'classId'>,
) {
  await db
    .insert(visitLiking)
    .values({ ...row, classId })
    .onConflictDoUpdate({
      target: visitLiking.visitId,
      set: { liked: row.liked, toldAt: row.toldAt },
      setWhere: lt(visitLiking.toldAt, row.toldAt),
    })
}

/** The class's pace is unknown again. */
export async function deleteFinished({ db, classId }: ClassScope) {
  await db.delete(finishedGame).where(eq(finishedGame.classId, classId))
}

/** Nobody has said what was liked. */
export async function deleteLikings({ db, classId }: ClassScope) {
  await db.delete(visitLiking).where(eq(visitLiking.classId, classId))
}

/** A game that was timed, at the level its group played. */
export interface TimedGame {
  gameId: string
  levelId: string
  minutes: number
  /** The first of its visit: timed from when the group came, laying out included. */
  first: boolean
}

/** The latest games that were finished, oldest first. */
export async function timedGames({ db, classId }: ClassScope, most: number): Promise<TimedGame[]> {
  const rows = await db
    .select({
      gameId: station.gameId,
      levelId: visit.levelId,
      minutes: finishedGame.minutes,
      first: sql<boolean>`row_number() over (partition by ${finishedGame.visitId}
        order by ${finishedGame.madeAt}, ${finishedGame.id}) = 1`,
    })
    .from(finishedGame)
    .innerJoin(visit, eq(visit.id, finishedGame.visitId))
    .innerJoin(station, eq(station.id, visit.stationId))
    .where(eq(finishedGame.classId, classId))
    .orderBy(desc(finishedGame.madeAt), finishedGame.id)
    .limit(most)
  return rows.reverse()
}

/** By game: how often a group liked it, of how often that was told. */
export async function likingNotes({
  db,
  classId,
}: ClassScope): Promise<{ gameId: string; liked: number; of: number }[]> {
  return db
    .select({
      gameId: station.gameId,
      liked: sql<number>`(count(*) filter (where ${visitLiking.liked}))::int`,
      of: count(),
    })
    .from(visitLiking)
    .innerJoin(visit, eq(visit.id, visitLiking.visitId))
    .innerJoin(station, eq(station.id, visit.stationId))
    .where(eq(visitLiking.classId, classId))
    .groupBy(station.gameId)
}
