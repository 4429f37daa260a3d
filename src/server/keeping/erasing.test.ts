import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { sql } from 'drizzle-orm'
import { backupsIn } from '@/data/backup/files'
import { asideFor } from '@/data/backup/put-aside'
import { withoutId } from '@/data/backup/without-child'
import { deletePupil, oweErasure } from '@/data/queries/erase'
import { besideData, serverDatabase } from '@/data/server-database'
import { inTransaction } from '@/data/transaction'
import { addChildren, classTable } from '../classes'
import { list, newClass, openTestSchool, running, viewer } from '../testing/school'
import { backUpDaily, backUpNow, restoreBackup } from './backups'
import { eraseChild } from './erase'
import { finishErasures, ownBackupFolder } from './erasures'
import { settingsPage } from './settings'

openTestSchool()
beforeEach(() => {
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  process.env.ISLANDS_BACKUPS = mkdtempSync(join(tmpdir(), 'islands-backups-'))
})

/** A class with one child more, by a name that stands nowhere else. */
async function withChild(name: string) {
  const classId = await newClass()
  await addChildren(viewer, { classId, list: list(name) })
  const child = (await classTable(viewer, { classId })).rows.find((row) => row.name === name)!
  return { classId, pupilId: child.id }
}

const inBackups = (sought: string) =>
  backupsIn(ownBackupFolder())
    .map(({ name }) => join(ownBackupFolder(), name))
    .filter((file) => gunzipSync(readFileSync(file)).includes(sought))

test('an erase that was broken off after the rows were gone is finished at the next start', async () => {
  const { classId, pupilId } = await withChild('Bzwqorin')
  await backUpNow(viewer, {})
  writeFileSync(join(ownBackupFolder(), 'islands-2026-11-24T08-00-00-000Z-daily.json.gz.part'), 'Bzwqorin')
  const database = await serverDatabase()
  // As far as a process came that was killed right after its transaction.
  await inTransaction(database, async (db) => {
    await oweErasure({ db, classId }, pupilId)
    await deletePupil({ db, classId }, pupilId)
  })
  expect(inBackups('Bzwqorin')).toHaveLength(1)
  expect((await settingsPage(viewer, { classId })).erasing).toEqual([{ pupilId }])

  await finishErasures(database)
  expect(inBackups('Bzwqorin')).toEqual([])
  expect(existsSync(join(ownBackupFolder(), 'islands-2026-11-24T08-00-00-000Z-daily.json.gz.part'))).toBe(
    false,
  )
  expect((await settingsPage(viewer, { classId })).erasing).toEqual([])
}, 120_000)

test('files that are damaged, that can’t be opened or that are none don’t stop an erase', async () => {
  const { classId, pupilId } = await withChild('Kzhuvetta')
  const { name } = await backUpNow(viewer, {})
  const folder = ownBackupFolder()
  const at = (minute: number) => join(folder, `islands-2026-11-24T07-0${minute}-00-000Z-daily.json.gz`)
  const whole = readFileSync(join(folder, name))
  writeFileSync(at(1), whole.subarray(0, whole.length / 2))
  mkdirSync(at(2))
  symlinkSync(join(folder, 'nowhere'), at(3))
  // A file that is there and whose reading fails, whoever reads it.
  symlinkSync('/proc/self/mem', at(4))
  const aside = asideFor(besideData())
  mkdirSync(aside, { recursive: true })
  writeFileSync(join(aside, 'base'), 'Kzhuvetta')

  const erased = await eraseChild(viewer, { classId, pupilId })
  expect(erased).toEqual({
    backups: 1,
    deleted: expect.arrayContaining([at(1).split('/').at(-1), aside.split('/').at(-1)]) as string[],
    unread: [at(4).split('/').at(-1)],
  })
  expect(existsSync(at(1)) || existsSync(aside)).toBe(false)
  // What could not be read is owed, and is done once it can be.
  expect((await settingsPage(viewer, { classId })).erasing).toEqual([{ pupilId }])
  rmSync(at(4))
  expect(await eraseChild(viewer, { classId, pupilId })).toMatchObject({ unread: [] })
  expect((await settingsPage(viewer, { classId })).erasing).toEqual([])
  expect(inBackups('Kzhuvetta')).toEqual([])
}, 120_000)

test('a backup that could not be opened and is restored later does not bring an erased child back', async () => {
  const { classId, pupilId } = await withChild('Wbruzena')
  const { name } = await backUpNow(viewer, {})
  const file = join(ownBackupFolder(), name)
  const whole = readFileSync(file)
  rmSync(file)
  symlinkSync('/proc/self/mem', file)
  expect(await eraseChild(viewer, { classId, pupilId })).toMatchObject({ unread: [name] })
  rmSync(file)
  writeFileSync(file, whole)
  await restoreBackup(viewer, { name })
  expect((await classTable(viewer, { classId })).rows.map((row) => row.id)).not.toContain(pupilId)
  expect(inBackups('Wbruzena')).toEqual([])
}, 120_000)

test('a plan that may be gone back to loses the child as well', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [{ children }] = page.visits
  const pupilId = children[0].id
  const database = await serverDatabase()
  const before = {
    visits: page.visits.map(({ children: seated }) => ({
      seats: [seated.map(({ id }) => id)],
      ownLevels: Object.fromEntries(seated.map(({ id }) => [id, 'to-10'])),
    })),
  }
  await database.execute(
    sql`update station_session set before_replan = ${JSON.stringify(before)}::jsonb where id = ${sessionId}`,
  )
  await backUpNow(viewer, {})
  await eraseChild(viewer, { classId, pupilId })
  const { rows } = await database.execute(
    sql`select before_replan::text as text from station_session where id = ${sessionId}`,
  )
  expect(rows[0].text).not.toContain(pupilId)
  expect(rows[0].text).toContain(children[1].id)
  expect(inBackups(pupilId)).toEqual([])
}, 120_000)

test('taking an id out of JSON leaves everything else as it is', () => {
  expect(withoutId([['a', 'x'], ['x'], [], { x: 1, b: ['x', 'c'], d: 'x' }], 'x')).toEqual([
    ['a'],
    [],
    { b: ['c'] },
  ])
})

test('a backup dated in the future is no reason for another one a day at each start', async () => {
  const today = new Date().toISOString().slice(0, 10)
  process.env.ISLANDS_CLOCK = `${today}T09:00:00Z`
  writeFileSync(join(ownBackupFolder(), 'islands-2031-01-01T00-00-00-000Z-daily.json.gz'), '')
  const daily = () => backupsIn(ownBackupFolder()).filter(({ reason }) => reason === 'daily')
  await backUpDaily()
  expect(daily()).toHaveLength(2)
  await backUpDaily()
  expect(daily()).toHaveLength(2)
})
