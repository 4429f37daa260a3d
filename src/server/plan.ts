import { z } from 'zod'
import { gameIdSchema, gameOf, games } from '@/core/games'
import { splitIntoSets } from '@/core/games/sets'
import { inBand } from '@/core/grouping/fit-cost'
import { cheapestLevel, groupingProblem, limitsSchema } from '@/core/grouping/problem'
import { addDays, weekday, type Day } from '@/core/planning/calendar'
import { againstInventory, type Inventory, type Stocked } from '@/core/planning/inventory'
import { materialsOf, type Need } from '@/core/planning/materials'
import { repeats, rotate } from '@/core/planning/rotation'
import { isPrinted } from '@/core/planning/shelf'
import { timetable, type SlotTime } from '@/core/planning/timetable'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import {
  deletePlanned,
  insertSession,
  nextSession,
  type StationMode,
  type StoredSession,
} from '@/data/queries/sessions'
import { inventoryOf, saveCount } from '@/data/queries/shelf'
import type { ClassScope } from '@/data/scope'
import { childrenOf, fittingBand, type Child } from './children'
import { classIdSchema } from './classes'
import { todayIn } from './clock'
import { analysisOf, successAt } from './figures'
import { ruleConflicts, type RuleConflict } from './plan-rules'
import { changingClass, readingClass, Refused } from './use-case'

const stationModes = ['adult-led', 'adult-near', 'own'] as const

const planSchema = z.object({
  day: z.iso.date('Give the day as year-month-day.'),
  startsAt: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Give the start as hours and minutes, like 10:15.'),
  slots: z
    .number()
    .int()
    .min(1, 'A session needs at least one slot.')
    .max(6, 'A session has at most six slots.'),
  slotMinutes: z
    .number()
    .int()
    .min(5, 'A slot lasts at least 5 minutes.')
    .max(40, 'A slot lasts at most 40 minutes.'),
  stations: z
    .array(z.object({ gameId: gameIdSchema, mode: z.enum(stationModes) }))
    .min(1, 'A session needs at least one station.')
    .max(8, 'A session has at most eight stations.'),
  /** Levels the teacher chose herself, by `slot:group`; all others are those that fit. */
  chosen: z.record(z.string(), z.string()).default({}),
})

export type Plan = z.infer<typeof planSchema>

export interface PlannedVisit {
  slot: number
  station: number
  group: number
  levelId: string
  levelTitle: string
  /** Sizes of the sets the group plays in. */
  sets: number[]
  children: number
  fitting: number
  /** Chance that the largest set's game ends in the slot; null: time-boxed. */
  finishInSlot: number | null
  chosen: boolean
}

export type Conflict =
  | { kind: 'again'; slot: number; group: number }
  | { kind: 'too-long'; slot: number; group: number; finishInSlot: number }
  | { kind: 'too-few'; slot: number; group: number; least: number }
  | RuleConflict

export interface PlanView {
  plan: Plan
  times: SlotTime[]
  groups: { pennant: number; children: string[] }[]
  stations: {
    gameId: string
    title: string
    mode: StationMode
    levels: { id: string; title: string }[]
    cautions: string[]
    needs: Need[]
  }[]
  visits: PlannedVisit[]
  conflicts: Conflict[]
  /** Things to fetch for all stations at once, beside what was counted. */
  shelf: Stocked[]
  /** Pages to print for all stations at once. */
  print: Need[]
}

const likelyEnough = 0.8

/** Games played where there is no exact figure: enough to see whether a game fits its slot. */
const playedHere = 1000

/** Works a plan out: who is where, at which level, in which sets, with what. Writes nothing. */
function workOut(
  plan: Plan,
  grouping: StoredGrouping,
  children: readonly Child[],
  /** Null: a plan that is only run or looked at, whose rules nobody asks about. */
  inventory: Inventory | null = null,
): PlanView {
  const byId = new Map(children.map((child) => [child.id, child]))
  const groups = grouping.groups.map(({ pennant, pupils }) => ({
    pennant,
    pupils: pupils.flatMap((id) => byId.get(id) ?? []),
  }))
  const places = rotate(groups.length, plan.stations.length, plan.slots)
  const visits = places.map((place): PlannedVisit => {
    const { gameId } = plan.stations[place.station]
    const game = gameOf(gameId)
    const { pupils } = groups[place.group]
    const success = successAt(
      gameId,
      pupils.map(({ rightAlone }) => rightAlone),
    )
    const key = `${place.slot}:${place.group}`
    const own = game.levels.findIndex(({ id }) => id === plan.chosen[key])
    const level = own >= 0 ? own : fittingLevel(gameId, success)
    const sets = splitIntoSets(pupils.length, game.players)
    const { id: levelId, title: levelTitle } = game.levels[level]
    const players = Math.max(1, ...sets)
    const { minutes } = analysisOf({
      game: gameId,
      level: levelId,
      players,
      slotMinutes: plan.slotMinutes,
      games: playedHere,
    })
    return {
      ...place,
      levelId,
      levelTitle,
      sets,
      children: pupils.length,
      fitting: success.filter((row) => inBand(row[level], fittingBand)).length,
      finishInSlot: minutes?.finishInSlot ?? null,
      chosen: own >= 0,
    }
  })
  const demands = visits.map(({ slot, station, levelId, sets }) => {
    const game = gameOf(plan.stations[station].gameId)
    return {
      slot,
      station,
      sets,
      materials: game.materials(game.levels.find(({ id }) => id === levelId)!.params),
    }
  })
  const materials = materialsOf(demands, plan.stations.length)
  return {
    plan,
    times: timetable(plan.startsAt, plan.slots, plan.slotMinutes),
    groups: groups.map(({ pennant, pupils }) => ({ pennant, children: pupils.map(({ name }) => name) })),
    stations: plan.stations.map(({ gameId, mode }, station) => {
      const { title, levels, texts } = gameOf(gameId)
      return {
        gameId,
        title,
        mode,
        levels: levels.map((level) => ({ id: level.id, title: level.title })),
        cautions: [...texts.cautions],
        needs: materials.stations[station],
      }
    }),
    visits,
    conflicts: [
      ...conflictsOf(plan, visits, places),
      ...(inventory ? ruleConflicts(plan, visits, inventory) : []),
    ],
    shelf: againstInventory(
      materials.all.filter(({ item }) => !isPrinted(item)),
      inventory ?? {},
    ),
    print: materials.all.filter(({ item }) => isPrinted(item)),
  }
}

/** The level that costs the group least by fit. */
function fittingLevel(gameId: string, success: number[][]): number {
  if (success.length === 0) return 0
  const problem = groupingProblem({
    children: success.map((_, child) => String(child)),
    levels: gameOf(gameId).levels.map(({ id }) => id),
    success,
    band: fittingBand,
    limits: limitsSchema.parse({ groups: { count: 1, min: 1, max: success.length } }),
  })
  return cheapestLevel(
    problem,
    success.map((_, child) => child),
  ).level
}

function conflictsOf(
  plan: Plan,
  visits: readonly PlannedVisit[],
  places: ReturnType<typeof rotate>,
): Conflict[] {
  const again = repeats(places).map(({ slot, group }): Conflict => ({ kind: 'again', slot, group }))
  const others = visits.flatMap(({ slot, group, station, children, finishInSlot }): Conflict[] => {
    const { players } = gameOf(plan.stations[station].gameId)
    if (children < players.min) return [{ kind: 'too-few', slot, group, least: players.min }]
    if (finishInSlot !== null && finishInSlot < likelyEnough)
      return [{ kind: 'too-long', slot, group, finishInSlot }]
    return []
  })
  return [...again, ...others]
}

/** Monday to Friday from today on. */
function nextSchoolDay(today: Day): Day {
  return weekday(today) === 0 ? addDays(today, 1) : weekday(today) === 6 ? addDays(today, 2) : today
}

/** Three stations with an adult at the first: a plan to start from. */
function firstPlan(today: Day, groups: number): Plan {
  const all = [
    { gameId: 'landfall', mode: 'adult-led' as const },
    { gameId: 'tower-bay', mode: 'own' as const },
    { gameId: 'the-gap', mode: 'own' as const },
  ]
  const stations = all.slice(0, Math.max(1, Math.min(all.length, groups)))
  return {
    day: nextSchoolDay(today),
    startsAt: '10:15',
    slots: stations.length,
    slotMinutes: 12,
    stations,
    chosen: {},
  }
}

/** The plan a stored session was made from. */
function planOf(session: StoredSession): Plan {
  const { day, startsAt, slots, slotMinutes, stations, visits } = session
  return {
    day,
    startsAt,
    slots,
    slotMinutes,
    stations: stations.map(({ gameId, mode }) => ({ gameId, mode })),
    chosen: Object.fromEntries(visits.map(({ slot, group, levelId }) => [`${slot}:${group}`, levelId])),
  }
}

/** What a stored session comes to with the estimates of now. */
export const workOutSession = (
  session: StoredSession,
  grouping: StoredGrouping,
  children: readonly Child[],
): PlanView => workOut(planOf(session), grouping, children)

export interface PlanPage {
  /** Null: there are no groups to plan for. */
  view: PlanView | null
  /** The session this plan would take the place of. */
  session: { id: string; state: StoredSession['state'] } | null
  today: Day
  games: { id: string; title: string }[]
  /** True if the view holds a station more than what is stored. */
  added: boolean
}

/** The next session, or a plan to start from where there is none; with a station more for the game `add`. */
export const planPage = readingClass(
  classIdSchema.extend({ add: gameIdSchema.optional().catch(undefined) }),
  async (scope, { add }): Promise<PlanPage> => {
    const today = todayIn(scope.classroom.timeZone)
    const [session, children, inventory] = await Promise.all([
      nextSession(scope),
      childrenOf(scope),
      inventoryOf(scope),
    ])
    const grouping = await groupingOf(scope, session?.groupingId)
    if (!grouping) return { view: null, session: null, today, games: [], added: false }
    const stored = session ? planOf(session) : firstPlan(today, grouping.groups.length)
    const added =
      add !== undefined &&
      session?.state !== 'running' &&
      stored.stations.every(({ gameId }) => gameId !== add)
    const plan: Plan = added
      ? { ...stored, stations: [...stored.stations, { gameId: add, mode: 'own' }], chosen: {} }
      : stored
    return {
      view: workOut(plan, grouping, children, inventory),
      session: session && { id: session.id, state: session.state },
      today,
      games: planGames(),
      added,
    }
  },
)

const planGames = () => games.map(({ id, title }) => ({ id, title }))

/** What a changed plan comes to; writes nothing. */
export const previewPlan = readingClass(
  classIdSchema.extend({ plan: planSchema }),
  async (scope, { plan }) => {
    const grouping = await standingGrouping(scope)
    const [children, inventory] = await Promise.all([childrenOf(scope), inventoryOf(scope)])
    return workOut(plan, grouping, children, inventory)
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
  const { visits } = workOut(plan, grouping, await childrenOf(scope))
  if (replaces) await deletePlanned(scope, replaces)
  await insertSession(scope, {
    id: sessionId,
    groupingId: grouping.id,
    day: plan.day,
    startsAt: plan.startsAt,
    slots: plan.slots,
    slotMinutes: plan.slotMinutes,
    state: 'planned',
    slot: 0,
    slotStartedAt: null,
    pausedAt: null,
    extraMinutes: 0,
    stations: plan.stations.map((station, position) => ({ ...station, position })),
    visits: visits.map(({ slot, station, group, levelId, sets }) => ({
      id: crypto.randomUUID(),
      slot,
      station,
      group,
      levelId,
      sets,
    })),
  })
  return { sessionId }
})

async function standingGrouping(scope: ClassScope): Promise<StoredGrouping> {
  const grouping = await groupingOf(scope)
  if (!grouping) throw new Refused('There are no groups yet. Make groups first.')
  return grouping
}
