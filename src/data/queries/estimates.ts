import { and, asc, desc, eq, gte, inArray, or, sql } from 'drizzle-orm'
import { addDays, type Day } from '@/core/planning/calendar'
import type { StrandId } from '@/core/skills'
import type { Database } from '../connection'
import { estimate, estimateDay, placement } from '../schema'
import type { ClassScope } from '../scope'

export type EstimateWithDensity = Omit<typeof estimate.$inferSelect, 'classId'>

/** What is believed of a child on a strand, in full; undefined where it was never placed. */
export function densityOf({ db, classId }: ClassScope, pupilId: string, strand: StrandId) {
  return db
    .select({ day: estimate.day, density: estimate.density })
    .from(estimate)
    .where(and(eq(estimate.classId, classId), eq(estimate.pupilId, pupilId), eq(estimate.strand, strand)))
    .then(([row]) => row)
}

/** Estimates of children on strands, in full, as far as there are any. */
export async function estimatesInFull(
  { db, classId }: ClassScope,
  wanted: readonly { pupilId: string; strand: StrandId }[],
): Promise<EstimateWithDensity[]> {
  if (wanted.length === 0) return []
  return db
    .select()
    .from(estimate)
    .where(
      and(
        eq(estimate.classId, classId),
        or(...wanted.map((one) => and(eq(estimate.pupilId, one.pupilId), eq(estimate.strand, one.strand)))),
      ),
    )
}

/** Estimates that are missing, or worked out on another ladder than those of now; by class. */
export async function estimatesToRefresh(
  db: Database,
  ladders: readonly { strand: StrandId; ladder: string }[],
): Promise<{ classId: string; pupilId: string; strand: StrandId }[]> {
  const current = sql.join(
    ladders.map(({ strand, ladder }) => sql`(${strand}::text, ${ladder}::text)`),
    sql`, `,
  )
  return db
    .select({ classId: placement.classId, pupilId: placement.pupilId, strand: placement.strand })
    .from(placement)
    .leftJoin(estimate, and(eq(estimate.pupilId, placement.pupilId), eq(estimate.strand, placement.strand)))
    .where(sql`${estimate.ladder} is null or (${estimate.strand}, ${estimate.ladder}) not in (${current})`)
    .orderBy(asc(placement.classId))
}

export async function saveEstimates({ db, classId }: ClassScope, rows: EstimateWithDensity[]) {
  if (rows.length === 0) return
  await db
    .insert(estimate)
    .values(rows.map((row) => ({ ...row, classId })))
    .onConflictDoUpdate({
      target: [estimate.pupilId, estimate.strand],
      set: {
        ladder: sql`excluded.ladder`,
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
        morningDay: sql`excluded.morning_day`,
        morning: sql`excluded.morning`,
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
    .values(
      points.map(({ pupilId, strand, day, p10, p50, p90 }) => ({
        classId,
        pupilId,
        strand,
        day,
        p10,
        p50,
        p90,
      })),
    )
    .onConflictDoUpdate({
      target: [estimateDay.pupilId, estimateDay.strand, estimateDay.day],
      set: { p10: sql`excluded.p10`, p50: sql`excluded.p50`, p90: sql`excluded.p90` },
    })
}

/** Forgets the band of a child on a strand, or one day of it. */
export async function clearBand(
  { db, classId }: ClassScope,
  pupilId: string,
  strand: StrandId,
  day?: string,
) {
  await db
    .delete(estimateDay)
    .where(
      and(
        eq(estimateDay.classId, classId),
        eq(estimateDay.pupilId, pupilId),
        eq(estimateDay.strand, strand),
        day === undefined ? undefined : eq(estimateDay.day, day),
      ),
    )
}

/** Which part of a band is wanted, in days of the class. */
export interface BandSpan {
  /** From this day on every day has its point; of each week before, the last day speaks for it. */
  dailyFrom: Day
  /** The first day of all; left out: as far back as there is one. */
  from?: Day
}

/** The first Monday since days are counted. */
const firstMonday = '1970-01-05'

/** Bands over time of the class on a strand, or of one child on all; each oldest first. */
export async function bandsOf(
  { db, classId }: ClassScope,
  of: { strand: StrandId } | { pupilId: string },
  { dailyFrom, from }: BandSpan,
): Promise<BandPoint[]> {
  const { pupilId, strand, day, p10, p50, p90 } = estimateDay
  // Days and weeks as whole numbers, and the last day of a week as the greatest of arrays that begin with it: a year of days is
  // gone through once and not sorted.
  const since = sql`(${day} - ${firstMonday}::date)`
  const period = sql`case when ${day} >= ${dailyFrom}::date then ${since} else ${since} - ${since} % 7 end`
  const points = db
    .select({
      pupilId,
      strand,
      point: sql<number[]>`max(array[${since}::float8, ${p10}, ${p50}, ${p90}])`.as('point'),
    })
    .from(estimateDay)
    .where(
      and(
        eq(estimateDay.classId, classId),
        'strand' in of ? eq(strand, of.strand) : eq(pupilId, of.pupilId),
        from === undefined ? undefined : gte(day, from),
      ),
    )
    .groupBy(pupilId, strand, period)
    .as('points')
  const rows = await db
    .select({
      pupilId: points.pupilId,
      strand: points.strand,
      points: sql<[number, number, number, number][]>`json_agg(${points.point} order by ${points.point})`,
    })
    .from(points)
    .groupBy(points.pupilId, points.strand)
  return rows.flatMap(({ pupilId, strand, points }) =>
    points.map(([since, p10, p50, p90]) => ({
      pupilId,
      strand,
      day: addDays(firstMonday, since),
      p10,
      p50,
      p90,
    })),
  )
}

/** The last point of each child's band on a strand: where a child stands that was not seen for long. */
export function lastPointsOf({ db, classId }: ClassScope, strand: StrandId, pupilIds: readonly string[]) {
  const { pupilId, day, p10, p50, p90 } = estimateDay
  return db
    .selectDistinctOn([pupilId], { pupilId, strand: estimateDay.strand, day, p10, p50, p90 })
    .from(estimateDay)
    .where(
      and(eq(estimateDay.classId, classId), eq(estimateDay.strand, strand), inArray(pupilId, [...pupilIds])),
    )
    .orderBy(pupilId, desc(day))
}

export function placementOf({ db, classId }: ClassScope, pupilId: string, strand: StrandId) {
  return db
    .select()
    .from(placement)
    .where(and(eq(placement.classId, classId), eq(placement.pupilId, pupilId), eq(placement.strand, strand)))
    .then(([row]) => row as typeof placement.$inferSelect | undefined)
}
