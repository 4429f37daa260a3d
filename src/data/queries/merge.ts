import { asc, eq, max, sql } from 'drizzle-orm'
import { lastMade, saysSomething } from '@/core/evidence/mark'
import type { Row } from '../backup/document'
import type { Transaction } from '../connection'
import { estimate, estimateDay, grouping, observation } from '../schema'
import type { ClassScope } from '../scope'

type Tables = Record<string, Row[]>

/** Versions of groups that come in with a document are counted on after those that are there. */
export async function renumberVersions(db: Transaction, classId: string, tables: Tables): Promise<Tables> {
  const there = await db.select({ id: grouping.id }).from(grouping).where(eq(grouping.classId, classId))
  const known = new Set(there.map(({ id }) => id))
  const [{ last }] = await db
    .select({ last: max(grouping.version) })
    .from(grouping)
    .where(eq(grouping.classId, classId))
  let version = last ?? 0
  const byVersion = (a: Row, b: Row) => Number(a.version) - Number(b.version)
  return {
    ...tables,
    grouping: [...(tables.grouping ?? [])]
      .sort(byVersion)
      .map((row) => (known.has(String(row.id)) ? row : { ...row, version: ++version })),
  }
}

/** Of each chain the mark made last stands, whichever of two copies of a class it came from. */
export async function settleChains({ db, classId }: ClassScope) {
  const rows = await db
    .select()
    .from(observation)
    .where(eq(observation.classId, classId))
    .orderBy(asc(observation.chain))
  const chains = new Map<string, typeof rows>()
  for (const row of rows) chains.set(row.chain, [...(chains.get(row.chain) ?? []), row])
  for (const [chain, all] of chains) {
    const last = lastMade(all)
    const stands = saysSomething(last) ? last.id : null
    if (all.every((row) => row.standing === (row.id === stands))) continue
    await db
      .update(observation)
      .set({ standing: stands === null ? false : sql`${observation.id} = ${stands}` })
      .where(eq(observation.chain, chain))
  }
}

/** Forgets what was worked out of a class: it is worked out anew from its records. */
export async function clearEstimates({ db, classId }: ClassScope) {
  await db.delete(estimate).where(eq(estimate.classId, classId))
  await db.delete(estimateDay).where(eq(estimateDay.classId, classId))
}
