import { setTimeout } from 'node:timers/promises'
import { addDays, type Day } from '@/core/planning/calendar'
import type { PlanContext, PlannedGrouping, Room } from '@/core/planning/session/context'
import type { Habits } from '@/core/planning/session/habits'
import { latelyDays } from '@/core/planning/session/past'
import type { OtherGame } from '@/core/planning/session/other-games'
import type { Plan, PlacedPlan, SessionFrame } from '@/core/planning/session/plan'
import type { PlanView } from '@/core/planning/session/work-out'
import { strandIds, type StrandId } from '@/core/skills'
import { marksSince } from '@/data/queries/observations'
import type { StoredGrouping } from '@/data/queries/groupings'
import { playedIn, seatedSince } from '@/data/queries/held'
import type { StoredSession } from '@/data/queries/sessions'
import { bagsOf } from '@/data/queries/bags'
import { inventoryOf } from '@/data/queries/shelf'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from '../children'
import { todayIn } from '../clock'
import { houseStyleOf } from '@/data/queries/house-style'
import { habitsOf } from '../habits'
import { remembered } from '../heavy/remembered'
import { planThread } from '../heavy/threads'

/** A plan takes a moment; one that takes longer than this has gone wrong. */
const limitMs = 60_000
/** So long a page waits for what it can do without. */
const soonMs = 300

/** The groups with the children who are still in the class; one of which nobody is left is not planned for. */
function groupsOf(
  { id, mode, groups }: StoredGrouping,
  children: readonly Child[],
  ownLevels: boolean,
): PlannedGrouping {
  const byId = new Map(children.map((child) => [child.id, child]))
  return {
    id,
    mode,
    ownLevels,
    groups: groups.flatMap(({ id: groupId, pennant, pupils, pairs }) => {
      const present = pupils.filter((pupilId) => byId.has(pupilId))
      if (present.length === 0) return []
      return {
        id: groupId,
        pennant,
        pupils: present.map((pupilId) => {
          const { name, rightAlone, followed, yearGroup, notKnown, adultNear } = byId.get(pupilId)!
          return { id: pupilId, name, rightAlone, followed, yearGroup, notKnown, adultNear }
        }),
        pairs: present.map((pupilId) => pairs[pupilId] ?? null),
      }
    }),
  }
}

/** What any plan of a class is worked out from: children, shelf, and what was played so far. */
export async function readClass(scope: ClassScope) {
  const today = todayIn(scope.classroom.timeZone)
  const lately = addDays(today, -latelyDays)
  const [children, inventory, bags, played, seatedBefore, marks, habits, { leftAside, ownLevels }] =
    await Promise.all([
      childrenOf(scope),
      inventoryOf(scope),
      bagsOf(scope),
      playedIn(scope),
      seatedSince(scope, lately),
      marksSince(scope, lately),
      habitsOf(scope),
      houseStyleOf(scope),
    ])
  // The item of a bag begins with whose bag it is.
  const bagged = [...new Set([...bags.keys()].map((item) => item.split('/')[0]))].sort()
  const begun = offered(begunBy(children), leftAside)
  return {
    children,
    contextFor: (grouping: StoredGrouping, day: Day): PlanContext & { room: Room } => ({
      grouping: groupsOf(grouping, children, ownLevels),
      seatedBefore,
      kept: null,
      habits,
      room: { inventory, bagged, played, marks, begun, practised: practisedBy(children), day },
    }),
  }
}

/** Strands that at least half of the children have begun. */
const begunBy = (children: readonly Child[]): StrandId[] =>
  strandIds.filter(
    (strand) => children.filter(({ followed }) => followed.includes(strand)).length * 2 >= children.length,
  )

/** Of those strands the ones that the class works on; where it has begun none of these, all it works on. */
function offered(begun: readonly StrandId[], leftAside: readonly StrandId[]): StrandId[] {
  if (leftAside.length === 0) return [...begun]
  const workedOn = strandIds.filter((strand) => !leftAside.includes(strand))
  const both = begun.filter((strand) => workedOn.includes(strand))
  return both.length > 0 ? both : workedOn
}

/** The last day on which any child was seen on a strand. */
function practisedBy(children: readonly Child[]): Partial<Record<StrandId, Day>> {
  const last: Partial<Record<StrandId, Day>> = {}
  for (const { estimates } of children)
    for (const strand of strandIds) {
      const { observations, day } = estimates[strand]
      if (observations > 0 && day > (last[strand] ?? '')) last[strand] = day
    }
  return last
}

/** A plan to start from, made for the class, in another thread. */
export const firstPlanFor = (
  today: Day,
  context: PlanContext,
  frame: SessionFrame | undefined,
): Promise<Plan> => planThread().run('firstPlan', { today, context, frame }, { limitMs })

/** Works a plan out in another thread, or finds it worked out. */
export const workOutPlan = (plan: Plan, context: PlanContext): Promise<PlanView> =>
  remembered(planThread(), 'workOut', { plan, context }, limitMs)

/** Games that would go as well; none as long as they are not worked out: a plan does not wait for them. */
export async function otherGamesFor(context: PlanContext, slotMinutes: number): Promise<OtherGame[]> {
  // Nor does it fail with them.
  const found = remembered(planThread(), 'otherGames', { context, slotMinutes }, limitMs).catch(() => [])
  return Promise.race([found, setTimeout(soonMs, [])])
}

/** What a stored session comes to with the estimates of now. */
export function workOutSession(
  session: StoredSession,
  grouping: StoredGrouping,
  children: readonly Child[],
  habits: Habits,
): Promise<PlanView> {
  const kept = session.visits.map(({ slot, groupId, seats, ownLevels }) => ({
    slot,
    groupId,
    seats,
    ownLevels,
  }))
  return workOutPlan(planOf(session), {
    // Levels are the session's own, as it was kept.
    grouping: groupsOf(grouping, children, false),
    seatedBefore: [],
    kept,
    habits,
    room: null,
  })
}

/** The plan a session was kept with, every level as it was kept. */
export function planOf(session: StoredSession): PlacedPlan {
  const { day, startsAt, slots, slotMinutes, around, adults, stations, visits } = session
  return {
    day,
    startsAt,
    slots,
    slotMinutes,
    around,
    adults,
    stations: stations.map(({ id, gameId, mode, places }) => ({ id, gameId, mode, places })),
    cells: visits.map(({ slot, groupId, stationId, pinned, levelId }) => ({
      slot,
      groupId,
      stationId,
      pinned,
      levelId,
    })),
  }
}

/** The same to go on planning: levels follow what is believed of the children now, but for those the teacher chose. */
export function planToGoOn(session: StoredSession): PlacedPlan {
  const chosen = new Set(session.visits.filter(({ levelChosen }) => levelChosen).map(({ id }) => id))
  const plan = planOf(session)
  return {
    ...plan,
    cells: plan.cells.map((cell, i) =>
      chosen.has(session.visits[i].id) ? cell : { ...cell, levelId: null },
    ),
  }
}

/** A plan made for other groups, carried over to these: a group goes on by its name. */
export function carriedOver(plan: Plan, from: StoredGrouping, to: StoredGrouping): Plan {
  if (!plan.cells || from.id === to.id) return plan
  const pennantOf = new Map(from.groups.map(({ id, pennant }) => [id, pennant]))
  const idOf = new Map(to.groups.map(({ id, pennant }) => [pennant, id]))
  return {
    ...plan,
    cells: plan.cells.flatMap((cell) => {
      const groupId = idOf.get(pennantOf.get(cell.groupId) ?? -1)
      return groupId === undefined ? [] : [{ ...cell, groupId }]
    }),
  }
}
