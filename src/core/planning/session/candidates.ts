import { games, type AnyGame } from '../../games'
import { splitIntoSets } from '../../games/engine/sets'
import type { StrandId } from '../../skills'
import { schoolDaysBetween, type Day } from '../calendar'
import { usualCoolDown } from '../plan/problem'
import type { Figures, LevelsWithin, PlannedGroup, Room } from './context'
import { likingOf, type Habits } from './habits'
import { levelOfGroup, misfitOf, type GroupLevel } from './levels'
import { finishOf, likelyEnough } from './visits'

/** So many games that fit best are looked at closely, and the quietest: how long they take is the slow part. */
const lookedAt = 16
/** Strands not practised for so many school days are as fresh as any. */
const longAgo = 15

/** A game as groups could play it. */
export interface Candidate {
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

/** Games that all groups could play and that practise what the class has begun. */
export const candidatesFor = (
  groups: readonly PlannedGroup[],
  within: LevelsWithin,
  room: Room | null,
  figures: Figures,
): Candidate[] => games.flatMap((game) => candidateOf(game, groups, within, room, figures) ?? [])

/** Those that are worth to be looked at closely: the ones that fit best, and the quiet ones among those. */
export function lookedAtClosely(candidates: readonly Candidate[]): Candidate[] {
  const byFit = [...candidates].sort((a, b) => b.fit - a.fit)
  const quiet = byFit.filter(({ game }) => game.room.noise <= 1)
  return [...new Set([...byFit.slice(0, lookedAt), ...quiet.slice(0, lookedAt)])]
}

/** Not played in the last session. */
export function notLastTime(room: Room | null): (one: Candidate) => boolean {
  const last = lastDayOf(room)
  return ({ game }) => !playedOn(room, game.id, last)
}

/** Not played in the last session, nor so lately that it would come again soon. */
export function cooledDown(room: Room | null): (one: Candidate) => boolean {
  const fresh = notLastTime(room)
  return (one) => (one.ago === null || one.ago > usualCoolDown) && fresh(one)
}

/** Groups, by their place, for which a game would be a clash: it does not end in the slot, or is at nobody's level. */
export function misfits(
  { game, levels, at }: Candidate,
  groups: readonly PlannedGroup[],
  slotMinutes: number,
  figures: Figures,
): number[] {
  return groups.flatMap(({ pupils }, g) => {
    const sets = splitIntoSets(pupils.length, game.players)
    const finish = finishOf(game.id, levels[g], sets, slotMinutes, figures)
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
  within: LevelsWithin,
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
  const at = groups.map((group) => levelOfGroup(game.id, group, within, null, figures))
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

/** Fit counts most; then that it ends in the slot, that its strand was not practised of late, that its bag is packed, that it is liked. */
export function worthOf(
  { game, levels, fit, strand }: Candidate,
  groups: readonly PlannedGroup[],
  room: Room | null,
  slotMinutes: number,
  figures: Figures,
  habits: Habits,
): number {
  const ends = groups.map(({ pupils }, g) => {
    const sets = splitIntoSets(pupils.length, game.players)
    return finishOf(game.id, levels[g], sets, slotMinutes, figures) ?? 1
  })
  const finish =
    ends.reduce((sum, share) => sum + Math.min(1, share / likelyEnough), 0) / Math.max(1, ends.length)
  const practised = room?.practised[strand]
  const fresh = practised === undefined ? 1 : Math.min(1, schoolDaysBetween(practised, room!.day) / longAgo)
  // A bag that is packed and liking decide among games that are as good.
  const bagged = room?.bagged.includes(game.id) ? 0.3 : 0
  return 2 * fit + finish + 0.5 * fresh + bagged + 0.2 * (likingOf(habits, game.id) - 0.5)
}
