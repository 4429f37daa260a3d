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
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import type { SessionState } from '@/core/live/session'
import { noMinutesAround, type Around } from '@/core/planning/timetable'
import { moment } from './columns'
import { grouping, groupingGroup } from './groups'
import { classroom, pupil } from './people'

/** A clock of a session; moments as texts, since it is kept as JSON. */
export interface ClockBefore {
  slot: number
  slotStartedAt: string | null
  pausedAt: string | null
  extraMinutes: number
}

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
    /** The day it is planned for; once begun, the day it was begun on. */
    day: date({ mode: 'string' }).notNull(),
    startsAt: text().notNull(),
    slots: smallint().notNull(),
    slotMinutes: smallint().notNull(),
    /** Minutes before, between and after the slots, and of the whole lesson. */
    around: jsonb().$type<Around>().notNull().default(noMinutesAround),
    /** Adults who can be at a station. */
    adults: smallint().notNull().default(1),
    state: text().$type<SessionState>().notNull().default('planned'),
    /** When it was begun; null: not yet, or begun before this was kept. */
    begunAt: moment(),
    /** The slot under way, from 0. */
    slot: smallint().notNull().default(0),
    /** When the clock of the slot would have read its full time; moved on by pauses. */
    slotStartedAt: moment(),
    pausedAt: moment(),
    extraMinutes: smallint().notNull().default(0),
    /** The clock as it stood before the last Next or Finish, so that it can be taken back; null: nothing to take back. */
    before: jsonb().$type<ClockBefore>(),
    /** The session as it stood before it was planned anew while it ran; checked when it is read. Null: it was not. */
    beforeReplan: jsonb().$type<unknown>(),
  },
  (table) => [index().on(table.classId, table.day)],
)

export type StationMode = 'adult-led' | 'adult-near' | 'own'

export const station = pgTable(
  'station',
  {
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    sessionId: uuid()
      .notNull()
      .references(() => stationSession.id),
    /** In which order the stations of a session are listed. */
    position: smallint().notNull(),
    gameId: text().notNull(),
    mode: text().$type<StationMode>().notNull(),
    /** Children who can be there at once; null: as many as come. */
    places: smallint(),
  },
  (table) => [index().on(table.sessionId)],
)

/** One group at one station in one slot, at one level. */
export const visit = pgTable(
  'visit',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    id: uuid().primaryKey(),
    sessionId: uuid()
      .notNull()
      .references(() => stationSession.id),
    slot: smallint().notNull(),
    stationId: uuid()
      .notNull()
      .references(() => station.id),
    groupId: uuid()
      .notNull()
      .references(() => groupingGroup.id),
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
  (table) => [unique().on(table.sessionId, table.slot, table.groupId), index().on(table.stationId)],
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
    /** Absent from this slot on: who went home was there before. */
    fromSlot: smallint().notNull().default(0),
    /** When it was told: what a device tells late does not undo what was told since. Null: before this was kept. */
    toldAt: moment(),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.pupilId] })],
)

/** A game that a group finished at a visit, as it was told at the station. */
export const finishedGame = pgTable(
  'finished_game',
  {
    /** Made by the device, so that telling twice counts once. */
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    visitId: uuid()
      .notNull()
      .references(() => visit.id),
    /** From the beginning of the slot, or from the game before it at this visit. */
    minutes: doublePrecision().notNull(),
    madeAt: moment().notNull(),
  },
  (table) => [index().on(table.classId), index().on(table.visitId)],
)

/** A group liked its game at a visit, or did not; what has no row was not asked. */
export const visitLiking = pgTable(
  'visit_liking',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    visitId: uuid()
      .primaryKey()
      .references(() => visit.id),
    liked: boolean().notNull(),
    toldAt: moment().notNull(),
  },
  (table) => [index().on(table.classId)],
)

/** When a child last played a game in a way of having an adult: summed up as sessions end, so that no plan reads the year. */
export const played = pgTable(
  'played',
  {
    classId: uuid().notNull(),
    pupilId: uuid().notNull(),
    gameId: text().notNull(),
    mode: text().$type<StationMode>().notNull(),
    day: date({ mode: 'string' }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.pupilId, table.gameId, table.mode] }),
    foreignKey({ columns: [table.classId, table.pupilId], foreignColumns: [pupil.classId, pupil.id] }),
    index().on(table.classId),
  ],
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

/** What is in the class's bags: printed things by the item they are; what has no row has not been printed. */
export const bagItem = pgTable(
  'bag_item',
  {
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    item: text().notNull(),
    /** Copies that were put in. */
    count: integer().notNull(),
    /** Of those, lost or spoiled since. */
    missing: integer().notNull().default(0),
    laminated: boolean().notNull().default(false),
  },
  (table) => [primaryKey({ columns: [table.classId, table.item] })],
)
