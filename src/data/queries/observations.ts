import { and, asc, desc, eq, gte, inArray, isNotNull, notInArray, or, sql, type SQL } from 'drizzle-orm'
import { unionAll } from 'drizzle-orm/pg-core'
import type { MarksLately } from '@/core/planning/session/past'
import type { Counted } from '@/core/evidence/history'
import { strandIds, type StrandId } from '@/core/skills'
import { observation, pupil, station, visit } from '../schema'
import type { ClassScope } from '../scope'

export type ObservationRow = typeof observation.$inferSelect

export async function insertObservations(
  { db, classId }: ClassScope,
  rows: readonly Omit<ObservationRow, 'classId'>[],
) {
  if (rows.length > 0) await db.insert(observation).values(rows.map((row) => ({ ...row, classId })))
}

/**
 * Children locked until the transaction ends, so that two devices at one child take turns.
 * @returns those of them that are in the class
 */
export async function lockPupils({ db, classId }: ClassScope, pupilIds: readonly string[]) {
  const locked = await db
    .select({ id: pupil.id })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), inArray(pupil.id, [...pupilIds])))
    .orderBy(asc(pupil.id))
    .for('no key update')
  return new Set(locked.map(({ id }) => id))
}

type Meeting = Pick<ObservationRow, 'id' | 'corrects' | 'observer' | 'pupilId' | 'visitId'>

/**
 * What new records meet: those that have their numbers, of whatever class; and of the class, whole, the chains of
 * those, of the records they correct, and of their observers, children and visits.
 */
export async function recordsMet(
  { db, classId }: ClassScope,
  rows: readonly Meeting[],
): Promise<ObservationRow[]> {
  if (rows.length === 0) return []
  const ofClass = eq(observation.classId, classId)
  const each = <K extends keyof Meeting>(key: K) =>
    [...new Set(rows.map((row) => row[key]))].filter((value) => value !== null) as NonNullable<Meeting[K]>[]
  const ofPlaces = and(
    inArray(observation.visitId, each('visitId')),
    inArray(observation.pupilId, each('pupilId')),
    inArray(observation.observer, each('observer')),
  )
  const known = inArray(observation.id, [...each('id'), ...each('corrects')])
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
  const met = await unionAll(
    all().where(inArray(observation.id, each('id'))),
    ofChains(known),
    ofChains(ofPlaces),
  )
  return [...new Map(met.map((one) => [one.id, one])).values()]
}

/** Records that count no longer. */
export async function setAside({ db, classId }: ClassScope, ids: readonly string[]) {
  if (ids.length === 0) return
  await db
    .update(observation)
    .set({ standing: false })
    .where(and(eq(observation.classId, classId), inArray(observation.id, [...ids])))
}

const standing = (classId: string) => and(eq(observation.classId, classId), observation.standing)

/** A child on a strand, from a day on or since ever. */
export interface HistoryWanted {
  pupilId: string
  strand: StrandId
  from?: string
}

/** The standing records of children on strands, counted by day; of each the oldest day first. */
export async function historiesOf(
  { db, classId }: ClassScope,
  wanted: readonly HistoryWanted[],
): Promise<(Counted & { pupilId: string })[]> {
  if (wanted.length === 0) return []
  const { pupilId, strand, step, judged, right, of, weight, guess, schoolDay } = observation
  const same = [pupilId, strand, schoolDay, step, judged, right, of, weight, guess] as const
  return db
    .select({
      pupilId,
      strand,
      step,
      judged,
      right,
      of,
      weight,
      guess,
      schoolDay,
      times: sql<number>`count(*)::int`,
    })
    .from(observation)
    .where(
      and(
        standing(classId),
        or(
          ...wanted.map((one) =>
            and(
              eq(pupilId, one.pupilId),
              eq(strand, one.strand),
              one.from === undefined ? undefined : gte(schoolDay, one.from),
            ),
          ),
        ),
      ),
    )
    .groupBy(...same)
    .orderBy(...same)
}

/** The standing records of a child on a strand, counted by day; the oldest day first. */
export const historyOf = (scope: ClassScope, pupilId: string, strand: StrandId): Promise<Counted[]> =>
  historiesOf(scope, [{ pupilId, strand }])

/** A record with where it was made; both null where it was at no station. */
type PlacedRecord = ObservationRow & { gameId: string | null; slot: number | null }

/**
 * The newest standing records of a child, newest first, with the game and the slot they were made at. Each strand's newest are
 * read in the order of its index, and the class is asked for through the child: a year of them is not read for sixty.
 */
export function latestOf(
  { db, classId }: ClassScope,
  pupilId: string,
  most: number,
): Promise<PlacedRecord[]> {
  const every = sql.join(
    strandIds.map((strand) => sql`${strand}`),
    sql`, `,
  )
  const wanted = db
    .select({ strand: sql<StrandId>`unnest(array[${every}]::text[])`.as('wanted_strand') })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), eq(pupil.id, pupilId)))
    .as('wanted')
  const ofStrand = db
    .select()
    .from(observation)
    .where(and(eq(observation.pupilId, pupilId), eq(observation.strand, wanted.strand), observation.standing))
    .orderBy(desc(observation.schoolDay), desc(observation.madeAt), desc(observation.id))
    .limit(most)
    .as('of_strand')
  const latest = db
    .select({ ...ofStrand._.selectedFields })
    .from(wanted)
    .innerJoinLateral(ofStrand, sql`true`)
    .orderBy(desc(ofStrand.schoolDay), desc(ofStrand.madeAt), desc(ofStrand.id))
    .limit(most)
    .as('latest')
  // The newest first, then where they were made: not the other way round for a whole year of them.
  return db
    .select({ ...latest._.selectedFields, gameId: station.gameId, slot: visit.slot })
    .from(latest)
    .leftJoin(visit, eq(visit.id, latest.visitId))
    .leftJoin(station, eq(station.id, visit.stationId))
    .orderBy(desc(latest.schoolDay), desc(latest.madeAt), desc(latest.id))
}

const sayingSomething = or(isNotNull(observation.judged), isNotNull(observation.of))

/** Of chains of records what was said in them before what stands now, the newest first. */
export function saidBefore(
  { db, classId }: ClassScope,
  chains: readonly string[],
): Promise<ObservationRow[]> {
  return db
    .select()
    .from(observation)
    .where(
      and(
        eq(observation.classId, classId),
        inArray(observation.chain, [...chains]),
        sql`not ${observation.standing}`,
        sayingSomething,
      ),
    )
    .orderBy(desc(observation.madeAt), desc(observation.id))
}

/** What was said last of a child in chains of which nothing stands any more, the newest first. */
export async function takenBackOf(
  { db, classId }: ClassScope,
  pupilId: string,
  most: number,
): Promise<ObservationRow[]> {
  const ofChild = and(eq(observation.classId, classId), eq(observation.pupilId, pupilId))
  const standing = db
    .select({ chain: observation.chain })
    .from(observation)
    .where(and(ofChild, observation.standing))
  const last = db
    .selectDistinctOn([observation.chain])
    .from(observation)
    .where(and(ofChild, sayingSomething, notInArray(observation.chain, standing)))
    .orderBy(observation.chain, desc(observation.madeAt), desc(observation.id))
    .as('last')
  return db.select().from(last).orderBy(desc(last.schoolDay), desc(last.madeAt), desc(last.id)).limit(most)
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

/** Ids of the standing records of visits, the oldest first: what stands there, without reading it all. */
export async function standingIdsOfVisits(
  { db, classId }: ClassScope,
  visitIds: string[],
): Promise<string[]> {
  if (visitIds.length === 0) return []
  const rows = await db
    .select({ id: observation.id })
    .from(observation)
    .where(and(standing(classId), inArray(observation.visitId, visitIds)))
    .orderBy(asc(observation.madeAt))
  return rows.map(({ id }) => id)
}

/** Records of a class by their ids; what is not there is left out. */
export function observationsById({ db, classId }: ClassScope, ids: string[]): Promise<ObservationRow[]> {
  if (ids.length === 0) return Promise.resolve([])
  return db
    .select()
    .from(observation)
    .where(and(eq(observation.classId, classId), inArray(observation.id, ids)))
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
