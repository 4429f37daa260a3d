import { gameOf } from '@/core/games'
import { isLeftOpen } from '@/core/live/session'
import type { Day } from '@/core/planning/calendar'
import type { Need } from '@/core/planning/materials'
import type { Habits } from '@/core/planning/session/habits'
import type { PlanView } from '@/core/planning/session/work-out'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { heldSessions, nextSession, type StationMode, type StoredSession } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from './children'
import { classIdSchema } from './classes'
import { timeIn, todayIn } from './clock'
import { habitsOf } from './habits'
import { workOutSession } from './plan/context'
import { pagesOfSession } from './print/print'
import { classSuggestions, type ChildSuggestion } from './suggestions'
import { readingClass } from './use-case'

export interface HarbourPage {
  children: number
  hasGroups: boolean
  session: null | {
    id: string
    state: StoredSession['state']
    day: Day
    today: boolean
    /** It was planned for a day gone by, and never begun. */
    notHeld: boolean
    /** It was begun on a day gone by, and never ended. */
    leftOpen: boolean
    /** Of today, planned, and its time is over: it may have been held without a screen. */
    over: boolean
    startsAt: string
    slots: number
    slot: number
    from: string
    to: string
    stations: {
      id: string
      title: string
      gameId: string
      /** The level at hand now; null: nobody is there in this slot. */
      levelId: string | null
      level: string
      mode: StationMode
      pennants: number[]
    }[]
    unlikely: { station: string; finishInSlot: number }[]
    needs: Need[]
    /** Pages that are needed and not in the bags yet; null: not counted in time. */
    pages: number | null
  }
  toLookAt: ChildSuggestion[]
  /** The latest sessions that were held, newest first. */
  held: { id: string; day: Day; titles: string[]; marks: number; canReopen: boolean }[]
  today: Day
}

const mostToLookAt = 5
const mostHeld = 12
/** The first thing in the morning doesn't wait longer than this for a count of pages. */
const soonMs = 300

/** What is next: the coming session at its slot, what to lay out, whom to look at. */
export const harbourPage = readingClass('harbourPage', classIdSchema, async (scope): Promise<HarbourPage> => {
  const today = todayIn(scope.classroom.timeZone)
  const [children, newest, session, style, sessions, habits] = await Promise.all([
    childrenOf(scope),
    groupingOf(scope),
    nextSession(scope),
    houseStyleOf(scope),
    heldSessions(scope, mostHeld),
    habitsOf(scope),
  ])
  const [toLookAt, coming] = await Promise.all([
    newest ? classSuggestions(scope, children, newest, style.movingUp, today) : [],
    session && newest ? comingSession(scope, { session, newest, children, habits, today }) : null,
  ])
  return {
    children: children.length,
    hasGroups: newest !== null,
    session: coming,
    toLookAt: toLookAt.slice(0, mostToLookAt),
    held: sessions.map(({ id, day, gameIds, marks }, position) => ({
      id,
      day,
      titles: gameIds.map((gameId) => gameOf(gameId).title),
      marks,
      // Only the newest of today: an older one is done with.
      canReopen: position === 0 && day === today && session?.state !== 'running',
    })),
    today,
  }
})

interface Coming {
  session: StoredSession
  newest: StoredGrouping
  children: readonly Child[]
  habits: Habits
  today: Day
}

/** The next session, or the one under way; null: its groups are no more. */
async function comingSession(
  scope: ClassScope,
  { session, newest, children, habits, today }: Coming,
): Promise<HarbourPage['session']> {
  const grouping = session.groupingId === newest.id ? newest : await groupingOf(scope, session.groupingId)
  if (!grouping) return null
  const view = await workOutSession(session, grouping, children, habits)
  const now = view.visits.filter(({ slot }) => slot === session.slot)
  return {
    id: session.id,
    state: session.state,
    day: session.day,
    today: session.day === today,
    notHeld: session.state === 'planned' && session.day < today,
    leftOpen: isLeftOpen(session, today),
    over:
      session.state === 'planned' &&
      session.day === today &&
      timeIn(scope.classroom.timeZone) >= view.times.slots.at(-1)!.to,
    startsAt: session.startsAt,
    slots: session.slots,
    slot: session.slot,
    ...view.times.slots[session.slot],
    stations: session.stations.map(({ id, gameId, mode }) => {
      const here = now.filter(({ stationId }) => stationId === id)
      return {
        id,
        title: gameOf(gameId).title,
        gameId,
        levelId: here[0]?.levelId ?? null,
        level: [...new Set(here.map(({ levelTitle }) => levelTitle))].join(' · '),
        mode,
        pennants: view.groups
          .filter((group) => here.some(({ groupId }) => groupId === group.id))
          .map(({ pennant }) => pennant),
      }
    }),
    unlikely: view.conflicts.flatMap((conflict) =>
      conflict.kind === 'too-long'
        ? [{ station: titleAt(view, conflict), finishInSlot: conflict.finishInSlot }]
        : [],
    ),
    needs: [...view.shelf, ...view.print],
    pages: await pagesOfSession(scope, { session, grouping, children, view }, soonMs),
  }
}

/** The game of a group in a slot. */
function titleAt({ visits, stations }: PlanView, cell: { slot: number; groupId: string }): string {
  const visit = visits.find(({ slot, groupId }) => slot === cell.slot && groupId === cell.groupId)
  return stations.find(({ id }) => id === visit?.stationId)?.title ?? ''
}
