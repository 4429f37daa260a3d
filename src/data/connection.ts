import { join } from 'node:path'
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import pg from 'pg'
import { hostPglite, type HostedPglite } from './pglite/host'
import * as schema from './schema'

export type Database = NodePgDatabase<typeof schema>
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

export interface OpenDatabase {
  database: Database
  close(): Promise<void>
}

/** Any number: the same for every instance, so that only one of them migrates at a time. */
const migrationLock = 7_240_311

/** A PostgreSQL server where `DATABASE_URL` names one, else PGlite in `folder`; migrated. */
export async function openDatabase({ url, folder }: { url?: string; folder: string }): Promise<OpenDatabase> {
  const hosted: HostedPglite | null = url ? null : await hostPglite(folder)
  const pool = hosted
    ? new pg.Pool({ host: hosted.host, port: 5432, user: 'postgres', database: 'postgres', max: 4 })
    : new pg.Pool({ connectionString: url, max: 10 })
  const database = drizzle(pool, { schema, casing: 'snake_case' })
  await migrateOnce(pool)
  return {
    database,
    async close() {
      await pool.end()
      await hosted?.close()
    },
  }
}

async function migrateOnce(pool: pg.Pool) {
  const client = await pool.connect()
  try {
    await client.query('select pg_advisory_lock($1)', [migrationLock])
    await migrate(drizzle(client), { migrationsFolder: join(process.cwd(), 'src/data/migrations') })
    await client.query('select pg_advisory_unlock($1)', [migrationLock])
  } finally {
    client.release()
  }
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
