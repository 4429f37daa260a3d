import { sql } from 'drizzle-orm'
import type { Day } from '@/core/planning/calendar'
import type { Database } from '@/data/connection'

/** Further than any date is from another: on the way there no two of one table can meet. */
const farAway = 40_000

/** Moves every date and moment of a database on by so many days, so that the demo is always of this week. */
export async function moveDates(database: Database, days: number) {
  const { rows } = await database.execute<{ table: string; column: string }>(sql`
    select table_name as "table", column_name as "column" from information_schema.columns
    where table_schema = 'public' and data_type in ('date', 'timestamp with time zone')`)
  const tables = new Map<string, string[]>()
  for (const { table, column } of rows) tables.set(table, [...(tables.get(table) ?? []), column])
  await database.transaction(async (transaction) => {
    for (const [table, columns] of tables)
      // In two steps: a key with a day in it would meet the day that is still to be moved.
      for (const by of [farAway, days - farAway]) {
        const moved = columns.map(
          (column) => sql`${sql.identifier(column)} = ${sql.identifier(column)} + ${by} * interval '1 day'`,
        )
        await transaction.execute(sql`update ${sql.identifier(table)} set ${sql.join(moved, sql`, `)}`)
      }
  })
}

/** Sessions that were planned and not held are planned for today. */
export async function planForToday(database: Database, today: Day) {
  await database.execute(sql`update station_session set day = ${today} where state = 'planned'`)
}
