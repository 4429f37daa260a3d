import type { How } from '@/core/evidence/mark'
import type { Judgement } from '@/core/evidence/observation'
import type { NoteTag } from '@/core/evidence/note'
import { eachItsOwn } from '@/core/grouping/making/mode'
import { strategiesFor } from '@/core/skills/strategies'
import { z } from 'zod'
import { usualCount, type MovingUp } from '@/core/evidence/moving-up'
import { weigh } from '@/core/evidence/policies'
import { gameOf } from '@/core/games'
import { addDays, type Day } from '@/core/planning/calendar'
import { stepIndex, strandIds, type StepPlace, type StrandId } from '@/core/skills'
import { inSkipOrder } from '@/core/skills/skip-order'
import { bandsOf, lastPointsOf, type BandPoint } from '@/data/queries/estimates'
import {
  latestOf,
  saidBefore,
  seenLately,
  takenBackOf,
  type ObservationRow,
} from '@/data/queries/observations'
import { groupingOf } from '@/data/queries/groupings'
import { notesOf } from '@/data/queries/notes'
import { houseStyleOf } from '@/data/queries/house-style'
import { sessionOf } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from './children'
import { classIdSchema } from './classes'
import { todayIn } from './clock'
import { beliefOf } from './estimates'
import { classSuggestions, judgedOn, suggestionsFor, type ChildSuggestion } from './suggestions'
import { NotHere, readingClass } from './use-case'

/** A point of a band as a chart needs it: day, 10 %, 50 % and 90 % in logits. Bare, for a page of bands holds hundreds. */
export type DrawnPoint = readonly [day: Day, p10: number, p50: number, p90: number]

/** Logits to three digits: finer than any chart draws, and a page of bands is mostly digits. */
const toDraw = (points: readonly BandPoint[]): DrawnPoint[] =>
  points.map(({ day, p10, p50, p90 }) => [day, milli(p10), milli(p50), milli(p90)])
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

const progressSchema = classIdSchema.extend({
  strand: z.enum(strandIds).optional(),
  /** The session that has just ended, as the address says. */
  ended: z.uuid().optional().catch(undefined),
})

export interface ProgressPage {
  strand: StrandId
  suggestions: ChildSuggestion[]
  /** The class's way of deciding: what the suggestions come from. */
  movingUp: MovingUp
  children: { id: string; name: string; workingStep: string | null; band: DrawnPoint[] }[]
  /** Strands on which any child was placed or seen. */
  followed: StrandId[]
  /** The groups that stand, if any; `movable`: children can be moved from one level to another there. */
  groups: { movable: boolean } | null
  /** Weeks that the bands show. */
  weeks: number
  /** The session that has just ended, as long as it can be reopened. */
  ended: string | null
  today: Day
}

/** Who may be ready, who needs another look, and each child's band over time on one strand. */
export const progressPage = readingClass(
  'progressPage',
  progressSchema,
  async (scope, input): Promise<ProgressPage> => {
    const today = todayIn(scope.classroom.timeZone)
    const [grouping, children, style, session] = await Promise.all([
      groupingOf(scope),
      childrenOf(scope),
      houseStyleOf(scope),
      input.ended === undefined ? null : sessionOf(scope, input.ended),
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
      groups: grouping && { movable: !eachItsOwn(grouping.mode) },
      weeks: weeksDrawn,
      ended: session?.state === 'done' && session.day === today ? session.id : null,
      today,
    }
  },
)

/** How a child did something, as far as it was said. */
const howAt = (place: StepPlace, { strategy, objects, explained }: How) => ({
  strategy: strategiesFor(place).find(({ id }) => id === strategy)?.title ?? null,
  objects,
  explained,
})

/** Records a child's page shows, the newest first; and of those that were taken back. */
const [mostRecords, mostTakenBack] = [60, 10]

/** What was tapped anew so soon was a slip of the finger, and is not told. */
const slipOfFingerMs = 10 * 60_000

/** What a record said that another one took the place of later, with the day on which that was. */
function saidEarlier(
  before: readonly ObservationRow[],
  { chain, judged, madeAt }: ObservationRow,
  timeZone: string,
): { judged: Judgement; corrected: Day } | null {
  const old = before.find(
    (one) => one.chain === chain && madeAt.getTime() - one.madeAt.getTime() > slipOfFingerMs,
  )
  return old?.judged && old.judged !== judged
    ? { judged: old.judged, corrected: todayIn(timeZone, madeAt) }
    : null
}

/** What a record says, and of which day. */
const asShown = ({ id, strand, step, judged, right, of, schoolDay }: ObservationRow) => ({
  id,
  strand,
  step,
  judged,
  right,
  of,
  schoolDay,
})

const childSchema = classIdSchema.extend({ pupilId: z.uuid() })

/** One child: band per strand over time and the evidence it rests on. */
export const childPage = readingClass('childPage', childSchema, async (scope, { pupilId }) => {
  const today = todayIn(scope.classroom.timeZone)
  const [children, grouping, bands, records, takenBack, style, notes] = await Promise.all([
    childrenOf(scope),
    groupingOf(scope),
    bandsOf(scope, { pupilId }, { dailyFrom: addDays(today, -28) }),
    latestOf(scope, pupilId, mostRecords),
    takenBackOf(scope, pupilId, mostTakenBack),
    houseStyleOf(scope),
    notesOf(scope, pupilId),
  ])
  const child = children.find(({ id }) => id === pupilId)
  if (!child) throw new NotHere()
  const [{ standing: _standing, gain: _gain, ...suggestion }] = await suggestionsFor(
    scope,
    [child],
    grouping,
    style.movingUp,
    today,
  )
  const { strand, step } = suggestion
  const [own, full, before] = await Promise.all([
    seenLately(scope, [{ pupilId, strand }]),
    beliefOf(scope, pupilId, strand),
    saidBefore(
      scope,
      records.map(({ chain }) => chain),
    ),
  ])
  const group = grouping?.groups.find(({ pupils }) => pupils.includes(pupilId))
  return {
    child: { id: child.id, name: child.name, listed: child.listed },
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
    coinage: style.coinage,
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
    records: records.map((record) => {
      const { strand, step, slips, how, linkId, gameId, slot } = record
      return {
        ...asShown(record),
        digital: record.digital,
        slips: [...(slips ?? []), ...(how?.slip ? [{ reason: how.slip, count: 1 }] : [])],
        /** How it was done, in words of the step. */
        how: how && howAt({ strand, step }, how),
        /** By somebody who came in by a code. */
        byHelper: linkId !== null,
        /** Where it was seen. */
        at: gameId === null || slot === null ? null : { game: gameOf(gameId).title, slot: slot + 1 },
        /** What stood there before it was put right. */
        was: saidEarlier(before, record, scope.classroom.timeZone),
      }
    }),
    /** Records that count no longer, as they were. */
    takenBack: takenBack.map(asShown),
    notes: notes.map(({ id, words, tags, schoolDay }) => ({ id, words, tags: tags as NoteTag[], schoolDay })),
    /** There may be more records than are shown. */
    more: records.length === mostRecords,
    today,
  }
})
