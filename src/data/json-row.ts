import { sql, type GetColumnData, type SQL } from 'drizzle-orm'
import type { PgColumn } from 'drizzle-orm/pg-core'

type Columns = Record<string, PgColumn>

/**
 * A row as one JSON value, to be gathered by `json_agg`: a list that comes in one row of its owner costs a
 * part of what it costs in rows of its own.
 */
export function jsonRow<C extends Columns>(columns: C): SQL<{ [K in keyof C]: GetColumnData<C[K]> }> {
  const parts = Object.entries(columns).map(([name, column]) => sql`${sql.raw(`'${name}'`)}, ${column}`)
  return sql`json_build_object(${sql.join(parts, sql`, `)})`
}

/** All such values of a query, in the order given; none: an empty list. */
export function jsonAll<T>(row: SQL<T>, orderBy?: SQL): SQL<T[]> {
  const ordered = orderBy ? sql`${row} order by ${orderBy}` : row
  return sql`coalesce(json_agg(${ordered}), '[]'::json)`
}

/** The list that belongs to a row, as a query within the query. */
export const jsonList = <T>(row: SQL<T>, from: SQL, orderBy?: SQL): SQL<T[]> =>
  sql`(select ${jsonAll(row, orderBy)} from ${from})`
