import { and, count, desc, eq, isNotNull, isNull, or, sql } from 'drizzle-orm'
import type { YearGroup } from '@/core/evidence/prior'
import type { Database, Transaction } from '../connection'
import { adult, classroom, membership, observation, pupil, theSchool, type ClassRole } from '../schema'
import type { ClassScope } from '../scope'

export interface ClassCard {
  id: string
  name: string
  yearGroup: YearGroup
  children: number
  /** What the adult is in it. */
  part: ClassRole | 'coordinator'
}

/** The classes an adult may read, newest first: those it belongs to; a coordinator's are all of the school. */
export async function classesOf(db: Database, adultId: string): Promise<ClassCard[]> {
  return db
    .select({
      id: classroom.id,
      name: classroom.name,
      yearGroup: classroom.yearGroup,
      children: count(pupil.id),
      part: sql<ClassCard['part']>`coalesce(${membership.role}, 'coordinator')`,
    })
    .from(classroom)
    .innerJoin(adult, eq(adult.id, adultId))
    .leftJoin(membership, and(eq(membership.classId, classroom.id), eq(membership.adultId, adultId)))
    .leftJoin(pupil, and(eq(pupil.classId, classroom.id), isNull(pupil.leftAt)))
    .where(
      or(
        isNotNull(membership.role),
        and(eq(adult.office, 'coordinator'), eq(adult.schoolId, classroom.schoolId)),
      ),
    )
    .groupBy(classroom.id, membership.role)
    .orderBy(desc(classroom.createdAt))
}

export async function classExists(db: Database | Transaction, id: string): Promise<boolean> {
  return (await db.select({ id: classroom.id }).from(classroom).where(eq(classroom.id, id))).length > 0
}

export async function insertClass(
  db: Transaction,
  adultId: string,
  row: { id: string; name: string; yearGroup: YearGroup; timeZone: string; createdAt?: Date },
) {
  await db.insert(classroom).values({ ...row, schoolId: theSchool })
  await db.insert(membership).values({ adultId, classId: row.id, role: 'teacher' })
}

/** Holds the class until the transaction ends, so that two new versions of its groups or plans take turns. */
export async function lockClass({ db, classId }: ClassScope) {
  await db.select({ id: classroom.id }).from(classroom).where(eq(classroom.id, classId)).for('no key update')
}

/** The adult is the teacher of a class that came from elsewhere, which is one of this school now. */
export async function addMember(db: Transaction, adultId: string, classId: string) {
  await db.insert(membership).values({ adultId, classId, role: 'teacher' }).onConflictDoNothing()
  await db.update(classroom).set({ schoolId: theSchool }).where(eq(classroom.id, classId))
}

/** How many classes, children and marks there are in all. */
export async function sizes(db: Database): Promise<{ classes: number; children: number; marks: number }> {
  const { rows } = await db.execute<{ classes: number; children: number; marks: number }>(sql`
    select (select count(*)::int from ${classroom}) as classes, (select count(*)::int from ${pupil}) as children,
      (select count(*)::int from ${observation}) as marks`)
  return rows[0]
}

/** Makes sure the teacher of this computer is there, who also looks after accounts and backups. */
export async function ensureAdult(db: Database | Transaction, row: { id: string; name: string }) {
  await db
    .insert(adult)
    .values({ ...row, schoolId: theSchool, office: 'admin' })
    .onConflictDoNothing()
}
