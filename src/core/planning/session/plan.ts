import { z } from 'zod'
import { gameIdSchema, gameOf } from '../../games'
import { rotate } from '../rotation'
import { aroundSchema, noMinutesAround } from '../timetable'

export const stationModes = ['adult-led', 'adult-near', 'own'] as const
export type StationMode = (typeof stationModes)[number]

const mostSlots = 6
const mostStations = 8
const mostGroupsPlanned = 20

const stationSchema = z.object({
  id: z.uuid(),
  gameId: gameIdSchema,
  mode: z.enum(stationModes),
  /** Children who can be there at once; null: as many as come. */
  places: z.number().int().min(1, 'A station takes at least one child.').max(60).nullable().default(null),
})

/** A group at a station in a slot. */
const cellSchema = z.object({
  slot: z.number().int().min(0),
  groupId: z.uuid(),
  stationId: z.uuid(),
  /** The teacher chose it: it stays when the rest is planned anew. */
  pinned: z.boolean().default(false),
  /** The level the teacher chose herself; null: the one that fits. */
  levelId: z.string().max(60).nullable().default(null),
})

/** One session as it is planned: when, which stations, and which group is where in which slot. */
export const planSchema = z
  .object({
    day: z.iso.date('Give the day as year-month-day.').refine(isOfThisCentury, 'Give a day of this century.'),
    startsAt: z
      .string()
      .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Give the start as hours and minutes, like 10:15.'),
    slots: z
      .number()
      .int()
      .min(1, 'A session needs at least one slot.')
      .max(mostSlots, 'A session has at most six slots.'),
    slotMinutes: z
      .number()
      .int()
      .min(5, 'A slot lasts at least 5 minutes.')
      .max(40, 'A slot lasts at most 40 minutes.'),
    around: aroundSchema.default(noMinutesAround),
    /** Adults who can be at a station. */
    adults: z.number().int().min(0).max(10).default(1),
    stations: z
      .array(stationSchema)
      .min(1, 'A session needs at least one station.')
      .max(mostStations, 'A session has at most eight stations.'),
    /** A group that has no cell in a slot has a gap there. Left out: everybody moves on by one. */
    cells: z
      .array(cellSchema)
      .max(mostSlots * mostGroupsPlanned)
      .optional(),
  })
  .superRefine(({ slots, stations, cells = [] }, context) => {
    const issue = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    const byId = new Map(stations.map((station) => [station.id, station]))
    if (byId.size < stations.length) issue(['stations'], 'Two stations are the same one.')
    const taken = new Set<string>()
    cells.forEach(({ slot, groupId, stationId, levelId }, i) => {
      if (slot >= slots) issue(['cells', i, 'slot'], `There are ${slots} slots.`)
      const station = byId.get(stationId)
      if (!station) issue(['cells', i, 'stationId'], 'There is no such station.')
      else if (levelId !== null && !gameOf(station.gameId).levels.some(({ id }) => id === levelId))
        issue(['cells', i, 'levelId'], `${gameOf(station.gameId).title} has no level “${levelId}”.`)
      const key = `${slot} ${groupId}`
      if (taken.has(key)) issue(['cells', i], 'A group is at two stations in one slot.')
      taken.add(key)
    })
  })

function isOfThisCentury(day: string): boolean {
  return day >= '2000-01-01' && day < '2100-01-01'
}

export type Plan = z.infer<typeof planSchema>

/** A session without what is played: when it begins, its slots and what is around them, and how many adults there are. */
export type SessionFrame = Pick<Plan, 'startsAt' | 'slots' | 'slotMinutes' | 'around' | 'adults'>
export type Cell = NonNullable<Plan['cells']>[number]
export type PlannedStation = Plan['stations'][number]
/** A plan in which it is said of every group where it is. */
export type PlacedPlan = Plan & { cells: Cell[] }

export const stationAt = ({ stations }: Pick<Plan, 'stations'>, id: string): PlannedStation =>
  stations.find((station) => station.id === id)!

/** The plan with a cell for every group that has one: those it names, or everybody moves on by one. */
export function placed(plan: Plan, groupIds: readonly string[]): PlacedPlan {
  const cells = plan.cells ?? everybodyMovesOn(plan, groupIds)
  // A group that is no more leaves no cell behind.
  return { ...plan, cells: cells.filter(({ groupId }) => groupIds.includes(groupId)) }
}

/** Everybody at the next station at each signal: cells to begin with. */
function everybodyMovesOn({ stations, slots }: Plan, groupIds: readonly string[]): Cell[] {
  return rotate(groupIds.length, stations.length, slots).map(({ slot, group, station }) => ({
    slot,
    groupId: groupIds[group],
    stationId: stations[station].id,
    pinned: false,
    levelId: null,
  }))
}
