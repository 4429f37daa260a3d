import { openDatabase } from '@/data/connection'
import { ensureAdult } from '@/data/queries/classes'
import { theTeacher } from '@/server/viewer'

/** Makes a new, migrated data folder: `empty-folder.ts FOLDER`. */
async function main() {
  const { database, close } = await openDatabase({ folder: process.argv[2] })
  await ensureAdult(database, theTeacher)
  await close()
}

void main()
