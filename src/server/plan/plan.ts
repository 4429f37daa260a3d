import { z } from 'zod'
import { gameIdSchema, games } from '@/core/games'
import { addDays, type Day } from '@/core/planning/calendar'
import { marksSince } from '@/data/queries/evidence'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import { heldSessions } from '@/data/queries/held'
import { deletePlanned, insertSession, nextSession, type StoredSession } from '@/data/queries/sessions'
import { inventoryOf, saveCount } from '@/data/queries/shelf'
import type { ClassScope } from '@/data/scope'
import { childrenOf } from '../children'
import { classIdSchema } from '../classes'
import { todayIn } from '../clock'
import { changingClass, readingClass, Refused } from '../use-case'
import { latelyDays, pastOf, playedIn } from './past'
import { firstPlan, planSchema, planToGoOn, type Plan } from './schema'
import { partnersPast, seaterFrom } from './seating'
import { workOut, type PlanContext, type PlanView } from './work-out'

export type { Plan } from './schema'
export type { PlannedVisit } from './visits'
export type { Conflict, PlanView } from './work-out'

export interface PlanPage {
  /** Null: there are no groups to plan for. */
  view: PlanView | null
  /** The session this plan would take the place of. */
  session: { id: string; state: StoredSession['state'] } | null
  today: Day
  games: { id: string; title: string }[]
  /** True if the view holds a station more than what is stored. */
  added: boolean
  /** What has changed since the session was kept, so that it would be kept otherwise now. */
  since: 'groups' | 'levels' | null
}

/** What any plan of a class is worked out from: children, shelf, and what was played so far. */
async function readClass(scope: ClassScope) {
  const today = todayIn(scope.classroom.timeZone)
  const lately = addDays(today, -latelyDays)
  const [children, inventory, held, marks] = await Promise.all([
    childrenOf(scope),
    inventoryOf(scope),
    heldSessions(scope, lately),
    marksSince(scope, lately),
  ])
  const played = playedIn(held)
  const partners = partnersPast(held)
  return (grouping: StoredGrouping, day: Day): PlanContext => ({
    grouping,
    children,
    seater: seaterFrom(partners, grouping.mode),
    room: { inventory, pastOf: (pupils) => pastOf(pupils, played, marks, day), partners },
  })
}

/** The next session, or a plan to start from where there is none; with a station more for the game `add`. */
export const planPage = readingClass(
  classIdSchema.extend({ add: gameIdSchema.optional().catch(undefined) }),
  async (scope, { add }): Promise<PlanPage> => {
    const today = todayIn(scope.classroom.timeZone)
    // Nothing here waits for anything else, but for groups that are not the newest.
    const [session, newest, contextOf] = await Promise.all([
      nextSession(scope),
      groupingOf(scope),
      readClass(scope),
    ])
    const others = session && session.groupingId !== newest?.id
    // What runs stays with its groups; what is still planned goes on with the newest.
    const running = session?.state === 'running'
    const grouping = others && running ? await groupingOf(scope, session.groupingId) : newest
    if (!grouping) return { view: null, session: null, today, games: [], added: false, since: null }
    const stored = session ? planToGoOn(session) : firstPlan(today, grouping.groups.length)
    const added = add !== undefined && !running && stored.stations.every(({ gameId }) => gameId !== add)
    const plan: Plan = added
      ? { ...stored, stations: [...stored.stations, { gameId: add, mode: 'own', places: null }] }
      : stored
    const view = workOut(plan, contextOf(grouping, plan.day))
    return {
      view,
      session: session && { id: session.id, state: session.state },
      today,
      games: games.map(({ id, title }) => ({ id, title })),
      added,
      since: session && !running ? (others ? 'groups' : levelsMoved(session, view) ? 'levels' : null) : null,
    }
  },
)

/** True if some level that fits is another than the session was kept with. */
const levelsMoved = (session: StoredSession, { visits }: PlanView) =>
  visits.some((visit) => {
    const kept = session.visits.find(({ slot, group }) => slot === visit.slot && group === visit.group)
    return kept !== undefined && kept.station === visit.station && kept.levelId !== visit.levelId
  })

/** What a changed plan comes to; writes nothing. */
export const previewPlan = readingClass(
  classIdSchema.extend({ plan: planSchema }),
  async (scope, { plan }) => {
    const [grouping, contextOf] = await Promise.all([standingGrouping(scope), readClass(scope)])
    return workOut(plan, contextOf(grouping, plan.day))
  },
)

/** Keeps how many there are of a thing on the shelf. */
export const countOnShelf = changingClass(
  classIdSchema.extend({
    item: z.string().trim().min(1).max(100),
    /** Null: not counted any more. */
    count: z
      .number('Give a whole number.')
      .int('Give a whole number.')
      .min(0, 'There can’t be fewer than none.')
      .max(10_000, 'That is more than a shelf holds.')
      .nullable(),
  }),
  async (scope, { item, count }) => {
    await saveCount(scope, item, count)
    return { item, count }
  },
)

const savePlanSchema = classIdSchema.extend({
  sessionId: z.uuid(),
  plan: planSchema,
  /** A planned session that this one takes the place of. */
  replaces: z.uuid().nullable().default(null),
})

/** Keeps a plan as the session of its day. */
export const savePlan = changingClass(savePlanSchema, async (scope, { sessionId, plan, replaces }) => {
  const grouping = await standingGrouping(scope)
  if (plan.day < todayIn(scope.classroom.timeZone))
    throw new Refused('That day has passed. Choose today or later.')
  const contextOf = await readClass(scope)
  const { visits } = workOut(plan, { ...contextOf(grouping, plan.day), room: null })
  if (visits.length === 0) throw new Refused('No group is at any station yet. Fill the gaps first.')
  if (replaces) await deletePlanned(scope, replaces)
  await insertSession(scope, {
    id: sessionId,
    groupingId: grouping.id,
    day: plan.day,
    startsAt: plan.startsAt,
    slots: plan.slots,
    slotMinutes: plan.slotMinutes,
    around: plan.around,
    adults: plan.adults,
    state: 'planned',
    slot: 0,
    slotStartedAt: null,
    pausedAt: null,
    extraMinutes: 0,
    stations: plan.stations.map((station, position) => ({ ...station, position })),
    visits: visits.map(({ slot, station, group, levelId, chosen, ownLevels, seats, pinned }) => ({
      id: crypto.randomUUID(),
      slot,
      station,
      group,
      levelId,
      levelChosen: chosen,
      ownLevels,
      seats,
      pinned,
    })),
  })
  return { sessionId }
})

async function standingGrouping(scope: ClassScope): Promise<StoredGrouping> {
  const grouping = await groupingOf(scope)
  if (!grouping) throw new Refused('There are no groups yet. Make groups first.')
  return grouping
}
