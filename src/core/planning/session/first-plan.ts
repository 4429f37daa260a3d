import { splitIntoSets } from '../../games/engine/sets'
import { arranged, modeAt, withFewestClashes } from './arrange'
import { againstInventory } from '../inventory'
import { addDays, weekday, type Day } from '../calendar'
import { materialsOf } from '../materials'
import { usualNoiseLimit } from '../plan/problem'
import { isPrinted } from '../../things'
import { comingTo, orderOfNeed } from './who-is-led'
import { usualAround } from '../timetable'
import {
  candidatesFor,
  cooledDown,
  lookedAtClosely,
  misfits,
  notLastTime,
  worthOf,
  type Candidate,
} from './candidates'
import type { Figures, PlanContext, PlannedGroup, Room } from './context'
import { atPace } from './paced'
import type { Plan, PlannedStation, SessionFrame } from './plan'
import { materialsAt } from './visits'

/** As many stations as groups, but no more than this: a class has so many tables and one adult. */
const mostStations = 6
/** Three rounds of twelve minutes fill a lesson. Common practice, no source. */
const usualFrame: SessionFrame = {
  startsAt: '10:15',
  slots: 3,
  slotMinutes: 12,
  around: usualAround,
  adults: 1,
}

/** Monday to Friday from today on. */
export function nextSchoolDay(today: Day): Day {
  return weekday(today) === 0 ? addDays(today, 1) : weekday(today) === 6 ? addDays(today, 2) : today
}

/**
 * A plan to start from, made for the class: a station for each group, adults at the first, games by how they fit the
 * groups, whether they end in the slot, what was practised least of late and what is on the shelf; none that was played
 * in the last session or within the cool-down, as long as there are others that go as well; on the round that suits the
 * groups best.
 * @param frame when and how long, and with how many adults: as the session before
 */
export function firstPlan(
  today: Day,
  { grouping, room, habits }: PlanContext,
  measured: Figures,
  newId: () => string,
  frame: SessionFrame = usualFrame,
): Plan {
  const figures = atPace(measured, habits.pace.factor)
  const groups = grouping.groups.filter(({ pupils }) => pupils.length > 0)
  const count = Math.max(1, Math.min(mostStations, groups.length))
  const candidates = candidatesFor(groups, grouping, room, figures)
  const chosen: Candidate[] = []
  /** The least noise that so many of the games make which may still be chosen. */
  const leastNoise = (of: readonly Candidate[], count: number) =>
    of
      .map(({ game }): number => game.room.noise)
      .sort((a, b) => a - b)
      .slice(0, count)
      .reduce((sum, noise) => sum + noise, 0)
  const [cooled, fresh] = [cooledDown(room), notLastTime(room)]
  const { slotMinutes, adults } = frame
  const goesWell = (one: Candidate) => misfits(one, groups, slotMinutes, figures).length * 2 <= groups.length
  // A game again soon is a lesser evil than one that most groups can't end, or that is at nobody's level.
  const rules: { allowed: (one: Candidate) => boolean; well: boolean }[] = [
    { allowed: cooled, well: true },
    { allowed: fresh, well: true },
    { allowed: cooled, well: false },
    { allowed: fresh, well: false },
    { allowed: () => true, well: false },
  ]
  for (const { allowed, well } of rules) {
    if (chosen.length === count) break
    const open = lookedAtClosely(candidates.filter((one) => allowed(one) && !chosen.includes(one))).filter(
      (one) => !well || goesWell(one),
    )
    const worth = new Map(open.map((one) => [one, worthOf(one, groups, room, slotMinutes, figures, habits)]))
    while (chosen.length < count) {
      const left = open.filter((one) => !chosen.includes(one))
      const possible = left.filter((one) =>
        goesWith(
          [...chosen, one],
          leastNoise(
            left.filter((other) => other !== one),
            count - chosen.length - 1,
          ),
          groups,
          room,
          adults,
        ),
      )
      if (possible.length === 0) break
      const value = (one: Candidate) =>
        worth.get(one)! - 0.4 * chosen.filter(({ strand }) => strand === one.strand).length
      chosen.push(possible.reduce((best, one) => (value(one) > value(best) + 1e-9 ? one : best)))
    }
  }
  const slots = Math.min(frame.slots, chosen.length)
  const places = comingTo(groups.length, chosen.length, slots, slots - 1).length
  const need = orderOfNeed(groups, room, places)
  const wrong = new Map<Candidate, number[]>()
  const seat = (games: readonly Candidate[]) =>
    arranged(games, groups, { slots, adults }, need, (one) => {
      const found = wrong.get(one) ?? misfits(one, groups, slotMinutes, figures)
      wrong.set(one, found)
      return found
    })
  const together = (games: readonly Candidate[]) => goesWith(games, 0, groups, room, adults)
  const { order, cells } = withFewestClashes(seat(chosen), seat, candidates.filter(cooled), together)
  const stations = order.map(({ game }, position): PlannedStation => ({
    id: newId(),
    gameId: game.id,
    mode: modeAt(position, adults),
    places: null,
  }))
  return {
    day: nextSchoolDay(today),
    ...frame,
    slots,
    stations,
    cells: cells.map(({ slot, groupId, station }) => ({
      slot,
      groupId,
      stationId: stations[station].id,
      pinned: false,
      levelId: null,
    })),
  }
}

/**
 * Whether these games go in one room: noise, the floor, the adults, what was counted on the shelf.
 * @param kept noise that is left for stations still to come
 */
function goesWith(
  all: readonly Candidate[],
  kept: number,
  groups: readonly PlannedGroup[],
  room: Room | null,
  adults: number,
): boolean {
  const sum = (of: (one: Candidate) => number) => all.reduce((total, one) => total + of(one), 0)
  if (sum(({ game }) => game.room.noise) + kept > usualNoiseLimit) return false
  if (sum(({ game }) => Number(game.room.floor === 3)) > 1) return false
  // An adult leads one game; what another one is near to can do without her.
  if (sum(({ game }) => Number(game.room.adult)) > Math.min(1, adults)) return false
  if (!room || Object.keys(room.inventory).length === 0) return true
  // Each group at each station once: the most that any slot needs is what all stations need at once.
  const demands = all.flatMap(({ game, levels }, station) =>
    groups.map(({ pupils }, g) => ({
      slot: g,
      station,
      materials: materialsAt(game.id, levels[g]),
      sets: splitIntoSets(pupils.length, game.players),
    })),
  )
  const needs = materialsOf(demands, all.length).all.filter(({ thing }) => !isPrinted(thing))
  return againstInventory(needs, room.inventory).every(({ short }) => short === 0)
}
