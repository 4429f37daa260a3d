import { z } from 'zod'

/** What a document holds: everything, one class, or what is kept about one child. */
const documentKinds = ['school', 'class', 'child'] as const
export type DocumentKind = (typeof documentKinds)[number]

const rowSchema = z.record(z.string(), z.json())
export type Row = z.infer<typeof rowSchema>

/**
 * A backup or an export: the rows of every table as JSON, whatever the version of the tables was. It can be read
 * without Islands, and it holds nothing that can be worked out from the rest.
 */
export const documentSchema = z.object({
  format: z.literal('islands', 'This is not a document of Islands.'),
  kind: z.enum(documentKinds, 'A document of a kind that is not known.'),
  /** Migrations that had been applied: the tables are those of that version. */
  version: z.number().int().min(1, 'A document without a version.'),
  madeAt: z.iso.datetime(),
  tables: z.record(z.string().regex(/^[a-z_]{1,40}$/), z.array(rowSchema)),
})

export type IslandsDocument = z.infer<typeof documentSchema>

/** Worked out from the other tables: left out, and made anew. */
const derived = ['estimate', 'estimate_day']
/** Ways in for devices: whoever brings a copy back has to be let in again. */
const waysIn = ['signed_in', 'invitation', 'link']

/** What is still to be done in this installation's own files: no affair of another one, and kept when a backup is restored. */
export const ofThisInstallation = ['erasure']

/** Tables that no document holds. */
export const leftOut = [...derived, ...waysIn, ...ofThisInstallation]

/** Tables that are of a school and of no class. */
export const ofSchoolOnly = ['school']

/** Columns that a class's document leaves out: of its school, of passwords and of devices. */
export const leftOutOfClass: Record<string, readonly string[]> = {
  adult: ['school_id', 'office', 'sign_in_name', 'password'],
  classroom: ['school_id'],
  observation: ['link_id'],
  note: ['link_id'],
  station_session: ['before_replan'],
}

export const rowsOf = ({ tables }: Pick<IslandsDocument, 'tables'>): number =>
  Object.values(tables).reduce((sum, rows) => sum + rows.length, 0)
