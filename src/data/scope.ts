import { and, eq } from 'drizzle-orm'
import type { YearGroup } from '@/core/evidence/prior'
import type { Database, Transaction } from './connection'
import { classroom, membership } from './schema'

/** For the upkeep of what was worked out, when the server starts: no adult stands behind it. */
export async function upkeepScope(db: Database | Transaction, classId: string): Promise<ClassScope | null> {
  const [row] = await db
    .select({ name: classroom.name, yearGroup: classroom.yearGroup, timeZone: classroom.timeZone })
    .from(classroom)
    .where(eq(classroom.id, classId))
  return row ? ({ db, classId, adultId: '', classroom: row } as ClassScope) : null
}

declare const authorised: unique symbol

/**
 * The right to read and change one class. Every query of `data/queries` that touches a class takes
 * one, and only `enterClass` makes one for an adult: a query without a viewer behind it does not type-check.
 */
export interface ClassScope {
  readonly db: Database | Transaction
  readonly classId: string
  readonly adultId: string
  readonly classroom: { name: string; yearGroup: YearGroup; timeZone: string }
  readonly [authorised]: true
}

/** Null if the adult does not belong to the class, or there is no such class: a stranger learns no difference. */
export async function enterClass(
  db: Database | Transaction,
  adultId: string,
  classId: string,
): Promise<ClassScope | null> {
  const [row] = await db
    .select({ name: classroom.name, yearGroup: classroom.yearGroup, timeZone: classroom.timeZone })
    .from(classroom)
    .innerJoin(membership, eq(membership.classId, classroom.id))
    .where(and(eq(classroom.id, classId), eq(membership.adultId, adultId)))
  return row ? ({ db, classId, adultId, classroom: row } as ClassScope) : null
}
