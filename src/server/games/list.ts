import { z } from 'zod'
import type { Analysis } from '@/core/analysis/analyse'
import type { LevelMeasure } from '@/core/analysis/level-measure'
import { mayOfferToMost } from '@/core/evidence/begun'
import { markedStep } from '@/core/skills/marked-step'
import type { YearGroup } from '@/core/evidence/prior'
import { games, usualLevel, type AnyGame } from '@/core/games'
import type { InZone } from '@/core/grouping/in-zone'
import { workedOn, type HouseStyle } from '@/core/house-style'
import { levelOfGroup, type GroupLevel } from '@/core/planning/session/levels'
import type { PlannedGroup } from '@/core/planning/session/context'
import { strandIds } from '@/core/skills'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { childrenOf, type Child } from '../children'
import { classIdSchema } from '../classes'
import { habitsOf } from '../habits'
import { levelMeasure, practised, levelUse } from '../figures'
import { readingClass } from '../use-case'
import { shareWithin, timesPace } from './minutes'

const gamesFilterSchema = classIdSchema.extend({
  /** Pennant of a group, by which it goes on through versions; null: any children. */
  group: z.number().int().min(0).nullable().default(null),
  slotMinutes: z.number().int().min(3).max(60).default(12),
  needs: z.enum(['any', 'no-dice', 'no-print']).default('any'),
  /** What is practised most. */
  strand: z.enum(strandIds).nullable().default(null),
  /** The largest number that may be met. */
  to: z.number().int().min(5).max(1000).nullable().default(null),
  /** Children who play together; null: any number. */
  players: z.number().int().min(1).max(34).nullable().default(null),
  adult: z.enum(['any', 'none']).default('any'),
  /** The loudest that is welcome. */
  noise: z.number().int().min(0).max(3).default(3),
})

export type GamesFilter = Omit<z.output<typeof gamesFilterSchema>, 'classId'>

/** Why a game does not fit what is asked for. */
export type Against =
  | 'strand'
  | 'range'
  /** No level is of a strand that the children have begun and the class works on. */
  | 'not-begun'
  | 'players'
  | 'adult'
  | 'noise'
  | 'needs'
  /** Against time, and the class is too young for that. */
  | 'year'
  | 'slot'
  /** At no level allowed is half of the group in its zone. */
  | 'group'

export interface GameRow {
  id: string
  title: string
  summary: string
  level: string
  levelId: string
  players: { min: number; max: number }
  setOf: number
  /** From sitting down to packed up; null: the time ends it. */
  minutes: { p10: number; p50: number; p90: number; finishInSlot: number; method: Analysis['method'] } | null
  /** The largest number met. */
  to: number
  needs: string[]
  /** Children of the group inside their zone at the level; null where no group is chosen. */
  fitting: InZone | null
  /** Children of the group who play at another level than the group. */
  own: number
  /** What stands against it; empty: it fits. */
  against: Against[]
  /** Tried and quick to lay out: what a new user sees first. */
  starter: boolean
}

/** Eight to begin with: short, little to prepare, every strand of the first years. */
const starters = [
  'landfall',
  'tower-bay',
  'the-gap',
  'frame-up',
  'tens-catch',
  'bigger-haul',
  'perch',
  'two-halves',
]

const likelyEnough = 0.8

/** A group with its children who are still in the class, and how levels are given within it. */
interface ChosenGroup {
  children: Child[]
  pairs: PlannedGroup['pairs']
  mode: StoredGrouping['mode']
}

function chosenGroup(
  grouping: StoredGrouping | null,
  children: readonly Child[],
  pennant: number | null,
): ChosenGroup | null {
  const group = grouping?.groups.find((one) => one.pennant === pennant)
  if (!grouping || !group) return null
  const present = children.filter(({ id }) => group.pupils.includes(id))
  return { children: present, pairs: present.map(({ id }) => group.pairs[id] ?? null), mode: grouping.mode }
}

/**
 * What a group comes to at a game, at the levels a plan gives it. Where the filter does not allow one of these, all play at
 * the group's, or at the level of those allowed that brings most into their zone.
 */
function levelFor(
  gameId: string,
  { children, pairs, mode }: ChosenGroup,
  { ownLevels }: HouseStyle,
  allowed: readonly number[],
): GroupLevel {
  const at = (level: number | null) =>
    levelOfGroup(gameId, { pupils: children, pairs }, { mode, ownLevels }, level, practised)
  const usual = at(null)
  if (allowed.length === 0) return usual
  const played = [usual.level, ...(usual.own ?? [])]
  if (played.every((level) => allowed.includes(level))) return usual
  if (allowed.includes(usual.level)) return at(usual.level)
  return allowed.map(at).reduce((best, one) => (one.fitting > best.fitting ? one : best))
}

/** Every game, measured for a group and a slot, at the level that fits and that the filter allows. */
export const gamesPage = readingClass(
  'gamesPage',
  gamesFilterSchema,
  async (scope, { classId: _classId, ...filter }) => {
    const [grouping, children, { pace }, style] = await Promise.all([
      groupingOf(scope),
      childrenOf(scope),
      habitsOf(scope),
      houseStyleOf(scope),
    ])
    const known = { grouping, children, pace, style, yearGroup: scope.classroom.yearGroup }
    const rows = rowsFor(known, filter)
    return {
      rows,
      instead: rows.some(({ against }) => against.length === 0) ? [] : insteadOf(known, filter),
      groups: (grouping?.groups ?? []).map(({ pennant }) => pennant),
      filter: { ...filter, group: chosenGroup(grouping, children, filter.group) ? filter.group : null },
      pace,
    }
  },
)

/** What games are held against beside the filter. */
interface Known {
  grouping: StoredGrouping | null
  children: readonly Child[]
  pace: { factor: number }
  style: HouseStyle
  yearGroup: YearGroup
}

/** A wish given up, with how many games fit then. */
export interface Instead {
  wish: keyof GamesFilter
  games: number
}

/** The longest slot there usually is. */
const longestSlot = 25

const noWishes: GamesFilter = {
  group: null,
  slotMinutes: longestSlot,
  needs: 'any',
  strand: null,
  to: null,
  players: null,
  adult: 'any',
  noise: 3,
}

/** Where nothing fits: which one wish, given up, would bring games, the most first. */
function insteadOf(known: Known, filter: GamesFilter): Instead[] {
  return (Object.keys(noWishes) as (keyof GamesFilter)[])
    .filter((wish) =>
      wish === 'slotMinutes' ? filter.slotMinutes < longestSlot : filter[wish] !== noWishes[wish],
    )
    .map((wish) => {
      const rows = rowsFor(known, { ...filter, [wish]: noWishes[wish] })
      return { wish, games: rows.filter(({ against }) => against.length === 0).length }
    })
    .filter(({ games: found }) => found > 0)
    .sort((a, b) => b.games - a.games)
}

function rowsFor({ grouping, children, pace, style, yearGroup }: Known, filter: GamesFilter): GameRow[] {
  const worked = workedOn(style)
  const chosen = chosenGroup(grouping, children, filter.group)
  const offeredTo = chosen?.children ?? children
  return games.map((game): GameRow => {
    const measures = game.levels.map(({ id }) => levelMeasure(game.id, id))
    const allowed = measures.flatMap((measure, index) => {
      // Who asks for a strand by its name need not wait until it is begun, or worked on.
      const mayBe =
        filter.strand !== null ||
        (worked.includes(markedStep(measure.marked).strand) && mayOfferToMost(measure, offeredTo))
      return practises(measure, filter) && within(measure, filter) && mayBe ? [index] : []
    })
    const at = chosen && levelFor(game.id, chosen, style, allowed)
    const usual = game.levels.indexOf(usualLevel(game))
    const level = at?.level ?? (allowed.includes(usual) ? usual : (allowed[0] ?? usual))
    const { id: levelId, title } = game.levels[level]
    const { players: setOf, to, method, minutes: measured, within: ends } = levelMeasure(game.id, levelId)
    const minutes = measured && timesPace(measured, pace.factor)
    const { needs, around } = levelUse(game.id, levelId, setOf)
    const setAside = pace.factor * around
    const playing = Math.max(0, filter.slotMinutes - setAside)
    const finishInSlot = shareWithin(ends[setOf], playing / pace.factor) ?? 1
    return {
      id: game.id,
      title: game.title,
      summary: game.summary,
      level: title,
      levelId,
      players: game.players,
      setOf,
      minutes: minutes && {
        p10: minutes.p10 + setAside,
        p50: minutes.p50 + setAside,
        p90: minutes.p90 + setAside,
        finishInSlot,
        method,
      },
      to,
      needs,
      fitting: at && at.zone,
      own: at?.own?.filter((level) => level !== at.level).length ?? 0,
      against: [
        ...(allowed.length > 0 ? [] : [whyNoLevel(measures, filter)]),
        ...againstRoom(game, needs, filter),
        ...(game.room.timed && tooYoungForTheClock.includes(yearGroup) ? ['year' as const] : []),
        ...(finishInSlot < likelyEnough ? ['slot' as const] : []),
        ...(chosen && at && at.fitting * 2 < chosen.children.length ? ['group' as const] : []),
      ],
      starter: starters.includes(game.id),
    }
  })
}

/** Whether a level practises what is asked for. */
function practises({ steps }: LevelMeasure, { strand }: GamesFilter): boolean {
  const share = steps.filter((step) => step.strand === strand).reduce((sum, step) => sum + step.share, 0)
  return strand === null || share >= worthPractising
}

/** Whether its numbers stay within the range. */
const within = ({ to }: LevelMeasure, { to: most }: GamesFilter) => most === null || to <= most

/** Why a game has no level that may be offered. */
function whyNoLevel(measures: readonly LevelMeasure[], filter: GamesFilter): Against {
  const practising = measures.filter((measure) => practises(measure, filter))
  if (practising.length === 0) return 'strand'
  return practising.some((measure) => within(measure, filter)) ? 'not-begun' : 'range'
}

/** From this share of its items on a level counts as practising a strand. */
const worthPractising = 0.25

/** Timed tasks worry younger children. */
const tooYoungForTheClock: YearGroup[] = ['Reception', 'Year 1']

/** What the room has against a game: what has to be found, who plays, who is near, how loud it gets. */
function againstRoom({ players, room }: AnyGame, items: readonly string[], filter: GamesFilter): Against[] {
  const unwanted = filter.needs === 'no-dice' ? dice : filter.needs === 'no-print' ? printed : null
  const found: [Against, boolean][] = [
    ['players', filter.players !== null && (filter.players < players.min || filter.players > players.max)],
    ['adult', filter.adult === 'none' && room.adult],
    ['noise', room.noise > filter.noise],
    ['needs', unwanted !== null && items.some((item) => unwanted.test(item))],
  ]
  return found.flatMap(([against, stands]) => (stands ? [against] : []))
}

const dice = /\bdie\b/
const printed = /sheet|board|card|track|strip|grid|mat\b|path/
