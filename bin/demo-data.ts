import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { openServerDatabase } from '@/data/server-database'
import { generateDemo, mondayOf } from '@/demo/generate'
import { moveDates, planForToday } from '@/demo/move'
import { ensureAdult } from '@/data/queries/classes'
import { todayIn } from '@/server/clock'
import { closeThreads } from '@/server/heavy/threads'
import { ownTeacher, theTeacher } from '@/server/viewer'

const say = (line: string) => process.stderr.write(`islands: ${line}\n`)

/**
 * Prepares the demo folder for today: `demo-data.ts FOLDER [PRINT]`. One that was made of the same scenario, as PRINT
 * tells, is kept with all that was done in it, and its dates are moved on.
 */
async function main() {
  const [folder, print = ''] = process.argv.slice(2)
  const today = process.env.ISLANDS_DEMO_DAY ?? todayIn('Europe/London')
  const file = `${folder}.stamp`
  const [madeOf, of] = existsSync(file) && existsSync(folder) ? readFileSync(file, 'utf8').split(' ') : []
  const same = madeOf === print && of !== undefined
  if (same && of === today) return
  process.env.ISLANDS_FOLDER = folder
  if (!same) {
    say('preparing the demo data (a minute or two, once) …')
    rmSync(folder, { recursive: true, force: true })
  }
  const { database, close } = await openServerDatabase()
  if (same) {
    const days = Math.round((Date.parse(mondayOf(today)) - Date.parse(mondayOf(of))) / 86_400_000)
    if (days !== 0) await moveDates(database, days)
    await planForToday(database, today)
  } else {
    await ensureAdult(database, theTeacher)
    const setClock = (day: string, time = '09:00') => (process.env.ISLANDS_CLOCK = `${day}T${time}:00Z`)
    await generateDemo(ownTeacher(), today, setClock, say)
  }
  await closeThreads()
  await close()
  writeFileSync(file, `${print} ${today}`)
}

main().catch((error) => {
  console.error(error)
  process.exit(1)
})
