import { boolean, index, pgTable, text, uuid } from 'drizzle-orm/pg-core'
import { moment, now } from './columns'
import { adult, classroom, school, type ClassRole, type Office } from './people'
import { station, stationSession } from './sessions'

/** A device on which an adult has signed in. Kept is the hash of its token. */
export const signedIn = pgTable(
  'signed_in',
  {
    tokenHash: text().primaryKey(),
    adultId: uuid()
      .notNull()
      .references(() => adult.id),
    madeAt: now(),
    until: moment().notNull(),
  },
  (table) => [index().on(table.adultId)],
)

/** Somebody is asked to join: a link, good once, by which an adult chooses a name and a password. */
export const invitation = pgTable('invitation', {
  tokenHash: text().primaryKey(),
  schoolId: uuid()
    .notNull()
    .references(() => school.id),
  /** The class it is for; null: an office of the school. */
  classId: uuid().references(() => classroom.id),
  role: text().$type<ClassRole | Office>().notNull(),
  madeBy: uuid()
    .notNull()
    .references(() => adult.id),
  until: moment().notNull(),
})

/** What a device may do that was let in by a code: record at a station, show the room, let children play. */
export const linkKinds = ['helper', 'room', 'station'] as const
export type LinkKind = (typeof linkKinds)[number]

/** A device's way into one session without an account. Kept are hashes of its token and of the code that becomes it. */
export const link = pgTable(
  'link',
  {
    id: uuid().primaryKey(),
    classId: uuid()
      .notNull()
      .references(() => classroom.id),
    sessionId: uuid()
      .notNull()
      .references(() => stationSession.id),
    /** Null: all stations of the session. */
    stationId: uuid().references(() => station.id),
    kind: text().$type<LinkKind>().notNull(),
    /** The room's view names the children. */
    withNames: boolean().notNull().default(false),
    tokenHash: text().notNull().unique(),
    /** Of the code that can be typed; null once it was used. */
    codeHash: text().unique(),
    madeBy: uuid()
      .notNull()
      .references(() => adult.id),
    madeAt: now(),
    /** Ends then at the latest, or when its session ends. */
    until: moment().notNull(),
  },
  (table) => [index().on(table.classId), index().on(table.sessionId)],
)
