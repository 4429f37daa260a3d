import {
  boolean,
  foreignKey,
  index,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import type { YearGroup } from '@/core/evidence/prior'
import type { HouseStyle } from '@/core/house-style'
import { moment, now } from './columns'

/** The school of an installation: there is one, made with the tables. */
export const theSchool = '5ea00000-0000-4000-8000-000000000000'

export const school = pgTable('school', {
  id: uuid().primaryKey(),
  name: text().notNull(),
})

/** What an adult does for the whole school, beside the classes it belongs to. */
export const offices = ['coordinator', 'admin'] as const
export type Office = (typeof offices)[number]

/** What an adult does in a class. */
export const classRoles = ['teacher', 'helper'] as const
export type ClassRole = (typeof classRoles)[number]

export const adult = pgTable('adult', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  schoolId: uuid().references(() => school.id),
  /** Null: belongs to classes and to nothing else. */
  office: text().$type<Office>(),
  /** What the adult types to sign in, in small letters; null: it can't. */
  signInName: text().unique(),
  /** As `hashOfPassword` makes it; null: none was chosen yet. */
  password: text(),
})

export const classroom = pgTable('classroom', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  yearGroup: text().$type<YearGroup>().notNull(),
  schoolId: uuid().references(() => school.id),
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
    role: text().$type<ClassRole>().notNull(),
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
    leftAt: moment(),
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
