import { z } from 'zod'
import { gameIdSchema, games } from '@/core/games'
import { isLeftOpen } from '@/core/live/session'
import { addDays, type Day } from '@/core/planning/calendar'
import type { PlanContext, Room } from '@/core/planning/session/context'
import { nextSchoolDay } from '@/core/planning/session/first-plan'
import type { PlanDraft } from '@/core/planning/session/draft'
import { placed, planSchema, type Plan, type SessionFrame } from '@/core/planning/session/plan'
import type { OtherGame } from '@/core/planning/session/other-games'
import type { PlanView } from '@/core/planning/session/work-out'
import { lockClass } from '@/data/queries/classes'
import { deleteDraft } from '@/data/queries/drafts'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import {
  deletePlanned,
  lockSession,
  insertSession,
  nextSession,
  sessionOf,
  updateSession,
  lastFrame,
  type StoredSession,
  notBegun,
} from '@/data/queries/sessions'
import { saveCount } from '@/data/queries/shelf'
import type { ClassScope } from '@/data/scope'
import { classIdSchema } from '../classes'
import { todayIn } from '../clock'
import { planDraft, type Draft } from '../drafts/drafts'
import { changingClass, NotHere, preparedChange, readingClass, Refused } from '../use-case'
import { carriedOver, firstPlanFor, otherGamesFor, planToGoOn, readClass, workOutPlan } from './context'

export interface PlanPage {
  /** Null: there are no groups to plan for. */
  view: PlanView | null
  /** What is planned, or a first plan: where a draft begins. */
  standing: PlanDraft | null
  /** The plan on the table instead; `view` shows it. */
  draft: Draft<PlanDraft> | null
  /** The session this plan would take the place of. */
  session: { id: string; state: StoredSession['state']; leftOpen: boolean } | null
  today: Day
  games: { id: string; title: string }[]
  /** Games that would go as well as those of the plan, the best first. */
  others: OtherGame[]
  /** True if the view holds a station more than what is stored. */
  added: boolean
  /** What has changed since the session was kept, so that it would be kept otherwise now. */
  changedSince: 'groups' | 'levels' | null
  /** Names of children who are in no group, and so in no plan. */
  waiting: string[]
}

/** The next session, or a plan to start from where there is none; with a station more for the game `add`. */
export const planPage = readingClass(
  'planPage',
  classIdSchema.extend({ add: gameIdSchema.optional().catch(undefined) }),
  async (scope, { add }): Promise<PlanPage> => {
    const today = todayIn(scope.classroom.timeZone)
    // Nothing here waits for anything else, but for groups that are not the newest.
    const [session, newest, { children, contextFor }, onTable] = await Promise.all([
      nextSession(scope),
      groupingOf(scope),
      readClass(scope),
      planDraft(scope),
    ])
    const madeForOthers = session !== null && session.groupingId !== newest?.id
    const keptFor = madeForOthers ? await groupingOf(scope, session.groupingId) : newest
    // What runs stays with its groups; what is still planned goes on with the newest.
    const running = session?.state === 'running'
    const grouping = running ? keptFor : newest
    // Nobody is in a group, or everybody who was has left.
    if (!grouping || contextFor(grouping, today).grouping.groups.length === 0)
      return {
        view: null,
        standing: null,
        draft: null,
        session: null,
        today,
        games: [],
        others: [],
        added: false,
        changedSince: null,
        waiting: [],
      }
    const stored = session
      ? carriedOver(planToGoOn(session), keptFor ?? grouping, grouping)
      : await firstPlan(today, (day) => contextFor(grouping, day), await lastFrame(scope))
    const draft = running ? null : onTable
    const lying = draft ? await draftToGoOn(scope, draft.history.now, grouping, today) : stored
    const added = add !== undefined && !running && lying.stations.every(({ gameId }) => gameId !== add)
    const plan: Plan = added
      ? {
          ...lying,
          stations: [...lying.stations, { id: crypto.randomUUID(), gameId: add, mode: 'own', places: null }],
        }
      : lying
    const context = contextFor(grouping, plan.day)
    const [view, others] = await Promise.all([
      workOutPlan(plan, context),
      otherGamesFor(context, plan.slotMinutes),
    ])
    return {
      view,
      standing: {
        groupingId: grouping.id,
        plan: placed(
          stored,
          context.grouping.groups.map(({ id }) => id),
        ),
      },
      draft,
      session: session && { id: session.id, state: session.state, leftOpen: isLeftOpen(session, today) },
      today,
      games: games.map(({ id, title }) => ({ id, title })),
      others,
      added,
      changedSince:
        session && !running
          ? madeForOthers
            ? 'groups'
            : !draft && levelsMoved(session, view)
              ? 'levels'
              : null
          : null,
      waiting: children
        .filter(({ id }) => !grouping.groups.some((group) => group.pupils.includes(id)))
        .map(({ name }) => name),
    }
  },
)

/** A plan to start from, at the times of the session before: for today, or for the day after where one was held today. */
function firstPlan(
  today: Day,
  contextOn: (day: Day) => PlanContext & { room: Room },
  frame: SessionFrame | undefined,
): Promise<Plan> {
  const soonest = contextOn(nextSchoolDay(today))
  if (!soonest.room.played.some(({ day }) => day === today)) return firstPlanFor(today, soonest, frame)
  const tomorrow = addDays(today, 1)
  return firstPlanFor(tomorrow, contextOn(nextSchoolDay(tomorrow)), frame)
}

/** A draft with the groups and from the day of now, whenever it was left. */
async function draftToGoOn(
  scope: ClassScope,
  { groupingId, plan }: PlanDraft,
  grouping: StoredGrouping,
  today: Day,
): Promise<Plan> {
  const from = groupingId === grouping.id ? grouping : await groupingOf(scope, groupingId)
  const carried = from ? carriedOver(plan, from, grouping) : { ...plan, cells: [] }
  return carried.day < today ? { ...carried, day: nextSchoolDay(today) } : carried
}

/** True if some level that fits is another than the session was kept with. */
const levelsMoved = (session: StoredSession, { visits }: PlanView) =>
  visits.some((visit) => {
    const kept = session.visits.find(({ slot, groupId }) => slot === visit.slot && groupId === visit.groupId)
    return (
      kept !== undefined &&
      kept.stationId === visit.stationId &&
      (kept.levelId !== visit.levelId || !sameLevels(kept.ownLevels, visit.ownLevels))
    )
  })

type OwnLevels = StoredSession['visits'][number]['ownLevels']

/** Whether the same children play at the same levels of their own. */
const sameLevels = (one: OwnLevels, other: OwnLevels): boolean =>
  Object.keys({ ...one, ...other }).every((pupilId) => one[pupilId] === other[pupilId])

const plannedForSchema = classIdSchema.extend({
  /** The groups the plan was made for. */
  groupingId: z.uuid(),
  plan: planSchema,
})

/** What a changed plan comes to; one made for groups of before is carried over to those of now. Writes nothing. */
export const previewPlan = readingClass(
  'previewPlan',
  plannedForSchema,
  async (scope, { groupingId, plan }) => {
    const [newest, { contextFor }] = await Promise.all([standingGrouping(scope), readClass(scope)])
    const madeFor = await madeForGroups(scope, newest, groupingId, plan)
    return workOutPlan(carriedOver(plan, madeFor, newest), contextFor(newest, plan.day))
  },
)

/** Keeps how many there are of a thing on the shelf. */
export const countOnShelf = changingClass(
  'countOnShelf',
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

const savePlanSchema = plannedForSchema.extend({
  sessionId: z.uuid(),
  /** A planned session that this one takes the place of. */
  replaces: z.uuid().nullable().default(null),
})

/** Keeps a plan as the session of its day, for the groups it was made for. */
export const savePlan = preparedChange(
  'savePlan',
  savePlanSchema,
  async (scope, { groupingId, plan }) => {
    const newest = await standingGrouping(scope)
    await madeForGroups(scope, newest, groupingId, plan)
    if (newest.id !== groupingId) throw groupsChanged()
    if (plan.day < todayIn(scope.classroom.timeZone))
      throw new Refused('That day has passed. Choose today or later.')
    const { contextFor } = await readClass(scope)
    const { visits } = await workOutPlan(plan, { ...contextFor(newest, plan.day), room: null })
    if (visits.length === 0) throw new Refused('No group is at any station yet. Fill the gaps first.')
    return visits
  },
  async (scope, visits, { sessionId, groupingId, plan, replaces }) => {
    await lockClass(scope)
    // Sent again because its answer was lost: kept already.
    if (await sessionOf(scope, sessionId)) return { sessionId }
    if ((await standingGrouping(scope)).id !== groupingId) throw groupsChanged()
    if (replaces) await deletePlanned(scope, replaces)
    await insertSession(scope, asSession(sessionId, groupingId, plan, visits))
    await deleteDraft(scope, 'plan')
    return { sessionId }
  },
)

const plannedSchema = classIdSchema.extend({ sessionId: z.uuid() })

/** A session that was planned for a day gone by is planned for today instead; one that was begun stays as it is. */
export const moveToToday = changingClass('moveToToday', plannedSchema, async (scope, { sessionId }) => {
  const session = await lockSession(scope, sessionId)
  if (!session) throw new NotHere()
  if (session.state !== 'planned') throw new Refused('The session has begun already.')
  await updateSession(scope, sessionId, { day: todayIn(scope.classroom.timeZone) })
})

/** A planned session is let go. */
export const letGo = changingClass('letGo', plannedSchema, async (scope, { sessionId }) => {
  const session = await lockSession(scope, sessionId)
  // Sent again because its answer was lost: gone already.
  if (!session) return
  if (session.state !== 'planned') throw new Refused('The session has begun already.')
  await deletePlanned(scope, sessionId)
})

/** Groups were swapped while the plan was open: it is never kept for other children than those it was made for. */
const groupsChanged = () =>
  new Refused(
    'The groups have changed since this plan was opened. Nothing was kept: look at it with the new groups first.',
  )

function asSession(
  id: string,
  groupingId: string,
  { day, startsAt, slots, slotMinutes, around, adults, stations }: Plan,
  visits: PlanView['visits'],
): Omit<StoredSession, 'classId'> {
  // Stations are the session's own: the same plan kept again has others.
  const stationIds = new Map(stations.map((station) => [station.id, crypto.randomUUID() as string]))
  return {
    id,
    groupingId,
    day,
    startsAt,
    slots,
    slotMinutes,
    around,
    adults,
    ...notBegun,
    stations: stations.map((station, position) => ({
      ...station,
      id: stationIds.get(station.id)!,
      position,
    })),
    visits: visits.map(({ slot, stationId, groupId, levelId, chosen, ownLevels, seats, pinned }) => ({
      id: crypto.randomUUID(),
      slot,
      stationId: stationIds.get(stationId)!,
      groupId,
      levelId,
      levelChosen: chosen,
      ownLevels,
      seats,
      pinned,
    })),
  }
}

async function standingGrouping(scope: ClassScope): Promise<StoredGrouping> {
  const grouping = await groupingOf(scope)
  if (!grouping) throw new Refused('There are no groups yet. Make groups first.')
  return grouping
}

/** The groups a plan was made for. @throws {NotHere} where the class has none such, or the plan names others */
async function madeForGroups(
  scope: ClassScope,
  newest: StoredGrouping,
  groupingId: string,
  { cells = [] }: Plan,
): Promise<StoredGrouping> {
  const grouping = groupingId === newest.id ? newest : await groupingOf(scope, groupingId)
  if (!grouping) throw new NotHere()
  const ids = new Set(grouping.groups.map(({ id }) => id))
  if (cells.some(({ groupId }) => !ids.has(groupId))) throw new NotHere()
  return grouping
}
