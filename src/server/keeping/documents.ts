import { z } from 'zod'
import { writeClassList } from '@/core/formats/class-list'
import { readDocument } from '@/data/backup/files'
import { checkTables, insertRows, NotOurs } from '@/data/backup/load'
import { dumpClass } from '@/data/backup/dump'
import { rowsOf, type IslandsDocument } from '@/data/backup/document'
import { upgraded } from '@/data/backup/upgrade'
import type { Database, Transaction } from '@/data/connection'
import { addMember, classExists } from '@/data/queries/classes'
import { deleteClass } from '@/data/queries/erase'
import { clearEstimates, renumberVersions, settleChains } from '@/data/queries/merge'
import { pupilsOf } from '@/data/queries/pupils'
import { serverDatabase } from '@/data/server-database'
import { enterClass } from '@/data/scope'
import { atOneMoment, inTransaction } from '@/data/transaction'
import { classIdSchema } from '../classes'
import { refreshEstimates } from '../refresh'
import { asAdult, NotHere, readingClass, Refused } from '../use-case'
import type { Viewer } from '../viewer'
import { backUp, refusing } from './backups'
import { checkRows } from './rows'

/** Everything of a class as one document. */
export const exportClass = readingClass('exportClass', classIdSchema, async ({ classId }) =>
  atOneMoment(await serverDatabase(), (snapshot) => dumpClass(snapshot, classId)),
)

/** The children of a class as a list for a spreadsheet. */
export const exportClassList = readingClass('exportClassList', classIdSchema, async (scope) => {
  const pupils = await pupilsOf(scope)
  return writeClassList(pupils.map(({ name, initial, yearGroup }) => ({ name, initial, year: yearGroup })))
})

/** Everything kept about one child as one document. */
export const exportChild = readingClass(
  'exportChild',
  classIdSchema.extend({ pupilId: z.uuid() }),
  async ({ classId }, { pupilId }): Promise<IslandsDocument> => {
    const document = await atOneMoment(await serverDatabase(), (snapshot) => dumpClass(snapshot, classId))
    const about = childRows(document, pupilId)
    if ((about.tables.pupil ?? []).length === 0) throw new NotHere()
    return about
  },
)

/** The rows of a class's document that are about one child. */
function childRows({ tables, ...head }: IslandsDocument, pupilId: string): IslandsDocument {
  const about = Object.entries(tables).map(([table, rows]) => [
    table,
    rows.filter((row) =>
      table === 'pupil' ? row.id === pupilId : [row.pupil_id, row.pupil_a, row.pupil_b].includes(pupilId),
    ),
  ])
  return {
    ...head,
    kind: 'child',
    tables: Object.fromEntries(about.filter(([, rows]) => rows.length > 0)),
  }
}

const importSchema = z.object({
  text: z.string().max(40_000_000, 'The document is too large.'),
  /** `preview`: nothing is changed. */
  mode: z.enum(['preview', 'merge', 'replace']),
})

export interface ImportPreview {
  className: string
  madeAt: string
  children: number
  sessions: number
  marks: number
  /** Is the class there already, and with how many children? */
  present: { children: number } | null
  rows: number
}

/** Asked before a document is so much as read. @throws {NotHere} where the viewer may not bring in a class */
export const mayImport = asAdult('mayImport', z.object({}), async () => undefined)

/**
 * Brings in the document of a class: as a new class, merged with the one that is there (what is there stays, what
 * is not is added), or in its place. What there is is backed up first.
 */
export const importClass = asAdult('importClass', importSchema, (database, input, viewer) =>
  bringIn(database, viewer, input),
)

async function bringIn(
  database: Database,
  viewer: Viewer,
  { text, mode }: z.output<typeof importSchema>,
): Promise<ImportPreview> {
  const document = await refusing((async () => withoutNul(await upgraded(readDocument(text))))())
  await refusing(checkTables(database, document))
  const classId = checkRows(document)
  const scope = await asTeacher(database, viewer, classId)
  if (!scope && (await classExists(database, classId))) throw new NotHere()
  const {
    classroom: [room],
    pupil = [],
    station_session: sessions = [],
    observation = [],
  } = document.tables
  const present = scope ? (await pupilsOf(scope)).length : null
  const preview: ImportPreview = {
    className: String(room.name),
    madeAt: document.madeAt,
    children: pupil.length,
    sessions: sessions.length,
    marks: observation.length,
    present: present === null ? null : { children: present },
    rows: rowsOf(document),
  }
  if (mode === 'preview') return preview
  await backUp(database, 'import')
  await inTransaction(database, async (transaction) => {
    const before = await asTeacher(transaction, viewer, classId)
    if (before && mode === 'replace') await deleteClass(before)
    const merging = before !== null && mode === 'merge'
    const tables = merging ? await renumberVersions(transaction, classId, document.tables) : document.tables
    for (const table of importOrder)
      await insertRows(transaction, table, tables[table] ?? [], merging || table === 'adult')
    await addMember(transaction, viewer.adultId, classId)
    const after = await asTeacher(transaction, viewer, classId)
    if (!after) throw new NotHere()
    if (merging) await settleChains(after)
    await clearEstimates(after)
  }).catch((error: unknown) => {
    throw isConstraint(error)
      ? new Refused('The document points at things that are not in it. Nothing was imported.')
      : error
  })
  await refreshEstimates(database)
  return preview
}

/** A document with text that no database keeps is none of ours. */
function withoutNul(document: IslandsDocument): IslandsDocument {
  if (JSON.stringify(document).includes('\\u0000'))
    throw new NotOurs('There is a character in the document that can’t be kept.')
  return document
}

/** A class of one's own, to be changed as a whole: others are told like those that are not there. */
async function asTeacher(db: Database | Transaction, viewer: Viewer, classId: string) {
  const scope = await enterClass(db, viewer, classId)
  return scope?.party === 'teacher' ? scope : null
}

/** Tables of a class, each after those its rows point at. */
const importOrder = [
  'adult',
  'classroom',
  'house_style',
  'pupil',
  'pupil_link',
  'placement',
  'observation',
  'grouping',
  'grouping_group',
  'group_member',
  'station_session',
  'station',
  'visit',
  'attendance',
  'note',
  'finished_game',
  'visit_liking',
  'played',
  'shelf_count',
  'bag_item',
  'draft',
] as const

function isConstraint(error: unknown): boolean {
  for (let at = error; at instanceof Error; at = at.cause)
    if ('code' in at && typeof at.code === 'string' && /^2[23]/.test(at.code)) return true
  return false
}
