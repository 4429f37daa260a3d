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
export const derivedTables = ['estimate', 'estimate_day']

export const rowsOf = ({ tables }: Pick<IslandsDocument, 'tables'>): number =>
  Object.values(tables).reduce((sum, rows) => sum + rows.length, 0)
