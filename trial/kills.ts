import { rmSync } from 'node:fs'
import { sql, type SQL } from 'drizzle-orm'
import { currentVersion } from '../src/data/backup/upgrade'
import { openDatabase } from '../src/data/connection'
import { freshFolder } from '../e2e/support/server'
import { runningSession, withFolder } from '../e2e/support/school'
import { createClass } from '../src/server/classes'
import { groupsPage, saveGroups } from '../src/server/groups/groups'
import { planPage } from '../src/server/plan/plan'
import { ownTeacher } from '../src/server/viewer'
import { didAction } from '../e2e/support/actions'
import { markFor, postMark, say, serveFolder, wait } from './support'

const eight = ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Freya', 'Goran', 'Hanne']

/** A class whose groups and plans are kept again and again. */
const planningClass = (folder: string) =>
  withFolder(folder, async () => {
    const viewer = ownTeacher()
    const classId = crypto.randomUUID()
    const list = { text: eight.join('\n'), columns: ['name' as const], hasHeader: false }
    await createClass(viewer, { classId, name: 'Plover', yearGroup: 'Year 1', list })
    const { groups } = (await groupsPage(viewer, { classId })).standing
    await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
    const { plan, groupingId } = (await planPage(viewer, { classId })).view!
    return { classId, groups, plan, groupingId }
  })

/** What was acknowledged, by id. */
const acknowledged = {
  marks: new Set<string>(),
  classes: new Set<string>(),
  groupings: new Set<string>(),
  sessions: new Set<string>(),
}

/**
 * Kills the server at random moments while eight clients write: four mark and correct, one brings in classes, two
 * keep groups, one keeps plans. Afterwards everything that was acknowledged must be there, whole.
 */
export async function kills(count: number, untilMs: number) {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder, eight)
  const grouped = await planningClass(folder)
  const planned = await planningClass(folder)
  let unopened = 0
  let done = 0
  for (; done < count && Date.now() < untilMs; done++) {
    const server = await serveFolder(folder, { cold: true })
    if (!server) {
      unopened++
      break
    }
    let killed = false
    const { url } = server
    /** Writes one thing after the other until the server is killed. */
    const client = async (of: Set<string>, write: (id: string, turn: number) => Promise<boolean>) => {
      for (let turn = 0; !killed; turn++) {
        const id = crypto.randomUUID()
        if (await write(id, turn)) of.add(id)
      }
    }
    const marker = (number: number) => {
      const observer = crypto.randomUUID()
      // Eight children in turn and then anew: what an observer marks again is a correction.
      return client(acknowledged.marks, (id, turn) => {
        const visit = visits[(number + turn) % visits.length]
        const child = visit.children[turn % visit.children.length]
        return postMark(url, classId, markFor(visit.id, child.id, { id, observer }))
      })
    }
    const grouper = () =>
      client(acknowledged.groupings, (groupingId, turn) =>
        didAction(url, `/c/${grouped.classId}/groups`, 'saveGroupsAction', {
          classId: grouped.classId,
          groupingId,
          gameId: 'landfall',
          note: `turn ${turn}`,
          groups: grouped.groups,
        }),
      )
    const planner = client(acknowledged.sessions, (sessionId) =>
      didAction(url, `/c/${planned.classId}/plan`, 'savePlanAction', {
        classId: planned.classId,
        sessionId,
        groupingId: planned.groupingId,
        plan: planned.plan,
      }),
    )
    // Whole classes come in: either all of one is there or nothing.
    const importer = client(acknowledged.classes, (id) => bringIn(url, smallClass(id)))
    const clients = [...[0, 1, 2, 3].map(marker), grouper(), grouper(), planner, importer]
    // A class that comes in is backed up before, a plan waits for its thread: one time in six they get round to it.
    await wait(Math.random() < 1 / 6 ? 4_000 + Math.random() * 6_000 : 300 + Math.random() * 2_500)
    server.child.kill('SIGKILL')
    killed = true
    await Promise.all(clients)
    await server.stop('SIGKILL')
    if (done % 25 === 24) say(`${done + 1} kills, ${acknowledged.marks.size} marks acknowledged`)
  }
  const found = await whatIsThere(folder, planned)
  rmSync(folder, { recursive: true, force: true })
  const missing = (wanted: Set<string>, there: Set<string>) =>
    [...wanted].filter((id) => !there.has(id)).length
  return {
    kills: done,
    unopened,
    acknowledged: Object.fromEntries(Object.entries(acknowledged).map(([what, { size }]) => [what, size])),
    lost: {
      marks: missing(acknowledged.marks, found.marks),
      classes: missing(acknowledged.classes, found.classes),
      groupings: missing(acknowledged.groupings, found.groupings),
      sessions: missing(acknowledged.sessions, found.sessions),
    },
    halves: found.halves,
    corrections: found.corrections,
    chainsWithTwoStanding: found.chainsWithTwoStanding,
  }
}

/** What the folder holds, and of how many things only a part. */
async function whatIsThere(folder: string, { plan, groupingId }: Awaited<ReturnType<typeof planningClass>>) {
  const { database, close } = await openDatabase({ folder })
  const ask = async <T extends Record<string, unknown>>(query: SQL) => (await database.execute<T>(query)).rows
  const marks = await ask<{ id: string }>(sql`select id from observation`)
  const classes = await ask<{ id: string; parts: number }>(
    sql`select c.id, count(p.id)::int as parts from classroom c left join pupil p on p.class_id = c.id group by 1`,
  )
  const groupings = await ask<{ id: string; parts: number }>(
    sql`select g.id, count(m.pupil_id)::int as parts from grouping g left join group_member m on m.grouping_id = g.id group by 1`,
  )
  const sessions = await ask<{ id: string; parts: number; visits: number }>(
    sql`select s.id, count(distinct t.id)::int as parts, count(distinct v.id)::int as visits from station_session s
      left join station t on t.session_id = s.id left join visit v on v.session_id = s.id
      where s.grouping_id = ${groupingId} group by 1`,
  )
  const [{ corrections, two }] = await ask<{ corrections: number; two: number }>(
    sql`select sum(n - 1)::int as corrections, (count(*) filter (where standing > 1))::int as two from
      (select count(*) as n, count(*) filter (where standing) as standing from observation group by chain) c`,
  )
  await close()
  const ids = (rows: readonly { id: string }[]) => new Set(rows.map(({ id }) => id))
  const visitsEach = Math.max(0, ...sessions.map(({ visits }) => visits))
  return {
    marks: ids(marks),
    classes: ids(classes),
    groupings: ids(groupings),
    sessions: ids(sessions),
    halves:
      classes.filter(({ parts }) => parts !== 3 && parts !== eight.length).length +
      groupings.filter(({ parts }) => parts !== eight.length).length +
      sessions.filter(({ parts, visits }) => parts !== plan.stations.length || visits !== visitsEach).length,
    corrections,
    chainsWithTwoStanding: two,
  }
}

/** The document of a class of three. */
function smallClass(id: string) {
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
