import { and, count, eq, gt, inArray, isNotNull, sql } from 'drizzle-orm'
import type { Database, Transaction } from '../connection'
import {
  adult,
  classroom,
  invitation,
  link,
  membership,
  signedIn,
  type ClassRole,
  type Office,
} from '../schema'

type Db = Database | Transaction
export type AdultRow = typeof adult.$inferSelect

/** What an adult is, in any class and in the school. */
export async function partiesOf(db: Db, adultId: string): Promise<(ClassRole | Office)[]> {
  const rows = await db
    .select({ role: membership.role, office: adult.office })
    .from(adult)
    .leftJoin(membership, eq(membership.adultId, adult.id))
    .where(eq(adult.id, adultId))
  return [...new Set(rows.flatMap(({ role, office }) => [role ?? [], office ?? []].flat()))]
}

export async function adultOf(db: Db, id: string): Promise<AdultRow | null> {
  const [row] = await db.select().from(adult).where(eq(adult.id, id))
  return row ?? null
}

export async function adultBySignIn(db: Db, signInName: string): Promise<AdultRow | null> {
  const [row] = await db.select().from(adult).where(eq(adult.signInName, signInName))
  return row ?? null
}

export interface AdultOfSchool extends Pick<AdultRow, 'id' | 'name' | 'office' | 'signInName'> {
  hasPassword: boolean
  classes: { id: string; name: string; role: ClassRole }[]
}

/** Everybody of a school, by name, with the classes they belong to. */
export async function adultsOf(db: Db, schoolId: string): Promise<AdultOfSchool[]> {
  const rows = await db
    .select({ adult, role: membership.role, classId: classroom.id, className: classroom.name })
    .from(adult)
    .leftJoin(membership, eq(membership.adultId, adult.id))
    .leftJoin(classroom, eq(classroom.id, membership.classId))
    .where(eq(adult.schoolId, schoolId))
    .orderBy(adult.name, classroom.name)
  const all = new Map<string, AdultOfSchool>()
  for (const { adult: row, role, classId, className } of rows) {
    const { id, name, office, signInName, password } = row
    const known = all.get(id) ?? { id, name, office, signInName, hasPassword: password !== null, classes: [] }
    all.set(id, known)
    if (role && classId) known.classes.push({ id: classId, name: className!, role })
  }
  return [...all.values()]
}

/** Can anybody sign in? */
export async function hasAccounts(db: Db): Promise<boolean> {
  const [row] = await db.select({ n: count() }).from(adult).where(isNotNull(adult.password))
  return row.n > 0
}

export async function updateAdult(db: Db, id: string, change: Partial<Omit<AdultRow, 'id'>>) {
  await db.update(adult).set(change).where(eq(adult.id, id))
}

export async function insertAdult(db: Db, row: AdultRow) {
  await db.insert(adult).values(row)
}

/**
 * An adult leaves: no class, no office, no way in, nor any for the devices it let in. Its name stays on nothing but what it
 * recorded.
 * @returns the sessions whose devices were let in by it
 */
export async function retireAdult(db: Db, id: string): Promise<string[]> {
  await db.delete(signedIn).where(eq(signedIn.adultId, id))
  await db.delete(invitation).where(eq(invitation.madeBy, id))
  const links = await db.delete(link).where(eq(link.madeBy, id)).returning({ sessionId: link.sessionId })
  await db.delete(membership).where(eq(membership.adultId, id))
  await db
    .update(adult)
    .set({ schoolId: null, office: null, signInName: null, password: null })
    .where(eq(adult.id, id))
  return [...new Set(links.map(({ sessionId }) => sessionId))]
}

export async function setRole(db: Db, adultId: string, classId: string, role: ClassRole) {
  await db
    .insert(membership)
    .values({ adultId, classId, role })
    .onConflictDoUpdate({ target: [membership.adultId, membership.classId], set: { role } })
}

/** Classes in which this adult is the only teacher: without it nobody could open them. */
export async function onlyTeacherOf(db: Db, adultId: string): Promise<string[]> {
  const rows = await db
    .select({ name: classroom.name })
    .from(membership)
    .innerJoin(classroom, eq(classroom.id, membership.classId))
    .where(
      and(
        eq(membership.adultId, adultId),
        eq(membership.role, 'teacher'),
        sql`not exists (select 1 from ${membership} other where other.class_id = ${membership.classId}
          and other.role = 'teacher' and other.adult_id <> ${adultId})`,
      ),
    )
  return rows.map(({ name }) => name)
}

export async function keepSignIn(db: Db, row: { tokenHash: string; adultId: string; until: Date }) {
  await db.insert(signedIn).values(row)
}

/** The adult who signed in on a device; null: nobody, or too long ago. */
export async function adultOfDevice(db: Db, tokenHash: string, at: Date): Promise<string | null> {
  const [row] = await db
    .select({ adultId: signedIn.adultId })
    .from(signedIn)
    .where(and(eq(signedIn.tokenHash, tokenHash), gt(signedIn.until, at)))
  return row?.adultId ?? null
}

export async function forgetDevice(db: Db, tokenHash: string) {
  await db.delete(signedIn).where(eq(signedIn.tokenHash, tokenHash))
}

export async function forgetDevices(db: Db, adultId: string) {
  await db.delete(signedIn).where(eq(signedIn.adultId, adultId))
}

export async function forgetOutdated(db: Db, at: Date) {
  await db.execute(sql`delete from ${signedIn} where ${signedIn.until} <= ${at.toISOString()}`)
  await db.execute(sql`delete from ${invitation} where ${invitation.until} <= ${at.toISOString()}`)
}

export async function insertInvitation(db: Db, row: typeof invitation.$inferInsert) {
  await db.insert(invitation).values(row)
}

/** An invitation that is still good; `take`: and is good no longer. */
export async function invitationOf(db: Db, tokenHash: string, at: Date, take = false) {
  const good = and(eq(invitation.tokenHash, tokenHash), gt(invitation.until, at))
  const [row] = take
    ? await db.delete(invitation).where(good).returning()
    : await db.select().from(invitation).where(good)
  if (!row) return null
  const [room] = row.classId
    ? await db
        .select({ name: classroom.name })
        .from(classroom)
        .where(inArray(classroom.id, [row.classId]))
    : []
  return { ...row, className: room?.name ?? null }
}
