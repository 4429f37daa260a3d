import { and, eq } from 'drizzle-orm'
import type { Inventory } from '@/core/planning/inventory'
import { shelfCount } from '../schema'
import type { ClassScope } from '../scope'

/** What was counted on the class's shelf. */
export async function inventoryOf({ db, classId }: ClassScope): Promise<Inventory> {
  const rows = await db.select().from(shelfCount).where(eq(shelfCount.classId, classId))
  return Object.fromEntries(rows.map(({ item, count }) => [item, count]))
}

/** Keeps how many there are of a thing; null: not counted any more. */
export async function saveCount({ db, classId }: ClassScope, item: string, count: number | null) {
  if (count === null)
    await db.delete(shelfCount).where(and(eq(shelfCount.classId, classId), eq(shelfCount.item, item)))
  else
    await db
      .insert(shelfCount)
      .values({ classId, item, count })
      .onConflictDoUpdate({ target: [shelfCount.classId, shelfCount.item], set: { count } })
}
