import { existsSync, mkdirSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { dumpText } from '@/data/backup/dump'
import { writeGzip } from '@/data/backup/files'
import { dataFolder, openDatabase } from '@/data/connection'
import { atOneMoment } from '@/data/transaction'

/** Writes everything there is to a file, or into a folder under a name of its own: `backup.ts TO`. */
async function main() {
  const [to] = process.argv.slice(2)
  if (!to) throw new Error('Say where to: npm run backup -- FILE-OR-FOLDER')
  const { database, close } = await openDatabase({ url: process.env.DATABASE_URL, folder: dataFolder() })
  try {
    const isFolder = existsSync(to) ? statSync(to).isDirectory() : !/\.json\.gz$/.test(to)
    const name = `islands-${new Date().toISOString().replace(/[:.]/g, '-')}-by-hand.json.gz`
    const file = isFolder ? join(to, name) : to
    mkdirSync(dirname(file), { recursive: true })
    await atOneMoment(database, (snapshot) => writeGzip(file, dumpText(snapshot)))
    process.stderr.write(`islands: everything is in ${file} (${statSync(file).size} bytes)\n`)
  } finally {
    await close()
  }
}

main().catch((error: Error) => {
  process.stderr.write(`islands: ${error.message}\n`)
  process.exit(1)
})
