import { and, asc, desc, eq, gte, inArray, isNotNull, sql, type SQL } from 'drizzle-orm'
import { unionAll } from 'drizzle-orm/pg-core'
import type { MarksLately } from '@/core/planning/session/past'
import type { Counted } from '@/core/evidence/history'
import type { StrandId } from '@/core/skills'
import { observation, pupil } from '../schema'
import type { ClassScope } from '../scope'

export type ObservationRow = typeof observation.$inferSelect

export async function insertObservation({ db, classId }: ClassScope, row: Omit<ObservationRow, 'classId'>) {
  await db.insert(observation).values({ ...row, classId })
}

/**
 * Children locked until the transaction ends, so that two devices at one child take turns.
 * @returns false where one of them is not in the class
 */
export async function lockPupils({ db, classId }: ClassScope, pupilIds: readonly string[]) {
  const locked = await db
    .select({ id: pupil.id })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), inArray(pupil.id, [...pupilIds])))
    .orderBy(asc(pupil.id))
    .for('no key update')
  return locked.length === new Set(pupilIds).size
}

/**
 * What a new record meets: the one that has its number, of whatever class; and of its class, whole, the chains of
 * that one, of the record it corrects, and of its observer, child, visit and step.
 */
export async function recordsMet(
  { db, classId }: ClassScope,
  row: Pick<ObservationRow, 'id' | 'corrects' | 'observer' | 'pupilId' | 'visitId' | 'strand' | 'step'>,
): Promise<ObservationRow[]> {
  const ofClass = eq(observation.classId, classId)
  const ofPlace =
    row.visitId === null
      ? undefined
      : and(
          eq(observation.visitId, row.visitId),
          eq(observation.pupilId, row.pupilId),
          eq(observation.observer, row.observer),
          eq(observation.strand, row.strand),
          eq(observation.step, row.step),
        )
  const known = inArray(observation.id, [row.id, ...(row.corrects === null ? [] : [row.corrects])])
  const all = () => db.select().from(observation)
  const ofChains = (which: SQL | undefined) =>
    all().where(
      and(
        ofClass,
        inArray(
          observation.chain,
          db.select({ chain: observation.chain }).from(observation).where(and(ofClass, which)),
        ),
      ),
    )
  // Questions in one, each answered by an index of its own.
  const sameNumber = all().where(eq(observation.id, row.id))
  const rows = await (ofPlace
    ? unionAll(sameNumber, ofChains(known), ofChains(ofPlace))
    : unionAll(sameNumber, ofChains(known)))
  return [...new Map(rows.map((one) => [one.id, one])).values()]
}

/** A record counts no longer. */
export async function setAside({ db, classId }: ClassScope, id: string) {
  await db
    .update(observation)
    .set({ standing: false })
    .where(and(eq(observation.classId, classId), eq(observation.id, id)))
}

const standing = (classId: string) => and(eq(observation.classId, classId), observation.standing)

/** The standing records of a child on a strand, counted by day; the oldest day first, all days or those from one on. */
export function historyOf(
  { db, classId }: ClassScope,
  pupilId: string,
  strand: StrandId,
  from?: string,
): Promise<Counted[]> {
  const { step, judged, right, of, weight, schoolDay } = observation
  const same = [schoolDay, step, judged, right, of, weight] as const
  return db
    .select({
      strand: observation.strand,
      step,
      judged,
      right,
      of,
      weight,
      schoolDay,
      times: sql<number>`count(*)::int`,
    })
    .from(observation)
    .where(
      and(
        standing(classId),
        eq(observation.pupilId, pupilId),
        eq(observation.strand, strand),
        from === undefined ? undefined : gte(observation.schoolDay, from),
      ),
    )
    .groupBy(observation.strand, ...same)
    .orderBy(...same)
}

/** The newest standing records of a child, newest first. */
export function latestOf(
  { db, classId }: ClassScope,
  pupilId: string,
  most: number,
): Promise<ObservationRow[]> {
  return db
    .select()
    .from(observation)
    .where(and(standing(classId), eq(observation.pupilId, pupilId)))
    .orderBy(desc(observation.schoolDay), desc(observation.madeAt), desc(observation.id))
    .limit(most)
}

export interface SeenRow {
  pupilId: string
  step: string
  judged: NonNullable<ObservationRow['judged']>
  schoolDay: string
}

/** Judgements that weigh in what is said of a child: more of the past would change no decision. */
const mostSeen = 20

/**
 * The latest judgements an adult made of each child on the strand named for it; those of a child oldest first.
 * However long the year, it reads as many rows as there are children times `mostSeen`: the class is asked for
 * through the child, so that one index gives the rows in their order.
 */
export async function seenLately(
  { db, classId }: ClassScope,
  wanted: readonly { pupilId: string; strand: StrandId }[],
): Promise<SeenRow[]> {
  if (wanted.length === 0) return []
  const pairs = sql.join(
    wanted.map(({ pupilId, strand }) => sql`(${pupilId}::uuid, ${strand}::text)`),
    sql`, `,
  )
  const { pupilId, strand, schoolDay, madeAt, step, judged, weight } = observation
  const { rows } = await db.execute<{ pupil: string; seen: [string, SeenRow['judged'], string][] }>(sql`
    select wanted.pupil, seen.list as seen from (values ${pairs}) as wanted (pupil, strand)
      join ${pupil} on ${pupil.id} = wanted.pupil and ${pupil.classId} = ${classId},
      lateral (
        select coalesce(json_agg(json_build_array(step, judged, school_day) order by school_day, made_at), '[]'::json) as list
        from (
          select ${step}, ${judged}, ${schoolDay}, ${madeAt} from ${observation}
          where ${pupilId} = wanted.pupil and ${strand} = wanted.strand and ${observation.standing} and ${judged} is not null and ${weight} = 1
          order by ${schoolDay} desc, ${madeAt} desc limit ${mostSeen}
        ) latest
      ) seen`)
  return rows.flatMap(({ pupil: id, seen }) =>
    seen.map(([at, mark, day]) => ({ pupilId: id, step: at, judged: mark, schoolDay: day })),
  )
}

export function marksSince({ db, classId }: ClassScope, day: string): Promise<MarksLately[]> {
  return db
    .select({
      pupilId: observation.pupilId,
      marks: sql<number>`count(*)::int`,
      notYet: sql<number>`(count(*) filter (where ${observation.judged} = 'notYet'))::int`,
    })
    .from(observation)
    .where(
      and(
        standing(classId),
        isNotNull(observation.judged),
        eq(observation.weight, 1),
        gte(observation.schoolDay, day),
      ),
    )
    .groupBy(observation.pupilId)
}

export function observationsOfVisits(
  { db, classId }: ClassScope,
  visitIds: string[],
): Promise<ObservationRow[]> {
  if (visitIds.length === 0) return Promise.resolve([])
  return db
    .select()
    .from(observation)
    .where(and(standing(classId), inArray(observation.visitId, visitIds)))
    .orderBy(asc(observation.madeAt))
}
