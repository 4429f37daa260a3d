import { join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import { sql } from 'drizzle-orm'
import { drizzle as drizzlePostgres } from 'drizzle-orm/node-postgres'
import { migrate as migratePostgres } from 'drizzle-orm/node-postgres/migrator'
import { drizzle as drizzlePglite, type PgliteDatabase } from 'drizzle-orm/pglite'
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator'
import pg from 'pg'
import { isAway } from './away'
import { ownMigrations } from './migrations-folder'
import { PgliteClient } from './pglite/client'
import { FolderDamaged } from './pglite/folder'
import * as schema from './schema'
import { ServerEar } from './server-ear'

/** The same query interface for PGlite and for a PostgreSQL server. */
export type Database = PgliteDatabase<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

export interface OpenDatabase {
  database: Database
  /**
   * Hears of each session in which something changed, by its id; null: something may have been missed, all is to be read anew.
   * @returns the way to stop listening
   */
  listen(listener: (sessionId: string | null) => void): () => void
  close(): Promise<void>
}

const options = { schema, casing: 'snake_case' } as const

interface Where {
  url?: string
  folder: string
  /** Folder of the migrations to bring it up to; left out: all of this version. */
  migrations?: string
  /** Called before the tables are changed, and not for a new database. */
  beforeMigration?: (database: Database) => Promise<void>
}

/** A PostgreSQL server where `DATABASE_URL` names one, else PGlite in `folder`; migrated. */
export const openDatabase = (where: Where): Promise<OpenDatabase> =>
  where.url ? openServer(where.url, where) : openFolder(where)

async function openFolder({ folder, migrations, beforeMigration }: Where): Promise<OpenDatabase> {
  const client = await PgliteClient.open(folder)
  try {
    // The client has the two methods of PGlite that the query builder calls.
    const database = drizzlePglite({ client: client as unknown as PGlite, ...options })
    const migrationsFolder = migrations ?? ownMigrations()
    await beforeMigration?.(database)
    await migratePglite(database, { migrationsFolder })
    await readThrough(database, folder)
    return { database, listen: (listener) => client.listen(listener), close: () => client.close() }
  } catch (error) {
    await client.close()
    throw error
  }
}

/** Looks at every page of every table once: a damaged one is told at the start, not on a Tuesday morning. */
async function readThrough(database: Database, folder: string) {
  const { rows } = await database.execute<{ name: string }>(
    sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`,
  )
  for (const { name } of rows)
    try {
      await database.execute(sql`select count(*) from ${sql.identifier(name)}`)
    } catch {
      throw new FolderDamaged(folder, `the table ${name} can’t be read`)
    }
}

/** Any number: the same for every instance, so that only one of them migrates at a time. */
const migrationLock = 7_240_311

async function openServer(url: string, { migrations, beforeMigration }: Where): Promise<OpenDatabase> {
  const pool = new pg.Pool({
    connectionString: url,
    max: 10,
    // Also the longest wait for a connection that others hold: under load that is no sign of a server that is away.
    connectionTimeoutMillis: 20_000,
    keepAlive: true,
    statement_timeout: 60_000,
  })
  // A connection that breaks while nobody uses it is no reason to end: the pool makes another.
  pool.on('error', () => undefined)
  // Nor is one that breaks in use: whoever uses it hears of it by the statement that fails.
  pool.on('connect', (client) => client.on('error', () => undefined))
  try {
    const client = await pool.connect()
    try {
      await client.query('select pg_advisory_lock($1)', [migrationLock])
      const database = drizzlePostgres(client, options)
      await beforeMigration?.(database as unknown as Database)
      await migratePostgres(database, { migrationsFolder: migrations ?? ownMigrations() })
      await client.query('select pg_advisory_unlock($1)', [migrationLock])
    } finally {
      client.release()
    }
  } catch (error) {
    await pool.end()
    throw error
  }
  const database = drizzlePostgres(pool, options) as unknown as Database
  const ear = new ServerEar(url)
  return {
    database: Object.assign(database, { transaction: ofPool(pool) }),
    listen: (listener) => ear.listen(listener),
    close: async () => {
      await ear.close()
      await pool.end()
    },
  }
}

/**
 * Transactions of a pool that give their connection back whatever happens: the query builder keeps one for ever that
 * breaks at "begin", and after ten of them nothing would be answered any more.
 */
function ofPool(pool: pg.Pool): Database['transaction'] {
  return async (work, config) => {
    const client = await pool.connect()
    let broken = false
    try {
      return await (drizzlePostgres(client, options) as unknown as Database).transaction(work, config)
    } catch (error) {
      broken = isAway(error)
      throw error
    } finally {
      client.release(broken)
    }
  }
}

/** Where the data of this installation are. */
export const dataFolder = () => process.env.ISLANDS_FOLDER ?? join(process.cwd(), '.islands/data')
