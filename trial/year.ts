import { sql } from 'drizzle-orm'
import { strandOf } from '../src/core/skills'
import { addDays, weekday } from '../src/core/planning/calendar'
import { openDatabase, type Database } from '../src/data/connection'
import { classesOf, ensureAdult } from '../src/data/queries/classes'
import { createClass } from '../src/server/classes'
import { groupsPage, saveGroups } from '../src/server/groups/groups'
import { closeThreads } from '../src/server/heavy/threads'
import { planPage, savePlan } from '../src/server/plan/plan'
import { refreshEstimates } from '../src/server/refresh'
import { tapClock } from '../src/server/run'
import { ownTeacher, theTeacher } from '../src/server/viewer'
import { say } from './support'

/** School days before today, the last first. */
function schoolDays(count: number): string[] {
  const days: string[] = []
  for (
    let day = addDays(new Date().toISOString().slice(0, 10), -1);
    days.length < count;
    day = addDays(day, -1)
  )
    if (weekday(day) !== 0 && weekday(day) !== 6) days.push(day)
  return days
}

/**
 * A school with so many classes of thirty children and so many days of marks each. It goes on where it was broken
 * off: a class that is there already is not made again.
 * @returns how many marks there are
 */
export async function makeYear(
  folder: string,
  classes: number,
  days: number,
  marksADay: number,
): Promise<number> {
  const shared = globalThis as { islandsDatabase?: unknown }
  const open = openDatabase({ folder })
  shared.islandsDatabase = open
  const { database, close } = await open
  const viewer = ownTeacher()
  await ensureAdult(database, theTeacher)
  const there = (await classesOf(database, viewer.adultId)).length
  for (let number = there; number < classes; number++) {
    await makeClass(database, number, schoolDays(days), marksADay)
    say(`class ${number + 1} of ${classes}`)
  }
  await refreshEstimates(database)
  await database.execute(sql`vacuum analyze`)
  const { rows } = await database.execute<{ n: number }>(sql`select count(*)::int as n from observation`)
  await closeThreads()
  await close()
  delete shared.islandsDatabase
  return rows[0].n
}

async function makeClass(database: Database, number: number, days: readonly string[], marksADay: number) {
  const viewer = ownTeacher()
  const classId = crypto.randomUUID()
  const names = Array.from(
    { length: 30 },
    (_, i) => `Child${String.fromCharCode(65 + (i % 26))}${i > 25 ? 'b' : ''}`,
  )
  await createClass(viewer, {
    classId,
    name: `Class ${number + 1}`,
    yearGroup: 'Year 1',
    list: { text: names.join('\n'), columns: ['name'], hasHeader: false },
  })
  const page = await groupsPage(viewer, { classId })
  await saveGroups(viewer, {
    classId,
    groupingId: crypto.randomUUID(),
    gameId: 'landfall',
    groups: page.standing.groups,
  })
  const { view } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan: view!.plan })
  // The first session again on every school day, and its marks by a quick hand.
  const steps = strandOf('add')
    .steps.slice(2, 9)
    .map(({ id }) => id)
  await database.transaction(async (tx) => {
    for (const day of days) {
      const past = crypto.randomUUID()
      await tx.execute(sql`insert into station_session select (jsonb_populate_record(s, jsonb_build_object(
        'id', ${past}::text, 'day', ${day}::text, 'state', 'done'))).* from station_session s where id = ${sessionId}`)
      await tx.execute(sql`insert into station (id, class_id, session_id, position, game_id, mode, places)
        select gen_random_uuid(), class_id, ${past}, position, game_id, mode, places from station where session_id = ${sessionId}`)
      await tx.execute(sql`insert into visit (class_id, id, session_id, slot, station_id, group_id, level_id, seats)
        select v.class_id, gen_random_uuid(), ${past}, v.slot, n.id, v.group_id, v.level_id, v.seats from visit v
        join station o on o.id = v.station_id join station n on n.session_id = ${past} and n.position = o.position
        where v.session_id = ${sessionId}`)
      await tx.execute(sql`insert into observation
        (id, class_id, pupil_id, adult_id, observer, strand, step, judged, weight, school_day, chain, standing, made_at)
        select m.id, ${classId}::uuid, p.id, ${viewer.adultId}::uuid, ${viewer.adultId}::uuid, 'add',
          (array[${sql.join(
            steps.map((step) => sql`${step}::text`),
            sql`, `,
          )}])[1 + floor(random() * ${steps.length}::int)::int],
          (array['own', 'own', 'help', 'notYet'])[1 + floor(random() * 4)::int], 1, ${day}::date, m.id, true,
          ${day}::date + time '10:20' + k * interval '1 minute'
        from pupil p, generate_series(1, ${marksADay}::int) k, lateral (select gen_random_uuid() as id, p.id as pupil, k as number) m
        where p.class_id = ${classId}`)
    }
    await tx.execute(sql`insert into played (class_id, pupil_id, game_id, mode, day)
      select m.class_id, m.pupil_id, s.game_id, s.mode, max(t.day) from station_session t
      join visit v on v.session_id = t.id join station s on s.id = v.station_id join group_member m on m.group_id = v.group_id
      where t.class_id = ${classId} and t.state = 'done' group by 1, 2, 3, 4`)
    await tx.execute(sql`delete from estimate where class_id = ${classId}`)
    await tx.execute(sql`update placement set day = ${days.at(-1)!} where class_id = ${classId}`)
  })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
}
