import { jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import { now } from './columns'
import { classroom } from './people'

export const draftKinds = ['groups', 'plan'] as const
export type DraftKind = (typeof draftKinds)[number]

/** Groups or a plan as they lie on the table: one of a kind for a class, whoever works on it and wherever. */
export const draft = pgTable(
  'draft',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    kind: text().$type<DraftKind>().notNull(),
    /** Another one after each step; made by the device that took it, so that sending twice does it once. */
    revision: uuid().notNull(),
    /** Checked when it is read: what is kept is of the version that kept it. */
    history: jsonb().$type<unknown>().notNull(),
    savedAt: now(),
  },
  (table) => [primaryKey({ columns: [table.classId, table.kind] })],
)
