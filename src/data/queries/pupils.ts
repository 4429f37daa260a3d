import { and, eq, getTableColumns, inArray, isNotNull, isNull, sql } from 'drizzle-orm'
import { jsonAll, jsonRow } from '../json-row'
import { estimate, placement, pupil, pupilLink } from '../schema'
import type { ClassScope } from '../scope'

export type PupilRow = typeof pupil.$inferSelect
export type PlacementRow = typeof placement.$inferSelect

/** An estimate without its density, which only the filter needs. */
export type EstimateRow = Omit<typeof estimate.$inferSelect, 'density' | 'morning' | 'classId'>

/** As a register has them: Élodie stands beside Ella, whatever the bytes say. */
const collator = new Intl.Collator('en')
const byName = (a: PupilRow, b: PupilRow) =>
  collator.compare(a.name, b.name) || collator.compare(a.initial, b.initial) || (a.id < b.id ? -1 : 1)

/** The children of the class, by name. */
export async function pupilsOf({ db, classId }: ClassScope): Promise<PupilRow[]> {
  const rows = await db
    .select()
    .from(pupil)
    .where(and(eq(pupil.classId, classId), isNull(pupil.leftAt)))
  return rows.sort(byName)
}

/** Children who have left the class, by name. */
export async function leftPupilsOf({ db, classId }: ClassScope): Promise<PupilRow[]> {
  const rows = await db
    .select()
    .from(pupil)
    .where(and(eq(pupil.classId, classId), isNotNull(pupil.leftAt)))
  return rows.sort(byName)
}

/** Changes what is said of a child; false where it is not in the class. */
export async function updatePupil(
  { db, classId }: ClassScope,
  id: string,
  change: Partial<Pick<PupilRow, 'name' | 'initial' | 'yearGroup' | 'leftAt'>>,
): Promise<boolean> {
  const changed = await db
    .update(pupil)
    .set(change)
    .where(and(eq(pupil.classId, classId), eq(pupil.id, id)))
    .returning({ id: pupil.id })
  return changed.length > 0
}

export function yearGroupOf({ db, classId }: ClassScope, pupilId: string) {
  return db
    .select({ yearGroup: pupil.yearGroup })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), eq(pupil.id, pupilId)))
    .then(([row]) => row?.yearGroup)
}

export function insertPupils(
  { db, classId }: ClassScope,
  rows: Omit<PupilRow, 'classId' | 'leftAt' | 'adultNear'>[],
) {
  return db.insert(pupil).values(rows.map((row) => ({ ...row, classId })))
}

export async function estimatesOf({ db, classId }: ClassScope): Promise<EstimateRow[]> {
  const { classId: _classId, density: _density, morning: _morning, ...columns } = getTableColumns(estimate)
  const [{ all }] = await db
    .select({ all: jsonAll(jsonRow(columns)) })
    .from(estimate)
    .where(eq(estimate.classId, classId))
  return all
}

export function placementsOf({ db, classId }: ClassScope): Promise<PlacementRow[]> {
  return db.select().from(placement).where(eq(placement.classId, classId))
}

/** Sets first placements; one that stood before is replaced. */
export async function savePlacements({ db, classId }: ClassScope, rows: Omit<PlacementRow, 'classId'>[]) {
  if (rows.length === 0) return
  await db
    .insert(placement)
    .values(rows.map((row) => ({ ...row, classId })))
    .onConflictDoUpdate({
      target: [placement.pupilId, placement.strand],
      set: { step: sql`excluded.step`, sureness: sql`excluded.sureness` },
    })
}

export function linksOf({ db, classId }: ClassScope) {
  return db.select().from(pupilLink).where(eq(pupilLink.classId, classId))
}

/** Takes the place of all links of the class. */
export async function replaceLinks(
  { db, classId }: ClassScope,
  links: { kind: 'apart' | 'together'; pupilA: string; pupilB: string }[],
) {
  await db.delete(pupilLink).where(eq(pupilLink.classId, classId))
  if (links.length > 0) await db.insert(pupilLink).values(links.map((link) => ({ ...link, classId })))
}

/** Says of every child of the class whether it needs an adult near. */
export async function setAdultNear({ db, classId }: ClassScope, ids: readonly string[]) {
  const inClass = eq(pupil.classId, classId)
  await db.update(pupil).set({ adultNear: false }).where(inClass)
  if (ids.length > 0)
    await db
      .update(pupil)
      .set({ adultNear: true })
      .where(and(inClass, inArray(pupil.id, [...ids])))
}

/** True if every id names a child of this class. */
export async function allInClass({ db, classId }: ClassScope, ids: readonly string[]): Promise<boolean> {
  const unique = [...new Set(ids)]
  if (unique.length === 0) return true
  const found = await db
    .select({ id: pupil.id })
    .from(pupil)
    .where(and(eq(pupil.classId, classId), inArray(pupil.id, unique)))
  return found.length === unique.length
}
