import { z } from 'zod'
import { asToldTo, type Sees } from '@/core/live/change'
import { gameOf } from '@/core/games'
import { nameOf, thingKey, type Thing } from '@/core/things'
import { nextSession, sessionOf, type StoredSession } from '@/data/queries/sessions'
import { houseStyleOf } from '@/data/queries/house-style'
import { isWithin, type ClassScope } from '@/data/scope'
import { classIdSchema } from '../classes'
import { boardOf, type RunPage } from '../session-board'
import { NotHere, readingClass } from '../use-case'

/** The session a link is for; an adult's own choice else, or the one under way. */
async function sessionAsked(scope: ClassScope, sessionId?: string): Promise<StoredSession> {
  const id = scope.link?.sessionId ?? sessionId
  const session = id === undefined ? await nextSession(scope) : await sessionOf(scope, id)
  if (!session) throw new NotHere()
  return session
}

async function boardAsked(scope: ClassScope, sessionId?: string): Promise<RunPage> {
  const board = await boardOf(scope, await sessionAsked(scope, sessionId))
  // What was left open on a day gone by is over, for whoever comes into the room.
  if (!board || board.leftOpen) throw new NotHere()
  return board
}

export interface HelperPage {
  classId: string
  /** The board of its stations and nothing else. */
  board: RunPage
}

/** What a helper sees who came in by a link: the stations it is for, and who is there. No history, no estimates. */
export const helperPage = readingClass('helperPage', classIdSchema, async (scope): Promise<HelperPage> => {
  const board = await boardAsked(scope)
  const { id } = board.session
  const stations = board.stations.filter((one) => isWithin(scope, { session: { id }, stationId: one.id }))
  const here = new Set(stations.map((one) => one.id))
  const visits = board.visits.filter(({ stationId }) => here.has(stationId))
  const visitIds = new Set(visits.map((visit) => visit.id))
  const children = new Set(visits.flatMap((visit) => visit.children.map((child) => child.id)))
  const atVisit = ({ visitId }: { visitId: string }) => visitIds.has(visitId)
  return {
    classId: scope.classId,
    board: {
      ...board,
      stations,
      visits,
      marks: board.marks.filter(atVisit).map((mark) => asToldTo(scope.link?.id ?? null, mark)),
      absent: board.absent.filter(({ pupilId }) => children.has(pupilId)),
      finished: board.finished.filter(atVisit),
      liked: board.liked.filter(atVisit),
      changesWait: false,
      waiting: [],
    },
  }
})

/** A station as the room sees it. */
export interface RoomStation {
  id: string
  title: string
  /** What lies on the table, for those who don’t read yet; by kind, at most three. */
  things: { thing: Thing; name: string }[]
}

export interface RoomPage {
  classId: string
  session: RunPage['session']
  stations: RoomStation[]
  visits: { slot: number; stationId: string; pennant: number; names: string[] }[]
  plan: string
}

/** What lies on a table at some levels of its game, each kind once, the printed ones first. */
function thingsAt(gameId: string, levelIds: readonly string[]): RoomStation['things'] {
  const { levels, materials } = gameOf(gameId)
  const all = levels
    .filter(({ id }) => levelIds.includes(id))
    .flatMap(({ params }) => materials(params).map(({ thing }) => thing))
  const byKind = new Map(all.map((thing) => [thing.kind, thing]))
  const once = new Map([...byKind.values()].map((thing) => [thingKey(thing), thing]))
  return [...once.values()].slice(0, 3).map((thing) => ({ thing, name: nameOf(thing) }))
}

/** Where each group goes, for the whole room: no levels, no marks, no names unless they were asked for. */
export const roomPage = readingClass(
  'roomPage',
  classIdSchema.extend({ sessionId: z.uuid().optional(), names: z.boolean().default(false) }),
  async (scope, { sessionId, names }): Promise<RoomPage> => {
    const { session, stations, visits, absent, plan } = await boardAsked(scope, sessionId)
    const withNames = scope.link?.withNames ?? names
    const isThere = (pupilId: string, slot: number) =>
      !absent.some((one) => one.pupilId === pupilId && slot >= one.fromSlot)
    return {
      classId: scope.classId,
      session,
      stations: stations.map(({ id, gameId, title }) => ({
        id,
        title,
        things: thingsAt(
          gameId,
          visits.filter(({ stationId }) => stationId === id).map(({ levelId }) => levelId),
        ),
      })),
      visits: visits.map(({ slot, stationId, pennant, children }) => ({
        slot,
        stationId,
        pennant,
        names: withNames ? children.filter(({ id }) => isThere(id, slot)).map(({ name }) => name) : [],
      })),
      plan,
    }
  },
)

export interface ScreenPage {
  session: RunPage['session']
  title: string
  /** Why nobody can play now; null: whoever is there can. */
  closed: string | null
  visits: { id: string; slot: number; children: { id: string; name: string }[] }[]
  plan: string
}

/** A screen at a station: who is there now may play. Names of nobody else, and nothing of what was seen. */
export const screenPage = readingClass('screenPage', classIdSchema, async (scope): Promise<ScreenPage> => {
  const { session, stations, visits, absent, plan } = await boardAsked(scope)
  const station = stations.find(({ id }) => id === scope.link!.stationId)
  if (!station) throw new NotHere()
  const { digital } = await houseStyleOf(scope)
  return {
    session,
    title: station.title,
    closed: digital ? null : 'The digital station is off. It is switched on in the house style of the class.',
    visits: visits
      .filter(({ stationId }) => stationId === station.id)
      .map(({ id, slot, children }) => ({
        id,
        slot,
        children: children
          .filter(({ id: pupilId }) => !absent.some((one) => one.pupilId === pupilId && slot >= one.fromSlot))
          .map((child) => ({ id: child.id, name: child.name })),
      })),
    plan,
  }
})

/** What a device that listens to a session may be told of it. */
export const liveSession = readingClass(
  'liveSession',
  classIdSchema.extend({ sessionId: z.uuid() }),
  async (scope, { sessionId }) => {
    const session = await sessionOf(scope, sessionId)
    if (!session || (scope.link && scope.link.sessionId !== sessionId)) throw new NotHere()
    return {
      sessionId,
      sees: {
        linkId: scope.link?.id ?? null,
        stationId: scope.link?.stationId ?? null,
        clockOnly: scope.party === 'room-link' || scope.party === 'station-link',
      } satisfies Sees,
    }
  },
)
