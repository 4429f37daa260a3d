import {
  boolean,
  date,
  foreignKey,
  index,
  integer,
  pgTable,
  primaryKey,
  smallint,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import type { GroupingMode } from '@/core/grouping/making/mode'
import type { StrandId } from '@/core/skills'
import { now } from './columns'
import { classroom, pupil } from './people'

/** A dated version of who works with whom. */
export const grouping = pgTable(
  'grouping',
  {
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    version: integer().notNull(),
    day: date({ mode: 'string' }).notNull(),
    strand: text().$type<StrandId>().notNull(),
    gameId: text().notNull(),
    mode: text().$type<GroupingMode>().notNull().default('similar'),
    note: text().notNull().default(''),
    madeAt: now(),
  },
  (table) => [unique().on(table.classId, table.version)],
)

/** A group of one version; name, shape and colour go on through versions, the id does not. */
export const groupingGroup = pgTable(
  'grouping_group',
  {
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    groupingId: uuid()
      .notNull()
      .references(() => grouping.id),
    /** Name, shape and colour, by number. */
    pennant: smallint().notNull(),
    levelId: text().notNull(),
    /** An adult stays near this group. */
    withAdult: boolean().notNull().default(false),
  },
  (table) => [unique().on(table.groupingId, table.pennant)],
)

export const groupMember = pgTable(
  'group_member',
  {
    classId: uuid().notNull(),
    groupingId: uuid()
      .notNull()
      .references(() => grouping.id),
    groupId: uuid()
      .notNull()
      .references(() => groupingGroup.id),
    pupilId: uuid().notNull(),
    /** Kept in this group by the teacher whenever groups are made anew. */
    locked: boolean().notNull().default(false),
    /** The pair the child plays in, counted within the grouping; null: in no pair. */
    pair: smallint(),
  },
  (table) => [
    primaryKey({ columns: [table.groupingId, table.pupilId] }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    index().on(table.groupId),
  ],
)
