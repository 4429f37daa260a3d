import { and, eq } from 'drizzle-orm'
import type { YearGroup } from '@/core/evidence/prior'
import type { Database, Transaction } from './connection'
import { adult, classroom, link as linkTable, membership, stationSession } from './schema'

/** In what part somebody asks: as an adult of the class or the school, or as the device of a link. */
type PartyInClass =
  'teacher' | 'helper' | 'coordinator' | 'helper-link' | 'late-helper-link' | 'room-link' | 'station-link'

/** What a link is held to. */
interface LinkScope {
  id: string
  sessionId: string
  /** Null: all stations of the session. */
  stationId: string | null
  withNames: boolean
  /** No longer good from then on: whoever enters asks the clock. */
  until: Date
}

declare const authorised: unique symbol

/**
 * The right to something in one class. Every query of `data/queries` that touches a class takes
 * one, and only `enterClass` makes one for a viewer: a query without a viewer behind it does not type-check.
 */
export interface ClassScope {
  readonly db: Database | Transaction
  readonly classId: string
  readonly adultId: string
  readonly party: PartyInClass
  /** Null: an adult asks. */
  readonly link: LinkScope | null
  readonly classroom: { name: string; yearGroup: YearGroup; timeZone: string }
  readonly [authorised]: true
}

const ofClassroom = { name: classroom.name, yearGroup: classroom.yearGroup, timeZone: classroom.timeZone }

/** For the upkeep of what was worked out, when the server starts: no adult stands behind it. */
export async function upkeepScope(db: Database | Transaction, classId: string): Promise<ClassScope | null> {
  const [row] = await db.select(ofClassroom).from(classroom).where(eq(classroom.id, classId))
  return row
    ? ({ db, classId, adultId: '', party: 'teacher', link: null, classroom: row } as ClassScope)
    : null
}

/** Null if the viewer has no part in the class, or there is no such class: a stranger learns no difference. */
export async function enterClass(
  db: Database | Transaction,
  { adultId, linkId }: { adultId: string; linkId: string | null },
  classId: string,
): Promise<ClassScope | null> {
  if (linkId !== null) return enterByLink(db, linkId, classId)
  const [row] = await db
    .select({
      ...ofClassroom,
      schoolId: classroom.schoolId,
      role: membership.role,
      office: adult.office,
      adultSchoolId: adult.schoolId,
    })
    .from(classroom)
    .innerJoin(adult, eq(adult.id, adultId))
    .leftJoin(membership, and(eq(membership.classId, classroom.id), eq(membership.adultId, adultId)))
    .where(eq(classroom.id, classId))
  if (!row) return null
  const { schoolId, role, office, adultSchoolId, ...room } = row
  const reads = office === 'coordinator' && schoolId !== null && schoolId === adultSchoolId
  const party = role ?? (reads ? 'coordinator' : null)
  return party && ({ db, classId, adultId, party, link: null, classroom: room } as ClassScope)
}

async function enterByLink(
  db: Database | Transaction,
  linkId: string,
  classId: string,
): Promise<ClassScope | null> {
  const [row] = await db
    .select({ ...ofClassroom, link: linkTable, state: stationSession.state })
    .from(linkTable)
    .innerJoin(classroom, eq(classroom.id, linkTable.classId))
    .innerJoin(stationSession, eq(stationSession.id, linkTable.sessionId))
    .where(and(eq(linkTable.id, linkId), eq(linkTable.classId, classId)))
  if (!row) return null
  const { link: of, state, ...room } = row
  if (state === 'done' && of.kind !== 'helper') return null
  const party = state === 'done' ? 'late-helper-link' : (`${of.kind}-link` as const)
  const { id, sessionId, stationId, withNames, until, madeBy } = of
  const scope = { db, classId, adultId: madeBy, party, link: { id, sessionId, stationId, withNames, until } }
  return { ...scope, classroom: room } as ClassScope
}

/** A link reaches its own session and station, and nothing else of the class; an adult of the class all of it. */
export const isWithin = ({ link }: ClassScope, at: { session: { id: string }; stationId: string }): boolean =>
  link === null ||
  (link.sessionId === at.session.id && (link.stationId === null || link.stationId === at.stationId))
