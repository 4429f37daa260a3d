import { join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import { drizzle as drizzlePostgres } from 'drizzle-orm/node-postgres'
import { migrate as migratePostgres } from 'drizzle-orm/node-postgres/migrator'
import { drizzle as drizzlePglite, type PgliteDatabase } from 'drizzle-orm/pglite'
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator'
import pg from 'pg'
import { PgliteClient } from './pglite/client'
import * as schema from './schema'

/** The same query interface for PGlite and for a PostgreSQL server. */
export type Database = PgliteDatabase<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

export interface OpenDatabase {
  database: Database
  close(): Promise<void>
}

const options = { schema, casing: 'snake_case' } as const
const ownMigrations = () => join(process.cwd(), 'src/data/migrations')

interface Where {
  url?: string
  folder: string
  /** Folder of the migrations to bring it up to; left out: all of this version. */
  migrations?: string
}

/** A PostgreSQL server where `DATABASE_URL` names one, else PGlite in `folder`; migrated. */
export function openDatabase({ url, folder, migrations = ownMigrations() }: Where): Promise<OpenDatabase> {
  return url ? openServer(url, migrations) : openFolder(folder, migrations)
}

async function openFolder(folder: string, migrationsFolder: string): Promise<OpenDatabase> {
  const client = await PgliteClient.open(folder)
  // The client has the two methods of PGlite that the query builder calls.
  const database = drizzlePglite({ client: client as unknown as PGlite, ...options })
  await migratePglite(database, { migrationsFolder })
  return { database, close: () => client.close() }
}

/** Any number: the same for every instance, so that only one of them migrates at a time. */
const migrationLock = 7_240_311

async function openServer(url: string, migrationsFolder: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url, max: 10 })
  const client = await pool.connect()
  try {
    await client.query('select pg_advisory_lock($1)', [migrationLock])
    await migratePostgres(drizzlePostgres(client, options), { migrationsFolder })
  } finally {
    await client.query('select pg_advisory_unlock($1)', [migrationLock])
    client.release()
  }
  return { database: drizzlePostgres(pool, options) as unknown as Database, close: () => pool.end() }
}

/** The one open database of a server process; kept on globalThis because routes and instrumentation are bundled apart. */
const shared = globalThis as { islandsDatabase?: Promise<OpenDatabase> }

/** Opens the server's database, once. Called when the server starts, never at import. */
export function openServerDatabase(): Promise<OpenDatabase> {
  shared.islandsDatabase ??= openDatabase({
    url: process.env.DATABASE_URL,
    folder: process.env.ISLANDS_FOLDER ?? join(process.cwd(), '.islands/data'),
  })
  return shared.islandsDatabase
}

export async function serverDatabase(): Promise<Database> {
  return (await openServerDatabase()).database
}
