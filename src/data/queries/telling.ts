import { sql } from 'drizzle-orm'
import { sessionChannel } from '../channel'
import type { ClassScope } from '../scope'

/** Tells every device of a session that something in it changed, once the transaction is committed; on all instances. */
export async function tellOf({ db }: ClassScope, sessionIds: Iterable<string>) {
  for (const id of new Set(sessionIds)) await db.execute(sql`select pg_notify(${sessionChannel}, ${id})`)
}
