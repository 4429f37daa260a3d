import { and, eq, sql } from 'drizzle-orm'
import { bagItem } from '../schema'
import type { ClassScope } from '../scope'

/** What is kept of an item of a bag: copies put in, lost or spoiled since, and whether they are laminated. */
export type InBag = Pick<typeof bagItem.$inferSelect, 'count' | 'missing' | 'laminated'>

/** What is in the class's bags, by item. */
export async function bagsOf({ db, classId }: ClassScope): Promise<Map<string, InBag>> {
  const rows = await db.select().from(bagItem).where(eq(bagItem.classId, classId))
  return new Map(rows.map(({ item, count, missing, laminated }) => [item, { count, missing, laminated }]))
}

/** Keeps what is in a bag; none: nothing is kept of the item. */
export async function saveInBag({ db, classId }: ClassScope, item: string, inBag: InBag) {
  const where = and(eq(bagItem.classId, classId), eq(bagItem.item, item))
  if (inBag.count === 0) await db.delete(bagItem).where(where)
  else
    await db
      .insert(bagItem)
      .values({ classId, item, ...inBag })
      .onConflictDoUpdate({ target: [bagItem.classId, bagItem.item], set: inBag })
}

/** Keeps what bags hold after a pile has come out: said twice, it is the same. Nothing new is laminated yet. */
export async function saveBags({ db, classId }: ClassScope, counts: ReadonlyMap<string, number>) {
  const rows = [...counts].filter(([, count]) => count > 0)
  if (rows.length === 0) return
  await db
    .insert(bagItem)
    .values(rows.map(([item, count]) => ({ classId, item, count })))
    .onConflictDoUpdate({
      target: [bagItem.classId, bagItem.item],
      set: { count: sql`excluded.count`, missing: 0, laminated: false },
    })
}

/** One copy more of an item is missing, never more than there are. */
export async function oneMissing({ db, classId }: ClassScope, item: string) {
  await db
    .update(bagItem)
    .set({ missing: sql`least(${bagItem.missing} + 1, ${bagItem.count})` })
    .where(and(eq(bagItem.classId, classId), eq(bagItem.item, item)))
}
