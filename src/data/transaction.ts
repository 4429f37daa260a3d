import { causes } from './away'
import type { Database, Transaction } from './connection'

/** Times a transaction is tried again when it got in the way of another one. */
const mostTries = 5

/**
 * What PostgreSQL says of two transactions that can't both be: of order, of a deadlock, of a key that another has
 * just taken. Tried again the second one sees what the first has done.
 */
const collisions = ['40001', '40P01', '23505']

/** PostgreSQL's code of an error, wherever the query builder put it. */
export function sqlStateOf(error: unknown): string | undefined {
  for (const { code } of causes(error))
    if (typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code)) return code
  return undefined
}

/** Runs `work` in a transaction; tried again where another transaction got in its way. */
export async function inTransaction<T>(
  database: Database,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> {
  for (let attempt = 1; ; attempt++)
    try {
      return await database.transaction(work)
    } catch (error) {
      if (attempt === mostTries || !collisions.includes(sqlStateOf(error) ?? '')) throw error
      await new Promise((resolve) => setTimeout(resolve, Math.random() * 20 * attempt))
    }
}

declare const snapshot: unique symbol
/** A transaction in which every statement sees the database as it was when the first one ran. */
export type Snapshot = Transaction & { readonly [snapshot]: true }

/**
 * Several statements that read as of one moment. On PGlite, where statements wait for transactions, they wait once and
 * not each; what is worked out between them holds everybody up, so nothing is.
 */
export function atOneMoment<T>(database: Database, work: (snapshot: Snapshot) => Promise<T>): Promise<T> {
  return database.transaction((transaction) => work(transaction as Snapshot), {
    isolationLevel: 'repeatable read',
    accessMode: 'read only',
  })
}
