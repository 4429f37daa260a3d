import { sql } from 'drizzle-orm'
import {
  boolean,
  date,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  uuid,
} from 'drizzle-orm/pg-core'
import type { Digital, How } from '@/core/evidence/mark'
import type { Judgement } from '@/core/evidence/observation'
import type { Sureness } from '@/core/evidence/prior'
import type { StrandId } from '@/core/skills'
import { density, moment, now } from './columns'
import { adult, pupil } from './people'

/** Where a child was first placed on a strand: the prior of the estimate. */
export const placement = pgTable(
  'placement',
  {
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    strand: text().$type<StrandId>().notNull(),
    /** Id of the step. */
    step: text().notNull(),
    sureness: text().$type<Sureness>().notNull(),
    day: date({ mode: 'string' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.pupilId, table.strand] }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
  ],
)

/** What was seen of a child, never changed but for `standing`: another mark in its place is another record. */
export const observation = pgTable(
  'observation',
  {
    /** Made by the device that recorded it, so that sending twice writes once. */
    id: uuid().primaryKey(),
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    adultId: uuid()
      .notNull()
      .references(() => adult.id),
    /** Who saw it: the device in whose hand it was tapped. */
    observer: uuid().notNull(),
    /** The link by which its device was let in; null: the adult's own. */
    linkId: uuid(),
    visitId: uuid(),
    strand: text().$type<StrandId>().notNull(),
    /** Id of the step. */
    step: text().notNull(),
    /** Either a judgement or a tally; both null: the record takes back what stood before it. */
    judged: text().$type<Judgement>(),
    right: smallint(),
    of: smallint(),
    weight: doublePrecision().notNull().default(1),
    /** Counted by a digital station, not seen by an adult. */
    digital: boolean().notNull().default(false),
    /** Of a tally: how often a guess is right. */
    guess: doublePrecision().notNull().default(0),
    /** Of a digital station: why answers were wrong, as far as that can be told. */
    slips: jsonb().$type<Digital['slips']>(),
    /** How it was done: strategy, objects, slip; null: nothing was said of it. */
    how: jsonb().$type<How>(),
    /** The day it is about, where the school is: of its session, or on which it was made. */
    schoolDay: date({ mode: 'string' }).notNull(),
    /** The record whose place this one took, as the device saw it. */
    corrects: uuid(),
    /** Id of the first of the records of which one stands: those of one observer, child, visit and step. */
    chain: uuid().notNull(),
    /** The newest of its chain, and not a take-back: it counts. */
    standing: boolean().notNull(),
    madeAt: moment().notNull(),
    storedAt: now(),
  },
  (table) => [
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    index().on(table.chain),
    index().on(table.visitId),
    index('observation_history').on(table.pupilId, table.strand, table.schoolDay, table.madeAt),
    index('observation_seen')
      .on(table.classId, table.schoolDay)
      .where(sql`${table.standing}`),
  ],
)

/** What an adult wrote down about a child, at a station or at any other time. */
export const note = pgTable(
  'note',
  {
    id: uuid().primaryKey(),
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    adultId: uuid()
      .notNull()
      .references(() => adult.id),
    linkId: uuid(),
    visitId: uuid(),
    words: text().notNull(),
    tags: text().array().notNull(),
    schoolDay: date({ mode: 'string' }).notNull(),
    madeAt: moment().notNull(),
    storedAt: now(),
  },
  (table) => [
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    index().on(table.pupilId),
  ],
)

/** Worked out from placement and observations, and rebuildable from them to 1e-9. */
export const estimate = pgTable(
  'estimate',
  {
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    strand: text().$type<StrandId>().notNull(),
    /** The ladder the arrays below were worked out on: another one now, and they are worked out anew. */
    ladder: text().notNull(),
    /** Day up to which time has passed for the density. */
    day: date({ mode: 'string' }).notNull(),
    mean: doublePrecision().notNull(),
    sd: doublePrecision().notNull(),
    p10: doublePrecision().notNull(),
    p50: doublePrecision().notNull(),
    p90: doublePrecision().notNull(),
    secure: doublePrecision().array().notNull(),
    struggling: doublePrecision().array().notNull(),
    rightAlone: doublePrecision().array().notNull(),
    /** Id of the step; null: every step is secure. */
    workingStep: text(),
    observations: integer().notNull(),
    density: density().notNull(),
    /** The same as it stood before the first record of `day`: a correction of that day starts there. */
    morningDay: date({ mode: 'string' }).notNull(),
    morning: density().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.pupilId, table.strand] }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    index().on(table.classId),
  ],
)

/** The estimate as it stood at the end of a day with evidence: the band over time. */
export const estimateDay = pgTable(
  'estimate_day',
  {
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    strand: text().$type<StrandId>().notNull(),
    day: date({ mode: 'string' }).notNull(),
    p10: doublePrecision().notNull(),
    p50: doublePrecision().notNull(),
    p90: doublePrecision().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.pupilId, table.strand, table.day] }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    index().on(table.classId, table.strand, table.day),
  ],
)
