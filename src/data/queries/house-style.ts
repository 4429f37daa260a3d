import { eq } from 'drizzle-orm'
import { houseStyleSchema, type HouseStyle } from '@/core/house-style'
import { houseStyle } from '../schema'
import type { ClassScope } from '../scope'

/** What the class has settled on, with the usual way of all it has not. */
export async function houseStyleOf({ db, classId }: ClassScope): Promise<HouseStyle> {
  const [row] = await db.select().from(houseStyle).where(eq(houseStyle.classId, classId))
  return houseStyleSchema.parse(row?.style ?? {})
}

export async function saveHouseStyle({ db, classId }: ClassScope, style: HouseStyle) {
  await db
    .insert(houseStyle)
    .values({ classId, style })
    .onConflictDoUpdate({ target: houseStyle.classId, set: { style } })
}
