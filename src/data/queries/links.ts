import { and, eq, gt } from 'drizzle-orm'
import type { Database, Transaction } from '../connection'
import { link } from '../schema'
import type { ClassScope } from '../scope'

type Db = Database | Transaction
export type LinkRow = typeof link.$inferSelect

export async function insertLink(
  { db, classId }: ClassScope,
  row: Omit<typeof link.$inferInsert, 'classId'>,
) {
  await db.insert(link).values({ ...row, classId })
}

/** The link a token belongs to, as long as it is good. */
export async function linkByToken(db: Db, tokenHash: string, at: Date): Promise<LinkRow | null> {
  const [row] = await db
    .select()
    .from(link)
    .where(and(eq(link.tokenHash, tokenHash), gt(link.until, at)))
  return row ?? null
}

/** The link that a code belongs to; the code is used up by it. */
export async function takeCode(db: Db, codeHash: string, at: Date): Promise<LinkRow | null> {
  const [row] = await db
    .update(link)
    .set({ codeHash: null })
    .where(and(eq(link.codeHash, codeHash), gt(link.until, at)))
    .returning()
  return row ?? null
}

/** The same way in for one more device, with a token of its own; false: as many as `most` have one already. */
export async function copyLink(db: Db, row: LinkRow, tokenHash: string, most: number): Promise<boolean> {
  if ((await db.$count(link, eq(link.sessionId, row.sessionId))) >= most) return false
  await db.insert(link).values({ ...row, id: crypto.randomUUID(), tokenHash, codeHash: null })
  return true
}

/** From when on the links of a session are good no longer. */
export async function setLinksUntil({ db, classId }: ClassScope, sessionId: string, until: Date) {
  await db
    .update(link)
    .set({ until })
    .where(and(eq(link.classId, classId), eq(link.sessionId, sessionId)))
}

export async function deleteLinks({ db, classId }: ClassScope, sessionId: string) {
  await db.delete(link).where(and(eq(link.classId, classId), eq(link.sessionId, sessionId)))
}

/** The links of a session that are good. */
export async function linksOf({ db, classId }: ClassScope, sessionId: string, at: Date): Promise<string[]> {
  const rows = await db
    .select({ id: link.id })
    .from(link)
    .where(and(eq(link.classId, classId), eq(link.sessionId, sessionId), gt(link.until, at)))
  return rows.map(({ id }) => id)
}
