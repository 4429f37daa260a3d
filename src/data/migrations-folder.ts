import { join } from 'node:path'

/** Where the migrations of this version are. */
export const ownMigrations = () => join(process.cwd(), 'src/data/migrations')
