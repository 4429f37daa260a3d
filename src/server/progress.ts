import { z } from 'zod'
import { suggest, usualCount, type MovingUp, type Suggestion } from '@/core/evidence/moving-up'
import { weigh } from '@/core/evidence/policies'
import { gameOf } from '@/core/games'
import { addDays, schoolDaysBetween, type Day } from '@/core/planning/calendar'
import { stepIndex, strandIds, topStep, type StepPlace, type StrandId } from '@/core/skills'
import { inSkipOrder } from '@/core/skills/skip-order'
import { bandsOf, lastPointsOf, type BandPoint } from '@/data/queries/estimates'
import { latestOf, seenLately, type SeenRow } from '@/data/queries/observations'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from './children'
import { classIdSchema } from './classes'
import { todayIn } from './clock'
import { beliefOf } from './estimates'
import { stepOfVisit } from './marks/marks'
import { NotHere, readingClass } from './use-case'

export interface ChildSuggestion {
  id: string
  name: string
  /** Position of the child's group; null: in none. */
  pennant: number | null
  strand: StrandId
  /** Id of the step. */
  step: string
  suggestion: Suggestion
}

/** The step a child is spoken of at: its group's, or with an own range, or in no group, the one it works on. */
function placeOfChild(
  { estimates }: Child,
  group: StoredGrouping['groups'][number] | undefined,
  grouping: StoredGrouping | null,
): StepPlace {
  if (group && grouping && grouping.mode !== 'mixed' && grouping.mode !== 'pairs')
    return stepOfVisit(grouping.gameId, group.levelId, grouping.strand)
  const strand = grouping?.strand ?? 'add'
  return { strand, step: estimates[strand].workingStep ?? topStep(strand) }
}

/** What the evidence says about each child at the step its group plays at. */
async function suggestionsFor(
  scope: ClassScope,
  children: readonly Child[],
  grouping: StoredGrouping | null,
  movingUp: MovingUp,
  today: Day,
): Promise<ChildSuggestion[]> {
  const placed = children.map((child) => {
    const group = grouping?.groups.find(({ pupils }) => pupils.includes(child.id))
    return { child, group, place: placeOfChild(child, group, grouping) }
  })
  const seen = await seenLately(
    scope,
    placed.map(({ child, place }) => ({ pupilId: child.id, strand: place.strand })),
  )
  return placed.map(({ child, group, place }) => {
    const own = seen.filter(({ pupilId }) => pupilId === child.id)
    const newest = Object.values(child.estimates)
      .flatMap(({ observations, day }) => (observations > 0 ? [day] : []))
      .sort()
      .at(-1)
    const estimate = child.estimates[place.strand]
    return {
      id: child.id,
      name: child.name,
      pennant: group?.pennant ?? null,
      ...place,
      suggestion: suggest(
        {
          step: stepIndex(place),
          secure: estimate.secure,
          struggling: estimate.struggling,
          seen: judgedOn(own, place.strand),
          daysSince: newest === undefined ? null : schoolDaysBetween(newest, today),
        },
        movingUp,
      ),
    }
  })
}

/** A child's judgements on a strand, with school days counted from a Monday long ago. */
const judgedOn = (seen: readonly SeenRow[], strand: StrandId) =>
  seen.map(({ step, judged, schoolDay }) => ({
    step: stepIndex({ strand, step }),
    judged,
    day: schoolDaysBetween('2000-01-03', schoolDay),
  }))

const order: Record<Suggestion['kind'], number> = { ready: 0, 'step-back': 1, 'another-look': 2, stay: 3 }

/** The most pressing first; children with nothing to say are left out. */
function pressing(suggestions: readonly ChildSuggestion[]): ChildSuggestion[] {
  return suggestions
    .filter(({ suggestion }) => suggestion.kind !== 'stay')
    .sort((a, b) => order[a.suggestion.kind] - order[b.suggestion.kind])
}

/** The class's suggestions, the most pressing first. */
export async function classSuggestions(
  scope: ClassScope,
  children: readonly Child[],
  grouping: StoredGrouping | null,
  movingUp: MovingUp,
  today: Day,
) {
  return pressing(await suggestionsFor(scope, children, grouping, movingUp, today))
}

/** A point of a band as a chart needs it. */
type DrawnPoint = Pick<BandPoint, 'day' | 'p10' | 'p50' | 'p90'>

/** Logits to three digits: finer than any chart draws, and a page of bands is mostly digits. */
const toDraw = (points: readonly BandPoint[]): DrawnPoint[] =>
  points.map(({ day, p10, p50, p90 }) => ({ day, p10: milli(p10), p50: milli(p50), p90: milli(p90) }))
const milli = (logits: number) => Math.round(logits * 1000) / 1000

/** Weeks that the small bands of a class show: a term. The page of a child goes back to the start. */
const weeksDrawn = 12

/** Bands of a term, a point a week; of a child that was not seen in it, where it stood last. */
async function classBands(scope: ClassScope, children: readonly Child[], strand: StrandId, today: Day) {
  const span = { dailyFrom: today, from: addDays(today, -7 * weeksDrawn) }
  const bands = await bandsOf(scope, { strand }, span)
  const drawn = new Set(bands.map(({ pupilId }) => pupilId))
  const unseen = children.filter(({ id, followed }) => followed.includes(strand) && !drawn.has(id))
  if (unseen.length === 0) return bands
  const last = await lastPointsOf(
    scope,
    strand,
    unseen.map(({ id }) => id),
  )
  return [...bands, ...last]
}

const progressSchema = classIdSchema.extend({ strand: z.enum(strandIds).optional() })

export interface ProgressPage {
  strand: StrandId
  suggestions: ChildSuggestion[]
  /** The class's way of deciding: what the suggestions come from. */
  movingUp: MovingUp
  children: { id: string; name: string; workingStep: string | null; band: DrawnPoint[] }[]
  /** Strands on which any child was placed or seen. */
  followed: StrandId[]
  hasGroups: boolean
  /** Weeks that the bands show. */
  weeks: number
  today: Day
}

/** Who may be ready, who needs another look, and each child's band over time on one strand. */
export const progressPage = readingClass(progressSchema, async (scope, input): Promise<ProgressPage> => {
  const today = todayIn(scope.classroom.timeZone)
  const [grouping, children, style] = await Promise.all([
    groupingOf(scope),
    childrenOf(scope),
    houseStyleOf(scope),
  ])
  const strand = input.strand ?? grouping?.strand ?? 'add'
  const bands = await classBands(scope, children, strand, today)
  return {
    strand,
    suggestions: await classSuggestions(scope, children, grouping, style.movingUp, today),
    movingUp: style.movingUp,
    children: children.map(({ id, name, estimates }) => ({
      id,
      name,
      workingStep: estimates[strand].workingStep,
      band: toDraw(bands.filter(({ pupilId }) => pupilId === id)),
    })),
    followed: inSkipOrder(strandIds, style.skipOrder).filter((id) =>
      children.some(({ followed }) => followed.includes(id)),
    ),
    hasGroups: grouping !== null,
    weeks: weeksDrawn,
    today,
  }
})

/** Records a child's page shows, the newest first. */
const mostRecords = 60

const childSchema = classIdSchema.extend({ pupilId: z.uuid() })

/** One child: band per strand over time and the evidence it rests on. */
export const childPage = readingClass(childSchema, async (scope, { pupilId }) => {
  const today = todayIn(scope.classroom.timeZone)
  const [children, grouping, bands, records, style] = await Promise.all([
    childrenOf(scope),
    groupingOf(scope),
    bandsOf(scope, { pupilId }, { dailyFrom: addDays(today, -28) }),
    latestOf(scope, pupilId, mostRecords),
    houseStyleOf(scope),
  ])
  const child = children.find(({ id }) => id === pupilId)
  if (!child) throw new NotHere()
  const [suggestion] = await suggestionsFor(scope, [child], grouping, style.movingUp, today)
  const { strand, step } = suggestion
  const [own, full] = await Promise.all([
    seenLately(scope, [{ pupilId, strand }]),
    beliefOf(scope, pupilId, strand),
  ])
  const group = grouping?.groups.find(({ pupils }) => pupils.includes(pupilId))
  return {
    child: { id: child.id, name: child.name },
    suggestion,
    weighed:
      full &&
      weigh(
        full.belief,
        full.difficulties,
        { step: stepIndex({ strand, step }), seen: judgedOn(own, strand) },
        style.movingUp.by === 'count' ? style.movingUp : usualCount,
      ),
    movingUp: style.movingUp,
    group:
      group && grouping
        ? {
            pennant: group.pennant,
            game: gameOf(grouping.gameId).title,
            level: gameOf(grouping.gameId).levels.find(({ id }) => id === group.levelId)?.title ?? '',
          }
        : null,
    // The strand that is spoken of comes first.
    strands: [strand, ...child.followed.filter((id) => id !== strand)].map((id) => ({
      strand: id,
      estimate: child.estimates[id],
      band: toDraw(bands.filter(({ strand }) => strand === id)),
    })),
    records: records.map(({ id, strand, step, judged, right, of, schoolDay }) => ({
      id,
      strand,
      step,
      judged,
      right,
      of,
      schoolDay,
    })),
    /** There may be more records than are shown. */
    more: records.length === mostRecords,
    today,
  }
})
