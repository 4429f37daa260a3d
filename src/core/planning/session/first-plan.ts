import { ownBand } from '../../evidence/fit'
import { games, type AnyGame } from '../../games'
import { splitIntoSets } from '../../games/engine/sets'
import { fitCost } from '../../grouping/problem/fit-cost'
import type { StrandId } from '../../skills'
import { againstInventory } from '../inventory'
import { addDays, schoolDaysBetween, weekday, type Day } from '../calendar'
import { materialsOf } from '../materials'
import { rotate } from '../rotation'
import { usualCoolDown, usualNoiseLimit } from '../plan/problem'
import { isPrinted } from '../../things'
import { usualAround } from '../timetable'
import type { Figures, PlanContext, PlannedGroup, Room } from './context'
import { likingOf, type Habits } from './habits'
import { atPace } from './paced'
import { levelOfGroup, misfitOf, type GroupLevel } from './levels'
import type { Cell, Plan, PlannedStation } from './plan'
import { finishOf, likelyEnough, materialsAt } from './visits'
import { bestRound } from './who-begins-where'

/** As many stations as groups, but no more than this: a class has so many tables and one adult. */
const mostStations = 6
/** Three rounds of twelve minutes fill a lesson. Common practice, no source. */
const usualSlots = 3
const usualSlotMinutes = 12
/** So many games that fit best are looked at closely, and the quietest: how long they take is the slow part. */
const lookedAt = 16
/** Strands not practised for so many school days are as fresh as any. */
const longAgo = 15

/** Monday to Friday from today on. */
export function nextSchoolDay(today: Day): Day {
  return weekday(today) === 0 ? addDays(today, 1) : weekday(today) === 6 ? addDays(today, 2) : today
}

interface Candidate {
  game: AnyGame
  /** Along the groups: the level that fits each, or the first for a group without children. */
  levels: string[]
  /** Of all children those in their zone there, as a share. */
  fit: number
  at: GroupLevel[]
  /** The strand it practises most for these groups. */
  strand: StrandId
  /** School days since any group played it; null: never. */
  ago: number | null
}

/**
 * A plan to start from, made for the class: a station for each group, an adult at the first, games by how they fit the
 * groups, whether they end in the slot, what was practised least of late and what is on the shelf; none that was played
 * in the last session or within the cool-down, as long as there are others that go as well; on the round that suits the
 * groups best.
 */
export function firstPlan(
  today: Day,
  { grouping, room, habits }: PlanContext,
  measured: Figures,
  newId: () => string,
): Plan {
  const figures = atPace(measured, habits.pace.factor)
  const groups = grouping.groups.filter(({ pupils }) => pupils.length > 0)
  const count = Math.max(1, Math.min(mostStations, groups.length))
  const candidates = games.flatMap((game) => candidateOf(game, groups, grouping.mode, room, figures) ?? [])
  const chosen: Candidate[] = []
  /** The least noise that so many of the games make which may still be chosen. */
  const leastNoise = (of: readonly Candidate[], count: number) =>
    of
      .map(({ game }): number => game.room.noise)
      .sort((a, b) => a - b)
      .slice(0, count)
      .reduce((sum, noise) => sum + noise, 0)
  const near = lastDayOf(room)
  const cooledDown = ({ game, ago }: Candidate) =>
    (ago === null || ago > usualCoolDown) && !playedOn(room, game.id, near)
  const notLastTime = ({ game }: Candidate) => !playedOn(room, game.id, near)
  const goesWell = (one: Candidate) => misfits(one, groups, figures).length * 2 <= groups.length
  // A game again soon is a lesser evil than one that most groups can't end, or that is at nobody's level.
  const rules: { allowed: (one: Candidate) => boolean; well: boolean }[] = [
    { allowed: cooledDown, well: true },
    { allowed: notLastTime, well: true },
    { allowed: cooledDown, well: false },
    { allowed: notLastTime, well: false },
    { allowed: () => true, well: false },
  ]
  for (const { allowed, well } of rules) {
    if (chosen.length === count) break
    const byFit = candidates
      .filter((one) => allowed(one) && !chosen.includes(one))
      .sort((a, b) => b.fit - a.fit)
    const quiet = byFit.filter(({ game }) => game.room.noise <= 1)
    const open = [...new Set([...byFit.slice(0, lookedAt), ...quiet.slice(0, lookedAt)])].filter(
      (one) => !well || goesWell(one),
    )
    const worth = new Map(open.map((one) => [one, worthOf(one, groups, room, figures, habits)]))
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
        ),
      )
      if (possible.length === 0) break
      const value = (one: Candidate) =>
        worth.get(one)! - 0.4 * chosen.filter(({ strand }) => strand === one.strand).length
      chosen.push(possible.reduce((best, one) => (value(one) > value(best) + 1e-9 ? one : best)))
    }
  }
  const adultFirst = [...chosen].sort((a, b) => Number(b.game.room.adult) - Number(a.game.room.adult))
  const stations = adultFirst.map(({ game }, position): PlannedStation => ({
    id: newId(),
    gameId: game.id,
    mode: position === 0 ? 'adult-led' : 'own',
    places: null,
  }))
  const slots = Math.min(usualSlots, stations.length)
  return {
    day: nextSchoolDay(today),
    startsAt: '10:15',
    slots,
    slotMinutes: usualSlotMinutes,
    around: usualAround,
    adults: 1,
    stations,
    cells: cellsOf(adultFirst, stations, groups, slots, figures),
  }
}

/** What a visit costs that is a clash; more than any misfit that is none. */
const clashCost = 100

/** Who is where when: everybody moves on by one, on the round that suits the groups best. */
function cellsOf(
  chosen: readonly Candidate[],
  stations: readonly PlannedStation[],
  groups: readonly PlannedGroup[],
  slots: number,
  figures: Figures,
): Cell[] {
  const wrong = chosen.map((one) => misfits(one, groups, figures))
  const cost = groups.map((_, g) =>
    chosen.map(({ at }, s) => (wrong[s].includes(g) ? clashCost : 0) + fitCost(at[g].success, ownBand)),
  )
  const round = bestRound(cost, slots)
  return rotate(groups.length, stations.length, slots).map(({ slot, group, station }) => ({
    slot,
    groupId: groups[group].id,
    stationId: stations[round[station]].id,
    pinned: false,
    levelId: null,
  }))
}

/** Groups, by their place, for which a game would be a clash: it does not end in the slot, or is at nobody's level. */
function misfits(
  { game, levels, at }: Candidate,
  groups: readonly PlannedGroup[],
  figures: Figures,
): number[] {
  return groups.flatMap(({ pupils }, g) => {
    const sets = splitIntoSets(pupils.length, game.players)
    const finish = finishOf(game.id, levels[g], sets, usualSlotMinutes, figures)
    return (finish !== null && finish < likelyEnough) || misfitOf(at[g], pupils.length) !== null ? [g] : []
  })
}

/** The day of the last session, if there was one. */
const lastDayOf = (room: Room | null): Day | null =>
  room?.played.reduce<Day | null>((last, { day }) => (last === null || day > last ? day : last), null) ?? null

const playedOn = (room: Room | null, gameId: string, day: Day | null) =>
  day !== null && (room?.played.some((one) => one.gameId === gameId && one.day === day) ?? false)

/** Null: these groups can't play it, or it practises what the class has not begun. */
function candidateOf(
  game: AnyGame,
  groups: readonly PlannedGroup[],
  mode: PlanContext['grouping']['mode'],
  room: Room | null,
  figures: Figures,
): Candidate | null {
  if (game.room.whole) return null
  const playable = groups.every(({ pupils }) =>
    splitIntoSets(pupils.length, game.players).every(
      (size) => size >= game.players.min && size <= game.players.max,
    ),
  )
  if (!playable) return null
  const at = groups.map((group) => levelOfGroup(game.id, group, mode, null, figures))
  const levels = at.map(({ level }) => game.levels[level].id)
  const shares = new Map<StrandId, number>()
  for (const level of levels)
    for (const { strand, share } of figures.profile(game.id, level))
      shares.set(strand, (shares.get(strand) ?? 0) + share)
  if (shares.size === 0) return null
  const [strand] = [...shares].reduce((most, entry) => (entry[1] > most[1] ? entry : most))
  if (room && room.begun.length > 0 && !room.begun.includes(strand)) return null
  const children = groups.reduce((sum, { pupils }) => sum + pupils.length, 0)
  const played = room?.played.filter(({ gameId }) => gameId === game.id) ?? []
  return {
    game,
    levels,
    at,
    fit: at.reduce((sum, { fitting }) => sum + fitting, 0) / Math.max(1, children),
    strand,
    ago:
      played.length === 0
        ? null
        : Math.min(...played.map(({ day }) => Math.max(0, schoolDaysBetween(day, room!.day)))),
  }
}

/** Fit counts most; then that it ends in the slot; then that its strand was not practised of late; then that it is liked. */
function worthOf(
  { game, levels, fit, strand }: Candidate,
  groups: readonly PlannedGroup[],
  room: Room | null,
  figures: Figures,
  habits: Habits,
): number {
  const ends = groups.map(({ pupils }, g) => {
    const sets = splitIntoSets(pupils.length, game.players)
    return finishOf(game.id, levels[g], sets, usualSlotMinutes, figures) ?? 1
  })
  const finish =
    ends.reduce((sum, share) => sum + Math.min(1, share / likelyEnough), 0) / Math.max(1, ends.length)
  const practised = room?.practised[strand]
  const fresh = practised === undefined ? 1 : Math.min(1, schoolDaysBetween(practised, room!.day) / longAgo)
  // Liking decides among games that are as good.
  return 2 * fit + finish + 0.5 * fresh + 0.2 * (likingOf(habits, game.id) - 0.5)
}

/**
 * Whether these games go in one room: noise, the floor, one adult, what was counted on the shelf.
 * @param kept noise that is left for stations still to come
 */
function goesWith(
  all: readonly Candidate[],
  kept: number,
  groups: readonly PlannedGroup[],
  room: Room | null,
): boolean {
  const sum = (of: (one: Candidate) => number) => all.reduce((total, one) => total + of(one), 0)
  if (sum(({ game }) => game.room.noise) + kept > usualNoiseLimit) return false
  if (sum(({ game }) => Number(game.room.floor === 3)) > 1) return false
  if (sum(({ game }) => Number(game.room.adult)) > 1) return false
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
