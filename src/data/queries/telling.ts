import { and, eq, ne, sql } from 'drizzle-orm'
import { sessionChannel } from '../channel'
import { stationSession } from '../schema'
import type { ClassScope } from '../scope'

/** Tells every device of a session that something in it changed, once the transaction is committed; on all instances. */
export async function tellOf({ db }: Pick<ClassScope, 'db'>, sessionIds: Iterable<string>) {
  for (const id of new Set(sessionIds)) await db.execute(sql`select pg_notify(${sessionChannel}, ${id})`)
}

/** The same for every session of the class that is not over: who is in the class has changed, or what somebody is called. */
export async function tellOfClass(scope: ClassScope) {
  const open = await scope.db
    .select({ id: stationSession.id })
    .from(stationSession)
    .where(and(eq(stationSession.classId, scope.classId), ne(stationSession.state, 'done')))
  await tellOf(
    scope,
    open.map(({ id }) => id),
  )
}
