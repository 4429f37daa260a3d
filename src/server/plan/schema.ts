import { z } from 'zod'
import { gameIdSchema } from '@/core/games'
import { aroundSchema, noMinutesAround, usualAround } from '@/core/planning/timetable'
import { addDays, weekday, type Day } from '@/core/planning/calendar'
import type { StoredSession } from '@/data/queries/sessions'

const stationModes = ['adult-led', 'adult-near', 'own'] as const

/** A group in a slot, as `slot:group`, both counted from 0. */
export const cellKey = (slot: number, group: number) => `${slot}:${group}`
const cellSchema = z.string().regex(/^\d+:\d+$/)

export const planSchema = z.object({
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
  around: aroundSchema.default(noMinutesAround),
  /** Adults who can be at a station. */
  adults: z.number().int().min(0).max(10).default(1),
  stations: z
    .array(
      z.object({
        gameId: gameIdSchema,
        mode: z.enum(stationModes),
        /** Children who can be there at once; null: as many as come. */
        places: z
          .number()
          .int()
          .min(1, 'A station takes at least one child.')
          .max(60)
          .nullable()
          .default(null),
      }),
    )
    .min(1, 'A session needs at least one station.')
    .max(8, 'A session has at most eight stations.'),
  /** Station of each group in each slot; a cell left out is a gap. Left out: everybody moves on by one. */
  placed: z.record(cellSchema, z.number().int().min(0).max(7)).optional(),
  /** Cells the teacher chose: they stay when the rest is planned anew. */
  pinned: z.array(cellSchema).max(100).default([]),
  /** Levels the teacher chose herself, by cell; all others are those that fit. */
  chosen: z.record(cellSchema, z.string()).default({}),
})

export type Plan = z.infer<typeof planSchema>

/** Monday to Friday from today on. */
function nextSchoolDay(today: Day): Day {
  return weekday(today) === 0 ? addDays(today, 1) : weekday(today) === 6 ? addDays(today, 2) : today
}

/** Three stations with an adult at the first: a plan to start from. */
export function firstPlan(today: Day, groups: number): Plan {
  const all = [
    { gameId: 'landfall', mode: 'adult-led' as const, places: null },
    { gameId: 'tower-bay', mode: 'own' as const, places: null },
    { gameId: 'the-gap', mode: 'own' as const, places: null },
  ]
  const stations = all.slice(0, Math.max(1, Math.min(all.length, groups)))
  return {
    day: nextSchoolDay(today),
    startsAt: '10:15',
    slots: stations.length,
    slotMinutes: 12,
    around: usualAround,
    adults: 1,
    stations,
    pinned: [],
    chosen: {},
  }
}

/** The plan a session was kept with, every level as it was kept. */
export function planOf(session: StoredSession): Plan {
  const { day, startsAt, slots, slotMinutes, around, adults, stations, visits } = session
  const cells = visits.map(({ slot, group, ...visit }) => ({ ...visit, key: cellKey(slot, group) }))
  return {
    day,
    startsAt,
    slots,
    slotMinutes,
    around,
    adults,
    stations: stations.map(({ gameId, mode, places }) => ({ gameId, mode, places })),
    placed: Object.fromEntries(cells.map(({ key, station }) => [key, station])),
    pinned: cells.filter(({ pinned }) => pinned).map(({ key }) => key),
    chosen: Object.fromEntries(cells.map(({ key, levelId }) => [key, levelId])),
  }
}

/** The same to go on planning: levels follow what is believed of the children now, but for those the teacher chose. */
export function planToGoOn(session: StoredSession): Plan {
  const plan = planOf(session)
  const chosen = session.visits.filter(({ levelChosen }) => levelChosen)
  return {
    ...plan,
    chosen: Object.fromEntries(chosen.map(({ slot, group, levelId }) => [cellKey(slot, group), levelId])),
  }
}
