import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { openServerDatabase } from '@/data/server-database'
import { generateDemo } from '@/demo/generate'
import { ensureAdult } from '@/data/queries/classes'
import { todayIn } from '@/server/clock'
import { closeThreads } from '@/server/heavy/threads'
import { currentViewer, theTeacher } from '@/server/viewer'

/** Raised when the scenario changes, so that old demo folders are made anew. */
const version = 5

const say = (line: string) => process.stderr.write(`islands: ${line}\n`)

/** Prepares the demo folder for today: `demo-data.ts FOLDER`. One made today is kept as it is. */
async function main() {
  const folder = process.argv[2]
  const today = process.env.ISLANDS_DEMO_DAY ?? todayIn('Europe/London')
  const stamp = `${version} ${today}`
  const file = `${folder}.stamp`
  if (existsSync(file) && readFileSync(file, 'utf8') === stamp) return
  say('preparing the demo data for today (about a minute) …')
  rmSync(folder, { recursive: true, force: true })
  process.env.ISLANDS_FOLDER = folder
  const { database, close } = await openServerDatabase()
  await ensureAdult(database, theTeacher)
  const setClock = (day: string, time = '09:00') => (process.env.ISLANDS_CLOCK = `${day}T${time}:00Z`)
  await generateDemo(currentViewer(), today, setClock, say)
  await closeThreads()
  await close()
  writeFileSync(file, stamp)
}

main().catch((error) => {
  console.error(error)
  process.exit(1)
})
