import { rmSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { openDatabase } from '../src/data/connection'
import { freshFolder } from '../e2e/support/server'
import { runningSession } from '../e2e/support/school'
import { markFor, postMark, say, serveFolder, wait } from './support'

/**
 * Kills the server at random moments while eight devices write marks and corrections, and looks afterwards whether
 * everything that was acknowledged is there and the folder opens.
 */
export async function kills(count: number, untilMs: number) {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder, [
    'Ama',
    'Bruno',
    'Chidi',
    'Dalia',
    'Emre',
    'Freya',
    'Goran',
    'Hanne',
  ])
  const acknowledged = new Set<string>()
  let unopened = 0
  let done = 0
  for (; done < count && Date.now() < untilMs; done++) {
    const server = await serveFolder(folder)
    if (!server) {
      unopened++
      break
    }
    let killed = false
    const device = async (number: number) => {
      const observer = crypto.randomUUID()
      for (let i = number; !killed; i++) {
        const visit = visits[i % visits.length]
        const child = visit.children[i % visit.children.length]
        const mark = markFor(visit.id, child.id, { observer })
        if (await postMark(server.url, classId, mark)) acknowledged.add(mark.id)
      }
    }
    const devices = Array.from({ length: 8 }, (_, number) => device(number))
    await wait(50 + Math.random() * 700)
    server.child.kill('SIGKILL')
    killed = true
    await Promise.all(devices)
    await server.stop('SIGKILL')
    if (done % 25 === 24) say(`${done + 1} kills, ${acknowledged.size} marks acknowledged`)
  }
  const { database, close } = await openDatabase({ folder })
  const { rows } = await database.execute<{ id: string }>(sql`select id from observation`)
  const stored = new Set(rows.map(({ id }) => id))
  const { rows: chains } = await database.execute<{ n: number }>(
    sql`select count(*)::int as n from (select chain from observation group by chain having count(*) filter (where standing) > 1) c`,
  )
  await close()
  rmSync(folder, { recursive: true, force: true })
  const lost = [...acknowledged].filter((id) => !stored.has(id)).length
  return { kills: done, acknowledged: acknowledged.size, lost, unopened, chainsWithTwoStanding: chains[0].n }
}
