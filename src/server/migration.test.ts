import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { summaryOf, throughHistory, type Counted, type PlacedOn } from '@/core/evidence/history'
import { schoolDaysBetween } from '@/core/planning/calendar'
import { strandOf, type StrandId } from '@/core/skills'
import { nameToday } from '@/core/things'
import { openServerDatabase, serverDatabase } from '@/data/server-database'
import { backupsIn } from '@/data/backup/files'
import { databaseOfItsOwn } from '@/data/testing/database'
import { fillAsVersion6, keptByVersion6 } from '@/data/testing/older-version'
import { classTable } from './classes'
import { closeThreads } from './heavy/threads'
import { planPage } from './plan/plan'
import { childPage } from './progress'
import { refreshEstimates } from './refresh'
import { onServer } from './testing/school'
import { ownTeacher } from './viewer'

const old = keptByVersion6()
const [{ id: classId }] = old.classroom as { id: string }[]
const viewer = ownTeacher()

beforeAll(async () => {
  process.env.ISLANDS_FOLDER = join(mkdtempSync(join(tmpdir(), 'islands-older-')), 'data')
  process.env.ISLANDS_BACKUPS = `${process.env.ISLANDS_FOLDER}-backups`
  if (onServer) process.env.DATABASE_URL = await databaseOfItsOwn()
  await fillAsVersion6({ url: process.env.DATABASE_URL, folder: process.env.ISLANDS_FOLDER })
  process.env.ISLANDS_CLOCK = '2026-11-20T09:00:00Z'
  await openServerDatabase()
}, 120_000)
afterAll(async () => {
  await closeThreads()
  await (await openServerDatabase()).close()
})

const rowsOf = async <T>(query: string) =>
  (await (await serverDatabase()).execute(sql.raw(query))).rows as T[]

/** Rungs put in since stand between those of then, or beyond them, and change nothing of them. */
const rungsOfThen = (strand: StrandId) =>
  strandOf(strand).steps.filter(({ difficulty }) => difficulty % 1.5 === 0)

test('a folder of the version before: every record keeps its child, its step and whether it counts', async () => {
  const now = new Map(
    (
      await rowsOf<{ id: string; step: string; standing: boolean; chain: string }>(
        'select * from observation',
      )
    ).map((row) => [row.id, row]),
  )
  const corrected = new Set(old.observation.map(({ corrects }) => corrects))
  expect(now.size).toBe(old.observation.length)
  for (const row of old.observation as {
    id: string
    strand: StrandId
    step: number
    judged: unknown
    of: unknown
    corrects: string | null
  }[]) {
    const kept = now.get(row.id)!
    expect(kept.step).toBe(rungsOfThen(row.strand)[row.step].id)
    expect(kept.standing).toBe(!corrected.has(row.id) && (row.judged !== null || row.of !== null))
    expect(kept.chain).toBe(row.corrects ?? row.id)
  }
})

test('what was counted on the shelf is counted under the names of today', async () => {
  const now = await rowsOf<{ item: string; count: number }>(
    'select item, count from shelf_count order by item',
  )
  expect(now).toEqual([
    { item: 'base-ten one', count: 40 },
    { item: 'die', count: 12 },
    { item: 'timer', count: 3 },
  ])
  // A document of that time brings the same.
  for (const { item } of old.shelf_count as { item: string }[])
    expect(now.map((row) => row.item)).toContain(nameToday(item))
})

test('groups, stations and visits keep who was where with whom', async () => {
  const after = await rowsOf<{ visit: string; pennant: number; game: string; pupils: string[] }>(`
    select v.id as visit, g.pennant, s.game_id as game, array_agg(m.pupil_id::text order by m.pupil_id) as pupils
    from visit v join station s on s.id = v.station_id join grouping_group g on g.id = v.group_id
    join group_member m on m.group_id = g.id group by 1, 2, 3`)
  expect(after).toHaveLength(old.visit.length)
  for (const visit of old.visit) {
    const session = old.station_session.find(({ id }) => id === visit.session_id)!
    const inGroup = (row: Record<string, unknown>) =>
      row.grouping_id === session.grouping_id && row.position === visit.group
    const station = old.station.find(
      (row) => row.session_id === visit.session_id && row.position === visit.station,
    )!
    expect(after.find((row) => row.visit === visit.id)).toMatchObject({
      pennant: old.grouping_group.find(inGroup)!.pennant,
      game: station.game_id,
      pupils: old.group_member
        .filter(inGroup)
        .map(({ pupil_id }) => pupil_id)
        .sort(),
    })
  }
})

/** What the records of then come to for a child on a strand, and whether all of them are of the day it was placed. */
function reckoned(pupilId: unknown, strand: StrandId) {
  const ofChild = (row: Record<string, unknown>) => row.pupil_id === pupilId && row.strand === strand
  const place = old.placement.find(ofChild)!
  const stepAt = (row: Record<string, unknown>) => rungsOfThen(strand)[row.step as number].id
  const corrected = new Set(old.observation.map(({ corrects }) => corrects))
  const history = old.observation
    .filter((row) => ofChild(row) && !corrected.has(row.id) && (row.judged !== null || row.of !== null))
    .map(
      (row) =>
        ({
          ...row,
          strand,
          step: stepAt(row),
          guess: 0,
          times: 1,
          schoolDay: row.school_day,
        }) as unknown as Counted,
    )
    .sort((one, other) => one.schoolDay.localeCompare(other.schoolDay))
  const placed = { ...place, strand, step: stepAt(place) } as unknown as PlacedOn
  const { running } = throughHistory(placed, history, schoolDaysBetween)
  return {
    now: summaryOf(running, strand),
    oneDay: history.every(({ schoolDay }) => schoolDay <= placed.day),
  }
}

test('estimates are worked out anew on the ladders of now, equal to 1e-9, and only once', async () => {
  const database = await serverDatabase()
  expect(await refreshEstimates(database)).toBe(old.estimate.length)
  expect(await refreshEstimates(database)).toBe(0)
  const now = await rowsOf<Record<string, unknown>>('select * from estimate')
  const seenLater: boolean[] = []
  for (const before of old.estimate as {
    pupil_id: string
    strand: StrandId
    p50: number
    mean: number
    observations: number
    working_step: number
    secure: number[]
  }[]) {
    const row = now.find(({ pupil_id, strand }) => pupil_id === before.pupil_id && strand === before.strand)!
    const expected = reckoned(before.pupil_id, before.strand)
    seenLater.push(!expected.oneDay)
    expect(row.p50).toBeCloseTo(expected.now.p50, 9)
    expect(row.mean).toBeCloseTo(expected.now.mean, 9)
    expect(row.observations).toBe(before.observations)
    // Since that version children are taken to come on between two looks: where there was one day only, nothing is changed.
    if (!expected.oneDay) {
      expect(row.mean).toBeGreaterThan(before.mean)
      continue
    }
    expect(row.p50).toBeCloseTo(before.p50, 9)
    expect(row.mean).toBeCloseTo(before.mean, 9)
    const { steps } = strandOf(before.strand)
    const then = rungsOfThen(before.strand).map((rung) => steps.indexOf(rung))
    const working = steps.findIndex(({ id }) => id === row.working_step)
    expect(working).toBeLessThanOrEqual(then[before.working_step])
    expect(working).toBeGreaterThan(then[before.working_step - 1] ?? -1)
    before.secure.forEach((probability, step) =>
      expect((row.secure as number[])[then[step]]).toBeCloseTo(probability, 9),
    )
  }
  expect(new Set(seenLater)).toEqual(new Set([true, false]))
  const bands = await rowsOf<{ n: number }>('select count(*)::int as n from estimate_day')
  expect(bands[0].n).toBe(old.estimate_day.length)
})

test('what was played is summed up, and pages and the kept plan open as before', async () => {
  const { view, changedSince: since } = await planPage(viewer, { classId })
  expect(since).not.toBe('groups')
  const kept = old.station_session.find(({ state }) => state === 'planned')!
  const cells = old.visit.filter(({ session_id }) => session_id === kept.id)
  expect(view!.visits).toHaveLength(cells.length)
  const pinned = cells.filter((cell) => cell.pinned)
  expect(view!.plan.cells.filter((cell) => cell.pinned)).toHaveLength(pinned.length)
  // Everybody but the one who was away has met the games of both sessions.
  expect(view!.showFirst).toEqual([])
  const { rows } = await classTable(viewer, { classId })
  expect(rows).toHaveLength(old.pupil.length)
  const { records } = await childPage(viewer, { classId, pupilId: rows[2].id })
  expect(records.length).toBeGreaterThan(0)
})

test('what there was before the tables were changed is backed up', () => {
  expect(backupsIn(process.env.ISLANDS_BACKUPS!).map(({ reason }) => reason)).toEqual(['migration'])
})

test('one new rung: an estimate of another ladder is worked out anew, no evidence moves', async () => {
  const database = await serverDatabase()
  const steps = () => rowsOf('select id, step from observation order by id')
  const before = await steps()
  await database.execute(
    sql`update estimate set ladder = 'before the rung', density = '\\x00' where strand = 'add'`,
  )
  expect(await refreshEstimates(database)).toBe(old.pupil.length)
  expect(await steps()).toEqual(before)
  const rows = await rowsOf<{ bytes: number }>(
    `select length(density) as bytes from estimate where strand = 'add'`,
  )
  expect(new Set(rows.map(({ bytes }) => bytes)).size).toBe(1)
  expect(rows[0].bytes).toBeGreaterThan(8000)
})
