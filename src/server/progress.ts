import { z } from 'zod'
import { suggest, type Suggestion } from '@/core/evidence/moving-up'
import { gameOf } from '@/core/games'
import { schoolDaysBetween, type Day } from '@/core/planning/calendar'
import { strandIds, strands, type StrandId } from '@/core/skills'
import { bandsOf, observationsOf, seenInClass, type BandPoint, type SeenRow } from '@/data/queries/evidence'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import type { EstimateRow } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from './children'
import { classIdSchema } from './classes'
import { todayIn } from './clock'
import { stepOfVisit } from './run'
import { NotHere, readingClass } from './use-case'

export interface ChildSuggestion {
  id: string
  name: string
  /** Position of the child's group; null: in none. */
  pennant: number | null
  strand: StrandId
  step: number
  suggestion: Suggestion
}

/** What the evidence says about each child at the step its group plays at. */
function suggestionsFor(
  children: readonly Child[],
  seen: readonly SeenRow[],
  grouping: StoredGrouping | null,
  today: Day,
): ChildSuggestion[] {
  return children.map((child) => {
    const group = grouping?.groups.find(({ pupils }) => pupils.includes(child.id))
    const place =
      group && grouping
        ? stepOfVisit(grouping.gameId, group.levelId, grouping.strand)
        : { strand: 'add' as StrandId, step: child.estimates.add.workingStep ?? 0 }
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
      suggestion: suggest({
        step: place.step,
        secure: estimate.secure,
        struggling: estimate.struggling,
        seen: own
          .filter(({ strand }) => strand === place.strand)
          .map(({ step, judged, schoolDay }) => ({
            step,
            judged,
            day: schoolDaysBetween('2000-01-03', schoolDay),
          })),
        daysSince: newest === undefined ? null : schoolDaysBetween(newest, today),
      }),
    }
  })
}

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
  children: Child[],
  grouping: StoredGrouping | null,
) {
  return pressing(
    suggestionsFor(children, await seenInClass(scope), grouping, todayIn(scope.classroom.timeZone)),
  )
}

const progressSchema = classIdSchema.extend({ strand: z.enum(strandIds).optional() })

export interface ProgressPage {
  strand: StrandId
  suggestions: ChildSuggestion[]
  children: { id: string; name: string; estimate: EstimateRow; band: BandPoint[] }[]
  hasGroups: boolean
  today: Day
}

/** Who may be ready, who needs another look, and each child's band over time on one strand. */
export const progressPage = readingClass(progressSchema, async (scope, input): Promise<ProgressPage> => {
  const grouping = await groupingOf(scope)
  const strand = input.strand ?? grouping?.strand ?? 'add'
  const children = await childrenOf(scope)
  const bands = await bandsOf(scope, { strand })
  return {
    strand,
    suggestions: await classSuggestions(scope, children, grouping),
    children: children.map(({ id, name, estimates }) => ({
      id,
      name,
      estimate: estimates[strand],
      band: bands.filter(({ pupilId }) => pupilId === id),
    })),
    hasGroups: grouping !== null,
    today: todayIn(scope.classroom.timeZone),
  }
})

const childSchema = classIdSchema.extend({ pupilId: z.uuid() })

/** One child: band per strand over time and the evidence it rests on. */
export const childPage = readingClass(childSchema, async (scope, { pupilId }) => {
  const children = await childrenOf(scope)
  const child = children.find(({ id }) => id === pupilId)
  if (!child) throw new NotHere()
  const grouping = await groupingOf(scope)
  const [suggestion] = suggestionsFor(
    [child],
    (await seenInClass(scope)).filter((row) => row.pupilId === pupilId),
    grouping,
    todayIn(scope.classroom.timeZone),
  )
  const bands = await bandsOf(scope, { pupilId })
  const records = await observationsOf(scope, [pupilId])
  const group = grouping?.groups.find(({ pupils }) => pupils.includes(pupilId))
  return {
    child: { id: child.id, name: child.name },
    suggestion,
    group:
      group && grouping
        ? {
            pennant: group.pennant,
            game: gameOf(grouping.gameId).title,
            level: gameOf(grouping.gameId).levels.find(({ id }) => id === group.levelId)?.title ?? '',
          }
        : null,
    strands: strands.map(({ id }) => ({
      strand: id,
      estimate: child.estimates[id],
      band: bands.filter(({ strand }) => strand === id),
    })),
    records: records
      .map(({ id, strand, step, judged, right, of, schoolDay }) => ({
        id,
        strand,
        step,
        judged,
        right,
        of,
        schoolDay,
      }))
      .reverse(),
    today: todayIn(scope.classroom.timeZone),
  }
})
