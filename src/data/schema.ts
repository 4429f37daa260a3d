import {
  boolean,
  customType,
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
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import type { Judgement } from '@/core/evidence/observation'
import type { Sureness, YearGroup } from '@/core/evidence/prior'
import type { GroupingMode } from '@/core/grouping/mode'
import type { HouseStyle } from '@/core/house-style'
import { noMinutesAround, type Around } from '@/core/planning/timetable'
import type { StrandId } from '@/core/skills'

/** Cells of an ability grid, as the bytes of a Float64Array: read back to the last bit. */
const density = customType<{ data: Float64Array; driverData: Buffer }>({
  dataType: () => 'bytea',
  toDriver: (value) => Buffer.from(value.buffer, value.byteOffset, value.byteLength),
  fromDriver: (bytes) => new Float64Array(Uint8Array.from(bytes).buffer),
})

const now = () => timestamp({ withTimezone: true, mode: 'date' }).notNull().defaultNow()

export const adult = pgTable('adult', {
  id: uuid().primaryKey(),
  name: text().notNull(),
})

export const classroom = pgTable('classroom', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  yearGroup: text().$type<YearGroup>().notNull(),
  /** IANA zone of the school: school days are dates there. */
  timeZone: text().notNull().default('Europe/London'),
  createdAt: now(),
})

/** What a class has settled on; what has no row is done in the usual way. */
export const houseStyle = pgTable('house_style', {
  classId: uuid()
    .primaryKey()
    .references(() => classroom.id),
  style: jsonb().$type<HouseStyle>().notNull(),
})

export const membership = pgTable(
  'membership',
  {
    adultId: uuid()
      .notNull()
      .references(() => adult.id),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    role: text().$type<'teacher'>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.adultId, table.classId] })],
)

export const pupil = pgTable(
  'pupil',
  {
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    name: text().notNull(),
    initial: text().notNull().default(''),
    yearGroup: text().$type<YearGroup>().notNull(),
    /** Is grouped only where an adult is near. */
    adultNear: boolean().notNull().default(false),
    leftAt: timestamp({ withTimezone: true, mode: 'date' }),
  },
  (table) => [unique().on(table.classId, table.id), index().on(table.classId)],
)

/** Two children to be kept apart or together. */
export const pupilLink = pgTable(
  'pupil_link',
  {
    classId: uuid().notNull(),
    kind: text().$type<'apart' | 'together'>().notNull(),
    pupilA: uuid().notNull(),
    pupilB: uuid().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.classId, table.pupilA, table.pupilB] }),
    foreignKey({ columns: [table.classId, table.pupilA], foreignColumns: [pupil.classId, pupil.id] }),
    foreignKey({ columns: [table.classId, table.pupilB], foreignColumns: [pupil.classId, pupil.id] }),
  ],
)

/** Where a child was first placed on a strand: the prior of the estimate. */
export const placement = pgTable(
  'placement',
  {
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    strand: text().$type<StrandId>().notNull(),
    step: smallint().notNull(),
    sureness: text().$type<Sureness>().notNull(),
    day: date({ mode: 'string' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.pupilId, table.strand] }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
  ],
)

/** Append-only: a correction is a new record that names the one it takes the place of. */
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
    visitId: uuid(),
    strand: text().$type<StrandId>().notNull(),
    step: smallint().notNull(),
    /** Either a judgement or a tally; both null: the record only takes back the one it corrects. */
    judged: text().$type<Judgement>(),
    right: smallint(),
    of: smallint(),
    weight: doublePrecision().notNull().default(1),
    schoolDay: date({ mode: 'string' }).notNull(),
    corrects: uuid(),
    madeAt: timestamp({ withTimezone: true, mode: 'date' }).notNull(),
    storedAt: now(),
  },
  (table) => [
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    unique().on(table.corrects),
    index().on(table.classId, table.pupilId, table.strand),
    index().on(table.visitId),
  ],
)

/** Worked out from placement and observations, and rebuildable from them to 1e-9. */
export const estimate = pgTable(
  'estimate',
  {
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    strand: text().$type<StrandId>().notNull(),
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
    workingStep: smallint(),
    observations: integer().notNull(),
    density: density().notNull(),
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
    index().on(table.classId, table.strand),
  ],
)

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

export const groupingGroup = pgTable(
  'grouping_group',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    groupingId: uuid()
      .notNull()
      .references(() => grouping.id),
    position: smallint().notNull(),
    /** Name, shape and colour, by number. */
    pennant: smallint().notNull(),
    levelId: text().notNull(),
    /** An adult stays near this group. */
    withAdult: boolean().notNull().default(false),
  },
  (table) => [primaryKey({ columns: [table.groupingId, table.position] })],
)

export const groupMember = pgTable(
  'group_member',
  {
    classId: uuid().notNull(),
    groupingId: uuid().notNull(),
    position: smallint().notNull(),
    pupilId: uuid().notNull(),
    /** Kept in this group by the teacher whenever groups are made anew. */
    locked: boolean().notNull().default(false),
    /** The pair the child plays in, counted within the grouping; null: in no pair. */
    pair: smallint(),
  },
  (table) => [
    primaryKey({ columns: [table.groupingId, table.pupilId] }),
    foreignKey({
      columns: [table.groupingId, table.position],
      foreignColumns: [groupingGroup.groupingId, groupingGroup.position],
    }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
  ],
)

export type SessionState = 'planned' | 'running' | 'done'

export const stationSession = pgTable(
  'station_session',
  {
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    groupingId: uuid()
      .notNull()
      .references(() => grouping.id),
    day: date({ mode: 'string' }).notNull(),
    startsAt: text().notNull(),
    slots: smallint().notNull(),
    slotMinutes: smallint().notNull(),
    /** Minutes before, between and after the slots, and of the whole lesson. */
    around: jsonb().$type<Around>().notNull().default(noMinutesAround),
    /** Adults who can be at a station. */
    adults: smallint().notNull().default(1),
    state: text().$type<SessionState>().notNull().default('planned'),
    /** The slot under way, from 0. */
    slot: smallint().notNull().default(0),
    /** When the clock of the slot would have read its full time; moved on by pauses. */
    slotStartedAt: timestamp({ withTimezone: true, mode: 'date' }),
    pausedAt: timestamp({ withTimezone: true, mode: 'date' }),
    extraMinutes: smallint().notNull().default(0),
  },
  (table) => [index().on(table.classId, table.day)],
)

export type StationMode = 'adult-led' | 'adult-near' | 'own'

export const station = pgTable(
  'station',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    sessionId: uuid()
      .notNull()
      .references(() => stationSession.id),
    position: smallint().notNull(),
    gameId: text().notNull(),
    mode: text().$type<StationMode>().notNull(),
    /** Children who can be there at once; null: as many as come. */
    places: smallint(),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.position] })],
)

/** One group at one station in one slot, at one level. */
export const visit = pgTable(
  'visit',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    id: uuid().primaryKey(),
    sessionId: uuid().notNull(),
    slot: smallint().notNull(),
    station: smallint().notNull(),
    /** Position of the group in the session's grouping. */
    group: smallint().notNull(),
    levelId: text().notNull(),
    /** Chosen by the teacher; else it is the level that fitted when the plan was kept. */
    levelChosen: boolean().notNull().default(false),
    /** Children by the set they play in; empty: kept before there were partners. */
    seats: jsonb().$type<string[][]>().notNull().default([]),
    /** Levels of children who play at another than the group's: own ranges in the same game. */
    ownLevels: jsonb().$type<Record<string, string>>().notNull().default({}),
    /** Put there by the teacher: stays when the rest is planned anew. */
    pinned: boolean().notNull().default(false),
  },
  (table) => [
    index().on(table.classId),
    unique().on(table.sessionId, table.slot, table.group),
    foreignKey({
      columns: [table.sessionId, table.station],
      foreignColumns: [station.sessionId, station.position],
    }),
  ],
)

export const attendance = pgTable(
  'attendance',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    sessionId: uuid()
      .notNull()
      .references(() => stationSession.id),
    pupilId: uuid()
      .notNull()
      .references(() => pupil.id),
    absent: boolean().notNull(),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.pupilId] })],
)

/** How many there are of a thing on the class's shelf; what has no row has not been counted. */
export const shelfCount = pgTable(
  'shelf_count',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    item: text().notNull(),
    count: integer().notNull(),
  },
  (table) => [primaryKey({ columns: [table.classId, table.item] })],
)
