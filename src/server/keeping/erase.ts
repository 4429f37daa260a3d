import { join } from 'node:path'
import { z } from 'zod'
import type { IslandsDocument, Row } from '@/data/backup/document'
import { backupsIn, readDocumentFile, writeGzip } from '@/data/backup/files'
import { deletePupil, scrub } from '@/data/queries/erase'
import { lockPupils } from '@/data/queries/observations'
import { allInClass } from '@/data/queries/pupils'
import { tellOfClass } from '@/data/queries/telling'
import { serverDatabase } from '@/data/server-database'
import { classIdSchema } from '../classes'
import { changingClass, NotHere, type UseCase } from '../use-case'
import { ownBackupFolder } from './backups'

const childSchema = classIdSchema.extend({ pupilId: z.uuid() })

const deleteChild = changingClass('eraseChild', childSchema, async (scope, { pupilId }) => {
  if (!(await allInClass(scope, [pupilId]))) throw new NotHere()
  await lockPupils(scope, [pupilId])
  await deletePupil(scope, pupilId)
  await tellOfClass(scope)
})

/**
 * Erases a child: every record of it, the traces in the database's files, and the child in every backup. There is
 * no way back.
 */
export const eraseChild: UseCase<z.input<typeof childSchema>, { backups: number }> = async (viewer, raw) => {
  const { pupilId } = childSchema.parse(raw)
  await deleteChild(viewer, raw)
  await scrub(await serverDatabase())
  return { backups: await eraseInBackups(pupilId) }
}

/** Writes every backup anew without the child. @returns how many held it */
async function eraseInBackups(pupilId: string): Promise<number> {
  let changed = 0
  for (const { name } of backupsIn(ownBackupFolder())) {
    const file = join(ownBackupFolder(), name)
    const document = await readDocumentFile(file)
    const without = withoutChild(document, pupilId)
    if (!without) continue
    await writeGzip(file, inParts(without))
    changed++
  }
  return changed
}

async function* inParts(document: IslandsDocument) {
  yield JSON.stringify(document)
}

/** The document without every row about a child; null: it held none. */
function withoutChild(document: IslandsDocument, pupilId: string): IslandsDocument | null {
  if (!(document.tables.pupil ?? []).some(({ id }) => id === pupilId)) return null
  const isAbout = (row: Row) =>
    [row.pupil_id, row.pupil_a, row.pupil_b].includes(pupilId) ||
    // A draft that names the child is let go as a whole, as in the database.
    (row.history !== undefined && JSON.stringify(row.history).includes(pupilId))
  const tables = Object.entries(document.tables).map(([table, rows]): [string, Row[]] => [
    table,
    rows
      .filter((row) => !isAbout(row) && !(table === 'pupil' && row.id === pupilId))
      .map((row) => (table === 'visit' ? withoutSeat(row, pupilId) : row)),
  ])
  return { ...document, tables: Object.fromEntries(tables) }
}

/** A visit in which the child sat nowhere. */
function withoutSeat(row: Row, pupilId: string): Row {
  const seats = z.array(z.array(z.string())).catch([]).parse(row.seats)
  const own = z.record(z.string(), z.string()).catch({}).parse(row.own_levels)
  return {
    ...row,
    ...(row.seats === undefined
      ? {}
      : {
          seats: seats.map((set) => set.filter((child) => child !== pupilId)).filter((set) => set.length > 0),
        }),
    ...(row.own_levels === undefined
      ? {}
      : { own_levels: Object.fromEntries(Object.entries(own).filter(([child]) => child !== pupilId)) }),
  }
}
