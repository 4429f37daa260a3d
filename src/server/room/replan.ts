import { z } from 'zod'
import { happenedSchema } from '@/core/planning/replan/happened'
import { planAfter, type Loss, type Running, type Way } from '@/core/planning/replan/running'
import type { PlanContext } from '@/core/planning/session/context'
import type { PlanView } from '@/core/planning/session/work-out'
import { gameOf } from '@/core/games'
import { levelBeside } from '@/core/planning/session/levels'
import { addDays } from '@/core/planning/calendar'
import { nextSchoolDay } from '@/core/planning/session/first-plan'
import { strandOf, type StrandId } from '@/core/skills'
import { groupingOf } from '@/data/queries/groupings'
import {
  absentOf,
  deletePlanned,
  insertSession,
  lockSession,
  notBegun,
  replaceVisits,
  sessionOf,
  updateSession,
  updateStationMode,
  type StoredSession,
} from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import type { ClassScope } from '@/data/scope'
import { classIdSchema } from '../classes'
import { practised } from '../figures'
import { todayIn } from '../clock'
import { planThread } from '../heavy/threads'
import { planOf, readClass, workOutPlan } from '../plan/context'
import { beforeOf, wayBack } from './before-replan'
import { changingClass, NotHere, preparedChange, readingClass, Refused } from '../use-case'

const askedSchema = classIdSchema.extend({ sessionId: z.uuid(), happened: happenedSchema })

/** A way as it is told, with who misses what by name. */
export interface ShownWay extends Pick<Way, 'id' | 'kind' | 'slots' | 'slotMinutes'> {
  /** Of the station that goes on its own or closes. */
  station: string | null
  /** Where visits of a station that closes go. */
  moves: { slot: number; pennant: number; to: string }[]
  /** The slot that is not held, from 1. */
  slot: number | null
  /** The group that is joined. */
  joins: number | null
  loses: { kind: Loss['kind']; pennant: number | null; what: string | null; minutes: number | null }[]
}

/** A session under way as it is planned anew: who is there, and where everybody was to go. */
async function readRunning(scope: ClassScope, sessionId: string) {
  const session = await sessionOf(scope, sessionId)
  const grouping = session && (await groupingOf(scope, session.groupingId))
  if (!session || !grouping) throw new NotHere()
  if (session.state !== 'running') throw new Refused('The session is not under way.')
  const absent = await absentOf(scope, sessionId)
  const away = new Set(
    absent.filter(({ fromSlot }) => fromSlot <= session.slot).map(({ pupilId }) => pupilId),
  )
  const { contextFor } = await readClass(scope)
  const context = contextFor(grouping, session.day)
  const running: Running = {
    plan: planOf(session),
    slot: session.slot,
    visits: session.visits.map(({ id, slot, stationId, groupId }) => ({ id, slot, stationId, groupId })),
    present: Object.fromEntries(
      context.grouping.groups.map(({ id, pupils }) => [
        id,
        pupils.map((pupil) => pupil.id).filter((pupilId) => !away.has(pupilId)),
      ]),
    ),
  }
  return { session, running, context }
}

const waysFor = (running: Running, happened: z.output<typeof happenedSchema>, context: PlanContext) =>
  planThread().run('waysToGoOn', { running, happened, context }, { limitMs: 20_000 })

/** Ways to go on when something went wrong, the one that loses least first. */
export const waysToGoOn = readingClass(
  'waysToGoOn',
  askedSchema,
  async (scope, { sessionId, happened }): Promise<ShownWay[]> => {
    const { running, context } = await readRunning(scope, sessionId)
    const ways = await waysFor(running, happened, context)
    return ways.map((way) => shown(way, running, context))
  },
)

function shown(way: Way, { plan, visits, slot: now }: Running, { grouping }: PlanContext): ShownWay {
  const pennantOf = new Map(grouping.groups.map(({ id, pennant }) => [id, pennant]))
  const titleOf = new Map(plan.stations.map(({ id, gameId }) => [id, gameOf(gameId).title]))
  const byId = new Map(visits.map((visit) => [visit.id, visit]))
  const [host] = way.joins.flatMap(({ visitIds }) => visitIds)
  const gone = way.dropped.length > 0 && way.joins.length === 0 ? byId.get(way.dropped[0])!.slot + 1 : null
  return {
    id: way.id,
    kind: way.kind,
    slots: way.slots,
    slotMinutes: way.slotMinutes,
    station: way.modes.length > 0 ? titleOf.get(way.modes[0].stationId)! : null,
    moves:
      way.kind === 'close-station'
        ? way.moved.map(({ visitId, slot, stationId }) => ({
            slot: slot + 1,
            pennant: pennantOf.get(byId.get(visitId)!.groupId)!,
            to: titleOf.get(stationId)!,
          }))
        : [],
    slot: gone !== null && gone > now ? gone : null,
    joins: host === undefined ? null : pennantOf.get(byId.get(host)!.groupId)!,
    loses: way.loses.map((loss) => ({
      kind: loss.kind,
      pennant: 'groupId' in loss ? pennantOf.get(loss.groupId)! : null,
      what:
        loss.kind === 'strand'
          ? strandOf(loss.strand as StrandId).title
          : 'stationId' in loss
            ? titleOf.get(loss.stationId)!
            : null,
      minutes: loss.kind === 'minutes' ? loss.each : null,
    })),
  }
}

/** The session goes on another way; it can be undone as long as its slot lasts. */
export const takeWay = preparedChange(
  'takeWay',
  askedSchema.extend({ way: z.string().max(20) }),
  async (scope, { sessionId, happened, way }) => {
    const { session, running, context } = await readRunning(scope, sessionId)
    const chosen = (await waysFor(running, happened, context)).find(({ id }) => id === way)
    const view = chosen && (await workOutPlan(planAfter(running, chosen), context))
    return { session, running, chosen, view, context }
  },
  async (scope, { session, running, chosen, view, context }, { sessionId }) => {
    const locked = await lockSession(scope, sessionId)
    const now = await sessionOf(scope, sessionId)
    if (!locked || !now) throw new NotHere()
    // Worked out for a session that has moved on since: nobody is sent by it.
    if (now.slot !== session.slot || now.state !== 'running' || !chosen || !view)
      throw new Refused('The session has moved on meanwhile. Look at the ways again.')
    const visits = now.visits.flatMap((visit) => {
      if (chosen.dropped.includes(visit.id)) return []
      return [visitAfter(visit, chosen, running, view, context)]
    })
    const before = wayBack(now) ?? beforeOf(now)
    const carried = chosen.kind === 'tomorrow' ? await carryOver(scope, now, chosen) : null
    await replaceVisits(scope, sessionId, visits)
    for (const { stationId, mode } of chosen.modes) await updateStationMode(scope, stationId, mode)
    await updateSession(scope, sessionId, {
      slots: chosen.slots,
      slotMinutes: chosen.slotMinutes,
      // The first state of this slot is what is gone back to, however often it was planned anew.
      beforeReplan: { ...before, carried: [...before.carried, ...(carried === null ? [] : [carried])] },
    })
    await tellOf(scope, [sessionId])
  },
)

type Visit = StoredSession['visits'][number]

/** A visit as it is after a change: moved to another station it is at the level that fits there, as is who joins it. */
function visitAfter(
  visit: Visit,
  { moved, joins }: Way,
  { plan }: Running,
  view: PlanView,
  { grouping }: PlanContext,
): Visit {
  const now = moved.find(({ visitId }) => visitId === visit.id)
  const joining = joins.filter(({ visitIds }) => visitIds.includes(visit.id)).map(({ pupilId }) => pupilId)
  if (joining.length > 0) {
    const {
      id: gameId,
      players,
      levels,
    } = gameOf(plan.stations.find(({ id }) => id === visit.stationId)!.gameId)
    const theirs = levels.findIndex(({ id }) => id === visit.levelId)
    const children = grouping.groups.flatMap(({ pupils }) => pupils.filter(({ id }) => joining.includes(id)))
    const own = children.flatMap((child): [string, string][] => {
      const level = levelBeside(gameId, child, Math.max(0, theirs), grouping, practised)
      return level === theirs ? [] : [[child.id, levels[level].id]]
    })
    return {
      ...visit,
      seats: seatedToo(visit.seats, joining, players.max),
      ownLevels: { ...visit.ownLevels, ...Object.fromEntries(own) },
    }
  }
  if (!now) return visit
  if (now.stationId === visit.stationId) return { ...visit, slot: now.slot }
  const there = view.visits.find(({ slot, groupId }) => slot === now.slot && groupId === visit.groupId)!
  const { levelId, ownLevels, seats } = there
  return { ...visit, slot: now.slot, stationId: now.stationId, levelId, levelChosen: false, ownLevels, seats }
}

/** Seats with more children: each where there is most room. */
function seatedToo(seats: string[][], more: readonly string[], most: number): string[][] {
  const sets = seats.map((set) => [...set])
  for (const pupilId of more) {
    const smallest = sets.reduce<string[] | null>(
      (best, set) => (!best || set.length < best.length ? set : best),
      null,
    )
    if (smallest && smallest.length < most) smallest.push(pupilId)
    else sets.push([pupilId])
  }
  return sets
}

/** What is not held today is planned for the next school day, as a session of its own. */
async function carryOver(scope: ClassScope, session: StoredSession, { dropped }: Way): Promise<string> {
  const id = crypto.randomUUID()
  const stations = new Map(session.stations.map((station) => [station.id, crypto.randomUUID() as string]))
  const lost = session.visits.filter((visit) => dropped.includes(visit.id))
  await insertSession(scope, {
    ...session,
    id,
    day: nextSchoolDay(addDays(todayIn(scope.classroom.timeZone), 1)),
    slots: 1,
    ...notBegun,
    stations: session.stations.map((station) => ({ ...station, id: stations.get(station.id)! })),
    visits: lost.map((visit) => ({
      ...visit,
      id: crypto.randomUUID(),
      slot: 0,
      stationId: stations.get(visit.stationId)!,
    })),
  })
  return id
}

/** The session goes on as it was planned before anything went wrong. */
export const undoReplan = changingClass(
  'undoReplan',
  classIdSchema.extend({ sessionId: z.uuid() }),
  async (scope, { sessionId }) => {
    const locked = await lockSession(scope, sessionId)
    if (!locked) throw new NotHere()
    const before = wayBack(locked)
    if (!before) throw new Refused('There is nothing to undo, or the session has moved on since.')
    const { slots, slotMinutes, modes, visits, carried } = before
    await replaceVisits(scope, sessionId, visits)
    for (const [stationId, mode] of Object.entries(modes)) await updateStationMode(scope, stationId, mode)
    for (const id of carried) await deletePlanned(scope, id)
    await updateSession(scope, sessionId, { slots, slotMinutes, beforeReplan: null })
    await tellOf(scope, [sessionId])
  },
)
