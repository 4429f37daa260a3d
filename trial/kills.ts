import { rmSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { currentVersion } from '../src/data/backup/upgrade'
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
  const importedClasses = new Set<string>()
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
    // Beside the marks whole classes come in: either all of one is there or nothing.
    const importer = async () => {
      while (!killed) {
        const document = smallClass()
        const id = document.tables.classroom[0].id
        if (await bringIn(server.url, document)) importedClasses.add(id)
      }
    }
    const devices = [...Array.from({ length: 8 }, (_, number) => device(number)), importer()]
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
  const { rows: classes } = await database.execute<{ id: string; children: number }>(
    sql`select c.id, count(p.id)::int as children from classroom c left join pupil p on p.class_id = c.id group by 1`,
  )
  const { rows: chains } = await database.execute<{ n: number }>(
    sql`select count(*)::int as n from (select chain from observation group by chain having count(*) filter (where standing) > 1) c`,
  )
  await close()
  rmSync(folder, { recursive: true, force: true })
  const lost = [...acknowledged].filter((id) => !stored.has(id)).length
  const whole = new Map(classes.map(({ id, children }) => [id, children]))
  return {
    kills: done,
    marks: acknowledged.size,
    marksLost: lost,
    classesImported: importedClasses.size,
    classesLost: [...importedClasses].filter((id) => whole.get(id) !== 3).length,
    halfClasses: classes.filter(({ children }) => children !== 3 && children !== 8).length,
    unopened,
    chainsWithTwoStanding: chains[0].n,
  }
}

/** The document of a class of three. */
function smallClass() {
  const id = crypto.randomUUID()
  const pupil = ['Ida', 'Joon', 'Kai'].map((name) => ({
    id: crypto.randomUUID(),
    class_id: id,
    name,
    initial: '',
    year_group: 'Year 1',
    adult_near: false,
    left_at: null,
  }))
  const room = {
    id,
    name: 'Small',
    year_group: 'Year 1',
    time_zone: 'Europe/London',
    created_at: new Date().toISOString(),
  }
  return {
    format: 'islands',
    kind: 'class',
    version: currentVersion(),
    madeAt: new Date().toISOString(),
    tables: { classroom: [room], pupil },
  }
}

async function bringIn(url: string, document: object): Promise<boolean> {
  try {
    const response = await fetch(`${url}/settings/import?mode=replace`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(document),
    })
    return response.ok && ((await response.json()) as { ok: boolean }).ok
  } catch {
    return false
  }
}
