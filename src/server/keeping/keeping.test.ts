import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { sql } from 'drizzle-orm'
import { backupsIn, mostBackups, writeBackup } from '@/data/backup/files'
import { keptByVersion6 } from '@/data/testing/older-version'
import { dumpText } from '@/data/backup/dump'
import { dataFolder } from '@/data/connection'
import { atOneMoment } from '@/data/transaction'
import { serverDatabase } from '@/data/server-database'
import { addChildren, classTable, place, saveLinks } from '../classes'
import { harbourPage } from '../harbour'
import { planPage } from '../plan/plan'
import { childPage } from '../progress'
import { recordMark } from '../marks/marks'
import { tell } from '../room/tell'
import { runPage } from '../run'
import { adultWho } from '../testing/parties'
import {
  list,
  mark,
  newClass,
  onServer,
  openTestSchool,
  rowsOf,
  running,
  stranger,
  viewer,
} from '../testing/school'
import { NotHere, Refused } from '../use-case'
import { backUpNow, lookIntoBackup, restoreBackup } from './backups'
import { exportChild, exportClass, importClass } from './documents'
import { eraseChild } from './erase'
import { ownBackupFolder } from './erasures'

openTestSchool()
beforeEach(() => {
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  process.env.ISLANDS_BACKUPS = mkdtempSync(join(tmpdir(), 'islands-backups-'))
})

/** Every row of every table but those that are worked out, as text. */
async function everything(): Promise<string> {
  const { name } = await backUpNow(viewer, {})
  const { tables } = JSON.parse(read(name)) as { tables: Record<string, object[]> }
  rmSync(join(ownBackupFolder(), name))
  return JSON.stringify(
    Object.entries(tables).map(([table, rows]) => [table, rows.map((row) => JSON.stringify(row)).sort()]),
  )
}
const read = (name: string) => gunzipSync(readFileSync(join(ownBackupFolder(), name))).toString('utf8')

/** A class with groups, a session under way, marks, a correction, an absence and links. */
async function livedInClass() {
  const classId = await newClass()
  const { page } = await running(classId)
  process.env.ISLANDS_CLOCK = '2026-11-24T10:40:00Z'
  const [visit] = page.visits
  for (const { id } of visit.children) await recordMark(viewer, { classId, ...mark(visit.id, id) })
  const pupilId = visit.children[0].id
  await recordMark(viewer, {
    classId,
    ...mark(visit.id, pupilId, { judged: 'help', madeAt: '2026-11-24T10:21:00Z' }),
  })
  await saveLinks(viewer, {
    classId,
    links: [{ kind: 'apart', pupilA: pupilId, pupilB: visit.children[1].id }],
  })
  return { classId, pupilId, visit }
}

test('a backup brought back: every row is as it was, and estimates are worked out anew to 1e-9', async () => {
  const { classId, pupilId } = await livedInClass()
  const estimates = async () =>
    (
      await (
        await serverDatabase()
      ).execute(sql`select pupil_id, strand, p50, observations from estimate order by 1, 2`)
    ).rows
  const { name } = await backUpNow(viewer, {})
  const [before, known] = [await everything(), await estimates()]
  await addChildren(viewer, { classId, list: list('Newcomer') })
  await place(viewer, {
    classId,
    placements: [{ pupilId, strand: 'add', step: 'crossing-100', sureness: 'sure' }],
  })
  expect(await everything()).not.toBe(before)

  expect(await lookIntoBackup(viewer, { name })).toMatchObject({ marks: expect.any(Number) as number })
  await restoreBackup(viewer, { name })
  expect(await everything()).toBe(before)
  ;(await estimates()).forEach((row, i) => {
    expect(row).toMatchObject({ observations: known[i].observations, pupil_id: known[i].pupil_id })
    expect(row.p50).toBeCloseTo(Number(known[i].p50), 9)
  })
  // What there was is kept, too.
  expect(backupsIn(ownBackupFolder()).map(({ reason }) => reason)).toContain('restore')
})

test('of each kind the newest backups stay, and no kind pushes out another; half of one never has a name', async () => {
  const folder = ownBackupFolder()
  const parts = async function* () {
    yield '{}'
  }
  await writeBackup(folder, 'migration', parts(), new Date(Date.UTC(2026, 8, 1)))
  for (let day = 1; day <= mostBackups.daily + 3; day++)
    await writeBackup(folder, 'daily', parts(), new Date(Date.UTC(2026, 9, day)))
  for (let n = 1; n <= mostBackups.daily + 3; n++)
    await writeBackup(folder, 'import', parts(), new Date(Date.UTC(2026, 9, 20, 0, n)))
  const kept = backupsIn(folder)
  const of = (kind: string) => kept.filter(({ reason }) => reason === kind)
  expect(of('daily')).toHaveLength(mostBackups.daily)
  expect(of('daily').at(-1)!.madeAt).toBe('2026-10-04T00:00:00.000Z')
  expect(of('migration')).toHaveLength(1)
  expect(of('import')).toHaveLength(mostBackups.import)
  const breaks = async function* () {
    yield '{'
    throw new Error('the disk is full')
  }
  await expect(writeBackup(folder, 'by-hand', breaks())).rejects.toThrow('disk is full')
  expect(readdirSync(folder).filter((name) => !name.endsWith('.json.gz'))).toEqual([])
  expect(backupsIn(folder)).toEqual(kept)
})

test('a file that is no backup, half of one or of a newer version is refused, and nothing changes', async () => {
  await livedInClass()
  const { name } = await backUpNow(viewer, {})
  const before = await everything()
  const put = (content: Buffer) => {
    writeFileSync(join(ownBackupFolder(), name), content)
    return restoreBackup(viewer, { name })
  }
  const whole = readFileSync(join(ownBackupFolder(), name))
  const document = JSON.parse(gunzipSync(whole).toString()) as {
    version: number
    tables: Record<string, object[]>
  }
  const packed = (value: unknown) => gzipSync(JSON.stringify(value))
  await expect(put(whole.subarray(0, whole.length / 2))).rejects.toThrow('not whole')
  await expect(put(packed({ format: 'other' }))).rejects.toThrow('not a document of Islands')
  await expect(put(packed({ ...document, version: 999 }))).rejects.toThrow('newer Islands')
  await expect(put(packed({ ...document, tables: { ...document.tables, pg_user: [{}] } }))).rejects.toThrow(
    'pg_user',
  )
  await expect(restoreBackup(viewer, { name: '../../etc/passwd' })).rejects.toThrow('no such backup')
  expect(await everything()).toBe(before)
})

test('a backup of the version before can be brought back', async () => {
  const tables = { ...keptByVersion6(), estimate: undefined, estimate_day: undefined }
  const name = 'islands-2026-11-20T10-00-00-000Z-by-hand.json.gz'
  const document = { format: 'islands', kind: 'school', version: 7, madeAt: '2026-11-20T10:00:00Z', tables }
  writeFileSync(join(ownBackupFolder(), name), gzipSync(JSON.stringify(document)))
  const now = await backUpNow(viewer, {})
  await restoreBackup(viewer, { name })
  const [{ id: classId }] = keptByVersion6().classroom as { id: string }[]
  const { rows } = await classTable(viewer, { classId })
  expect(rows).toHaveLength(12)
  expect((await childPage(viewer, { classId, pupilId: rows[3].id })).records.length).toBeGreaterThan(0)
  await restoreBackup(viewer, { name: now.name })
}, 120_000)

test('a class goes out as one document and comes in again: as it was, merged, or in its place', async () => {
  const { classId } = await livedInClass()
  const document = await exportClass(viewer, { classId })
  const before = await everything()
  const text = JSON.stringify(document)
  const preview = await importClass(viewer, { text, mode: 'preview' })
  expect(preview).toMatchObject({ className: 'Tern', children: 8, present: { children: 8 } })
  expect(await everything()).toBe(before)
  // Merged with itself nothing changes.
  await importClass(viewer, { text, mode: 'merge' })
  expect(await everything()).toBe(before)
  await addChildren(viewer, { classId, list: list('Later') })
  await importClass(viewer, { text, mode: 'merge' })
  expect((await classTable(viewer, { classId })).rows).toHaveLength(9)
  await importClass(viewer, { text, mode: 'replace' })
  expect(await everything()).toBe(before)
  expect((await harbourPage(viewer, { classId })).children).toBe(8)
  expect((await planPage(viewer, { classId })).view).not.toBeNull()
})

test('two copies of a class that went on apart are merged: every mark once, the last of an observer stands', async () => {
  const { classId, pupilId, visit } = await livedInClass()
  const start = await exportClass(viewer, { classId })
  const other = crypto.randomUUID()
  await recordMark(viewer, {
    classId,
    ...mark(visit.id, pupilId, { observer: other, madeAt: '2026-11-24T10:22:00Z' }),
  })
  const laptop = await exportClass(viewer, { classId })
  await importClass(viewer, { text: JSON.stringify(start), mode: 'replace' })
  await recordMark(viewer, {
    classId,
    ...mark(visit.id, pupilId, { judged: 'notYet', madeAt: '2026-11-24T10:23:00Z' }),
  })
  await importClass(viewer, { text: JSON.stringify(laptop), mode: 'merge' })
  const marks = (await runPage(viewer, { classId }))!.marks.filter((one) => one.pupilId === pupilId)
  expect(marks.map(({ judged }) => judged).sort()).toEqual(['notYet', 'own'])
})

describe('a document that is not in order', () => {
  let classId: string
  // One class for all: nothing of it changes.
  beforeAll(async () => {
    ;({ classId } = await livedInClass())
  })

  test.each<
    [string, (document: { kind: string; tables: Record<string, Record<string, unknown>[]> }) => void, string]
  >([
    ['not a class', (document) => (document.kind = 'school'), 'not the document of a class'],
    [
      'a row of another class',
      ({ tables }) => (tables.pupil[0].class_id = crypto.randomUUID()),
      'another class',
    ],
    [
      'a time zone that is nowhere',
      ({ tables }) => (tables.classroom[0].time_zone = 'Mars/Base'),
      'No such time zone',
    ],
    [
      'a step that is not there',
      ({ tables }) => (tables.placement[0].step = 'to-the-moon'),
      'placement, row 1, step',
    ],
    ['seats that are none', ({ tables }) => (tables.visit[0].seats = 'everywhere'), 'visit, row 1, seats'],
    ['a member of a group that is not in it', ({ tables }) => (tables.grouping_group = []), 'not in it'],
    ['a column more', ({ tables }) => (tables.pupil[0].admin = true), 'does not know'],
    [
      'a membership',
      ({ tables }) => (tables.membership = [{ adult_id: crypto.randomUUID() }]),
      'membership, row 1',
    ],
  ])(
    'a document with %s is refused with where and why, and nothing changes',
    async (_title, spoil, words) => {
      const document = structuredClone(await exportClass(viewer, { classId }))
      spoil(document as never)
      const before = await everything()
      const bring = importClass(viewer, { text: JSON.stringify(document), mode: 'replace' })
      await expect(bring).rejects.toThrow(Refused)
      await expect(bring).rejects.toThrow(words)
      expect(await everything()).toBe(before)
    },
  )
})

const filesUnder = (folder: string) =>
  (readdirSync(folder, { recursive: true }) as string[])
    .map((name) => join(folder, name))
    .filter((path) => statSync(path).isFile())

test('an erased child is found nowhere: not in the database’s files, not in any backup; all others stay', async () => {
  const { classId } = await livedInClass()
  const name = 'Qzxwvyora'
  await addChildren(viewer, { classId, list: list(name) })
  const child = (await classTable(viewer, { classId })).rows.find((row) => row.name === name)!
  await place(viewer, {
    classId,
    placements: [{ pupilId: child.id, strand: 'add', step: 'count-on-10', sureness: 'sure' }],
  })
  const { name: backup } = await backUpNow(viewer, {})
  const { tables } = await exportChild(viewer, { classId, pupilId: child.id })
  expect(tables.pupil).toMatchObject([{ name }])
  expect(tables.placement!.every(({ pupil_id }) => pupil_id === child.id)).toBe(true)
  expect(read(backup)).toContain(name)
  const others = (await classTable(viewer, { classId })).rows.filter(({ id }) => id !== child.id)

  expect(await eraseChild(viewer, { classId, pupilId: child.id })).toEqual({
    backups: 1,
    deleted: [],
    unread: [],
  })
  expect((await classTable(viewer, { classId })).rows).toEqual(others)
  for (const sought of [name, child.id]) {
    const holds = (path: string) => {
      const bytes = readFileSync(path)
      return (path.endsWith('.gz') ? gunzipSync(bytes) : bytes).includes(sought)
    }
    expect(filesUnder(ownBackupFolder()).filter(holds)).toEqual([])
  }
  // A server's files are not ours to search.
  const inFiles = (sought: string) =>
    filesUnder(dataFolder()).filter((path) => readFileSync(path).includes(sought))
  if (!onServer) expect(inFiles(name)).toEqual([])
  // The search finds what is there.
  if (!onServer) expect(inFiles(others[0].name).length).toBeGreaterThan(0)
  await restoreBackup(viewer, { name: backup })
  expect((await classTable(viewer, { classId })).rows).toHaveLength(others.length)
}, 120_000)

test('a child who sat with others: their seats stay', async () => {
  const { classId, pupilId } = await livedInClass()
  const seats = async () =>
    (
      await (
        await serverDatabase()
      ).execute<{ seats: string[][] }>(sql`select seats from visit where class_id = ${classId} order by id`)
    ).rows
  const before = await seats()
  await eraseChild(viewer, { classId, pupilId })
  const without = before.map(({ seats: sets }) => ({
    seats: sets.map((set) => set.filter((id) => id !== pupilId)).filter(({ length }) => length > 0),
  }))
  expect(await seats()).toEqual(without)
  expect(await rowsOf(`observation where pupil_id = '${pupilId}'`)).toBe(0)
  expect((await runPage(viewer, { classId }))!.visits.length).toBeGreaterThan(0)
})

test('a stranger gets no backup, no document and no child, and erases nothing', async () => {
  const { classId, pupilId } = await livedInClass()
  const { name } = await backUpNow(viewer, {})
  const text = JSON.stringify(await exportClass(viewer, { classId }))
  const before = await everything()
  for (const attempt of [
    () => backUpNow(stranger, {}),
    () => lookIntoBackup(stranger, { name }),
    () => restoreBackup(stranger, { name }),
    () => exportClass(stranger, { classId }),
    () => exportChild(stranger, { classId, pupilId }),
    () => importClass(stranger, { text, mode: 'replace' }),
    () => eraseChild(stranger, { classId, pupilId }),
  ])
    await expect(attempt()).rejects.toThrow(NotHere)
  expect(await everything()).toBe(before)
})

test('a backup made while others write is of one moment: every row finds the row it points at', async () => {
  await livedInClass()
  const database = await serverDatabase()
  let written: Promise<unknown> | null = null
  let text = ''
  await atOneMoment(database, async (snapshot) => {
    for await (const part of dumpText(snapshot)) {
      text += part
      if (written || !text.includes('"classroom":[')) continue
      // Groups of a new class, kept after classes were read and before groups are. PGlite lets it wait.
      written = livedInClass()
      if (onServer) await written
    }
  })
  await written
  const { tables } = JSON.parse(text) as { tables: Record<string, Record<string, string>[]> }
  const classes = new Set(tables.classroom.map(({ id }) => id))
  for (const [table, rows] of Object.entries(tables))
    for (const row of rows)
      if (row.class_id) expect([table, classes.has(row.class_id)]).toEqual([table, true])
  // It can be brought back.
  const name = 'islands-2026-11-24T10-00-00-000Z-by-hand.json.gz'
  writeFileSync(join(ownBackupFolder(), name), gzipSync(text))
  expect(await restoreBackup(viewer, { name })).toMatchObject({ rows: expect.any(Number) as number })
}, 120_000)

test('a class moves to another school with a note by an adult who never marked anybody', async () => {
  const { classId, pupilId } = await livedInClass()
  const colleague = await adultWho({ teaches: classId })
  await tell(colleague, {
    classId,
    kind: 'note',
    id: crypto.randomUUID(),
    pupilId,
    visitId: null,
    words: 'Counts on from the bigger number.',
    tags: [],
    madeAt: '2026-11-24T10:30:00Z',
  })
  const document = await exportClass(viewer, { classId })
  const adults = document.tables.adult.map(({ id }) => id)
  for (const { adult_id } of document.tables.note) expect(adults).toContain(adult_id)
  await importClass(viewer, { text: JSON.stringify(document), mode: 'replace' })
  expect((await exportClass(viewer, { classId })).tables).toEqual(document.tables)
})

test('what can’t be read or written is told in words: JSON without end, a folder that is no folder', async () => {
  const deep = '['.repeat(200_000) + ']'.repeat(200_000)
  await expect(importClass(viewer, { text: deep, mode: 'preview' })).rejects.toThrow('nested too deep')
  const file = join(ownBackupFolder(), 'a-file')
  writeFileSync(file, '')
  process.env.ISLANDS_BACKUPS = join(file, 'inside')
  await expect(backUpNow(viewer, {})).rejects.toThrow(/couldn’t be made: this computer can’t write/)
})

test('a class whose time zone this computer does not know opens all the same', async () => {
  const classId = await newClass()
  const database = await serverDatabase()
  await database.execute(sql`update classroom set time_zone = 'Mars/Base' where id = ${classId}`)
  expect((await harbourPage(viewer, { classId })).children).toBe(8)
  await database.execute(sql`update classroom set time_zone = 'Europe/London' where id = ${classId}`)
})
