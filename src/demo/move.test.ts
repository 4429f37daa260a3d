import { sql } from 'drizzle-orm'
import { serverDatabase } from '@/data/server-database'
import { childPage, progressPage } from '@/server/progress'
import { planPage } from '@/server/plan/plan'
import { recordMark } from '@/server/marks/marks'
import { classTable } from '@/server/classes'
import { mark, openTestSchool, running, newClass, viewer, grouped, planned } from '@/server/testing/school'
import { moveDates, planForToday } from './move'

openTestSchool()

test('a week later the same class says the same, a week later', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [visit] = page.visits
  const [child] = visit.children
  // Days that follow each other: none may meet another on the way.
  for (const [n, day] of ['2026-11-10', '2026-11-17', '2026-11-24'].entries())
    await recordMark(viewer, {
      classId,
      ...mark(visit.id, child.id, { madeAt: `${day}T10:2${n}:00Z`, observer: crypto.randomUUID() }),
    })
  const shown = async () => {
    const { records } = await childPage(viewer, { classId, pupilId: child.id })
    const { lastSeen } = (await classTable(viewer, { classId })).rows.find(({ id }) => id === child.id)!
    return { records, lastSeen, progress: await progressPage(viewer, { classId }) }
  }
  const before = await shown()
  await moveDates(await serverDatabase(), 7)
  process.env.ISLANDS_CLOCK = '2026-12-01T09:00:00Z'
  const after = await shown()
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  expect(before.records).toHaveLength(3)
  expect(before.lastSeen).toBe('2026-11-24')
  expect(after.lastSeen).toBe('2026-12-01')
  const withoutDays = (value: unknown) =>
    JSON.stringify(value).replaceAll(/\d{4}-\d\d-\d\d(T[\d:.]+Z)?/g, 'day')
  expect(withoutDays(after)).toBe(withoutDays(before))
  const { rows } = await (
    await serverDatabase()
  ).execute<{ day: string }>(
    sql`select distinct day::text as day from estimate_day where pupil_id = ${child.id} order by 1`,
  )
  expect(rows.map(({ day }) => day)).toContain('2026-12-01')
})

test('the session that waits is of today', async () => {
  const classId = await newClass()
  await grouped(classId)
  await planned(classId)
  await planForToday(await serverDatabase(), '2026-11-26')
  process.env.ISLANDS_CLOCK = '2026-11-26T09:00:00Z'
  const { view } = await planPage(viewer, { classId })
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  expect(view!.plan.day).toBe('2026-11-26')
})
