import { z } from 'zod'
import type { Analysis } from '@/core/analysis/analyse'
import type { LevelMeasure } from '@/core/analysis/level-measure'
import { mayOfferToMost, type Beginner } from '@/core/evidence/begun'
import { markedStep } from '@/core/evidence/fit'
import type { YearGroup } from '@/core/evidence/prior'
import { games, type AnyGame } from '@/core/games'
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
import { levelMeasure, levelProfile, levelUse } from '../figures'
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
  fits: boolean
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

/** What may be offered is asked of a child as it was listed. */
const beginner = ({ followed, listed }: Child): Beginner => ({ followed, yearGroup: listed.yearGroup })

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
    levelOfGroup(gameId, { pupils: children, pairs }, { mode, ownLevels }, level, { profile: levelProfile })
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
    const worked = workedOn(style)
    const chosen = chosenGroup(grouping, children, filter.group)
    const offeredTo = (chosen?.children ?? children).map(beginner)
    const rows = games.map((game): GameRow => {
      const allowed = game.levels.flatMap(({ id }, index) => {
        const measure = levelMeasure(game.id, id)
        // Who asks for a strand by its name need not wait until it is begun, or worked on.
        const mayBe =
          filter.strand !== null ||
          (worked.includes(markedStep(measure.marked).strand) && mayOfferToMost(measure, offeredTo))
        return suits(measure, filter) && mayBe ? [index] : []
      })
      const at = chosen && levelFor(game.id, chosen, style, allowed)
      const { id: levelId, title } = game.levels[at?.level ?? allowed[0] ?? 0]
      const { players: setOf, to, method, minutes: measured, within } = levelMeasure(game.id, levelId)
      const minutes = measured && timesPace(measured, pace.factor)
      const { needs, around } = levelUse(game.id, levelId, setOf)
      const setAside = pace.factor * around
      const playing = Math.max(0, filter.slotMinutes - setAside)
      const finishInSlot = shareWithin(within[setOf], playing / pace.factor) ?? 1
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
        fits:
          allowed.length > 0 &&
          suitsRoom(game, needs, filter) &&
          (!game.room.timed || !tooYoungForTheClock.includes(scope.classroom.yearGroup)) &&
          finishInSlot >= likelyEnough &&
          (at === null || at.fitting * 2 >= chosen!.children.length),
        starter: starters.includes(game.id),
      }
    })
    return {
      rows,
      groups: (grouping?.groups ?? []).map(({ pennant }) => pennant),
      filter: { ...filter, group: chosen ? filter.group : null },
      pace,
    }
  },
)

/** Whether a level practises what is asked for, within the range. */
function suits({ steps, to }: LevelMeasure, { strand, to: most }: GamesFilter): boolean {
  const share = steps.filter((step) => step.strand === strand).reduce((sum, step) => sum + step.share, 0)
  return (strand === null || share >= worthPractising) && (most === null || to <= most)
}

/** From this share of its items on a level counts as practising a strand. */
const worthPractising = 0.25

/** Timed tasks worry younger children. */
const tooYoungForTheClock: YearGroup[] = ['Reception', 'Year 1']

/** Whether a game suits the room: what has to be found, who plays, who is near, how loud it gets. */
function suitsRoom({ players, room }: AnyGame, items: readonly string[], filter: GamesFilter): boolean {
  if (filter.needs === 'no-dice' && items.some((item) => /\bdie\b/.test(item))) return false
  if (
    filter.needs === 'no-print' &&
    items.some((item) => /sheet|board|card|track|strip|grid|mat\b|path/.test(item))
  )
    return false
  if (filter.players !== null && (filter.players < players.min || filter.players > players.max)) return false
  if (filter.adult === 'none' && room.adult) return false
  return room.noise <= filter.noise
}
