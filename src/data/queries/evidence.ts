import { and, asc, eq, gte, inArray, isNotNull, sql } from 'drizzle-orm'
import type { StrandId } from '@/core/skills'
import { estimate, estimateDay, observation, placement } from '../schema'
import type { ClassScope } from '../scope'

export type ObservationRow = typeof observation.$inferSelect
export type EstimateWithDensity = Omit<typeof estimate.$inferSelect, 'classId'>

/** Writes the record once, however often it is sent. True if it was new. */
export async function insertObservation(
  { db, classId }: ClassScope,
  row: Omit<ObservationRow, 'classId' | 'storedAt'>,
) {
  const written = await db
    .insert(observation)
    .values({ ...row, classId })
    .onConflictDoNothing()
    .returning({ id: observation.id })
  return written.length > 0
}

/** Records in the order they were made; those taken back or corrected, and the bare take-backs, are left out. */
function standing(classId: string) {
  return and(
    eq(observation.classId, classId),
    sql`not exists (select 1 from observation later where later.corrects = ${observation.id})`,
    sql`(${observation.judged} is not null or ${observation.of} is not null)`,
  )
}

/** The standing records of these children, oldest first. */
export function observationsOf({ db, classId }: ClassScope, pupilIds: string[]): Promise<ObservationRow[]> {
  if (pupilIds.length === 0) return Promise.resolve([])
  return db
    .select()
    .from(observation)
    .where(and(standing(classId), inArray(observation.pupilId, pupilIds)))
    .orderBy(asc(observation.schoolDay), asc(observation.madeAt), asc(observation.id))
}

export function observationById({ db, classId }: ClassScope, id: string) {
  return db
    .select()
    .from(observation)
    .where(and(eq(observation.classId, classId), eq(observation.id, id)))
    .then(([row]) => row as ObservationRow | undefined)
}

export interface SeenRow {
  pupilId: string
  strand: StrandId
  step: number
  judged: NonNullable<ObservationRow['judged']>
  schoolDay: string
}

/** Judgements an adult made, of the whole class; those of a child on a strand oldest first. */
export function seenInClass({ db, classId }: ClassScope): Promise<SeenRow[]> {
  // One row a child and strand: a row a record costs more to carry over than to find.
  return db
    .select({
      pupilId: observation.pupilId,
      strand: observation.strand,
      seen: sql<
        [number, SeenRow['judged'], string][]
      >`json_agg(json_build_array(${observation.step}, ${observation.judged}, ${observation.schoolDay}) order by ${observation.schoolDay}, ${observation.madeAt})`,
    })
    .from(observation)
    .where(and(standing(classId), isNotNull(observation.judged), eq(observation.weight, 1)))
    .groupBy(observation.pupilId, observation.strand)
    .then((rows) =>
      rows.flatMap(({ pupilId, strand, seen }) =>
        seen.map(([step, judged, schoolDay]) => ({ pupilId, strand, step, judged, schoolDay })),
      ),
    )
}

/** A child's judgements by an adult since a day, and how many of them were "not yet". */
export interface MarksRow {
  pupilId: string
  marks: number
  notYet: number
}

export function marksSince({ db, classId }: ClassScope, day: string): Promise<MarksRow[]> {
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

/** What is believed of a child on a strand, in full; undefined where it was never placed. */
export function densityOf({ db, classId }: ClassScope, pupilId: string, strand: StrandId) {
  return db
    .select({ day: estimate.day, density: estimate.density })
    .from(estimate)
    .where(and(eq(estimate.classId, classId), eq(estimate.pupilId, pupilId), eq(estimate.strand, strand)))
    .then(([row]) => row)
}

/** The child's estimate, locked until the transaction ends, so that two devices take turns. */
export function lockEstimate({ db, classId }: ClassScope, pupilId: string, strand: StrandId) {
  return db
    .select()
    .from(estimate)
    .where(and(eq(estimate.classId, classId), eq(estimate.pupilId, pupilId), eq(estimate.strand, strand)))
    .for('update')
    .then(([row]) => row as EstimateWithDensity | undefined)
}

export async function saveEstimates({ db, classId }: ClassScope, rows: EstimateWithDensity[]) {
  if (rows.length === 0) return
  await db
    .insert(estimate)
    .values(rows.map((row) => ({ ...row, classId })))
    .onConflictDoUpdate({
      target: [estimate.pupilId, estimate.strand],
      set: {
        day: sql`excluded.day`,
        mean: sql`excluded.mean`,
        sd: sql`excluded.sd`,
        p10: sql`excluded.p10`,
        p50: sql`excluded.p50`,
        p90: sql`excluded.p90`,
        secure: sql`excluded.secure`,
        struggling: sql`excluded.struggling`,
        rightAlone: sql`excluded.right_alone`,
        workingStep: sql`excluded.working_step`,
        observations: sql`excluded.observations`,
        density: sql`excluded.density`,
      },
    })
}

export interface BandPoint {
  pupilId: string
  strand: StrandId
  day: string
  p10: number
  p50: number
  p90: number
}

export async function saveBand({ db, classId }: ClassScope, points: BandPoint[]) {
  if (points.length === 0) return
  await db
    .insert(estimateDay)
    .values(points.map((point) => ({ ...point, classId })))
    .onConflictDoUpdate({
      target: [estimateDay.pupilId, estimateDay.strand, estimateDay.day],
      set: { p10: sql`excluded.p10`, p50: sql`excluded.p50`, p90: sql`excluded.p90` },
    })
}

export async function clearBands(
  { db, classId }: ClassScope,
  bands: { pupilId: string; strand: StrandId }[],
) {
  for (const strand of new Set(bands.map((band) => band.strand)))
    await db.delete(estimateDay).where(
      and(
        eq(estimateDay.classId, classId),
        eq(estimateDay.strand, strand),
        inArray(
          estimateDay.pupilId,
          bands.filter((band) => band.strand === strand).map(({ pupilId }) => pupilId),
        ),
      ),
    )
}

/** Bands over time of the class, or of one child; each band oldest first. */
export function bandsOf(
  { db, classId }: ClassScope,
  { strand, pupilId }: { strand?: StrandId; pupilId?: string },
): Promise<BandPoint[]> {
  return db
    .select({
      pupilId: estimateDay.pupilId,
      strand: estimateDay.strand,
      days: sql<
        [string, number, number, number][]
      >`json_agg(json_build_array(${estimateDay.day}, ${estimateDay.p10}, ${estimateDay.p50}, ${estimateDay.p90}) order by ${estimateDay.day})`,
    })
    .from(estimateDay)
    .where(
      and(
        eq(estimateDay.classId, classId),
        strand ? eq(estimateDay.strand, strand) : undefined,
        pupilId ? eq(estimateDay.pupilId, pupilId) : undefined,
      ),
    )
    .groupBy(estimateDay.pupilId, estimateDay.strand)
    .then((rows) =>
      rows.flatMap(({ pupilId, strand, days }) =>
        days.map(([day, p10, p50, p90]) => ({ pupilId, strand, day, p10, p50, p90 })),
      ),
    )
}

export function placementOf({ db, classId }: ClassScope, pupilId: string, strand: StrandId) {
  return db
    .select()
    .from(placement)
    .where(and(eq(placement.classId, classId), eq(placement.pupilId, pupilId), eq(placement.strand, strand)))
    .then(([row]) => row as typeof placement.$inferSelect | undefined)
}
