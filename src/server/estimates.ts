import { createHash } from 'node:crypto'
import { believedByYear } from '@/core/evidence/begun'
import type { Belief } from '@/core/evidence/estimate'
import {
  beliefFrom,
  difficultiesOf,
  placedBelief,
  summaryOf,
  takeIn,
  type Counted,
  throughHistory,
  type Running,
} from '@/core/evidence/history'
import { growthPerDay, placementByYear, type YearGroup } from '@/core/evidence/prior'
import { schoolDaysBetween } from '@/core/planning/calendar'
import { strandOf, type StrandId } from '@/core/skills'
import {
  clearBand,
  densityOf,
  estimatesInFull,
  placementOf,
  saveBand,
  saveEstimates,
  type EstimateWithDensity,
} from '@/data/queries/estimates'
import { historiesOf, historyOf, type ObservationRow } from '@/data/queries/observations'
import { savePlacements, yearGroupOf, type EstimateRow, type PlacementRow } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { planThread } from './heavy/threads'

/** Names a ladder as it is now, with how fast it is climbed: what was worked out on another one is worked out anew. */
export const ladderOf = (strand: StrandId): string =>
  createHash('sha256')
    .update(JSON.stringify(strandOf(strand).steps.map(({ id, difficulty }) => [id, difficulty])))
    .update(String(growthPerDay(strand)))
    .digest('hex')
    .slice(0, 12)

function runningOf({
  strand,
  density,
  day,
  morning,
  morningDay,
  observations,
}: EstimateWithDensity): Running {
  return {
    belief: beliefFrom(strand, density),
    day,
    morning: beliefFrom(strand, morning),
    morningDay,
    observations,
  }
}

function estimateRow(pupilId: string, strand: StrandId, running: Running): EstimateWithDensity {
  const { belief, day, morning, morningDay, observations } = running
  const { workingStep, ...summary } = summaryOf(running, strand)
  return {
    pupilId,
    strand,
    ladder: ladderOf(strand),
    day,
    ...summary,
    workingStep: workingStep === null ? null : strandOf(strand).steps[workingStep].id,
    observations,
    density: belief.ability.mass,
    morningDay,
    morning: morning.ability.mass,
  }
}

type Placed = Pick<PlacementRow, 'pupilId' | 'strand' | 'step' | 'sureness' | 'day'>

/** So many kinds of records by day are gone through in a few milliseconds; more are left to another thread. */
const quickly = 60

/** Works an estimate out anew from placement and all records that stand. */
export async function rebuildEstimate(scope: ClassScope, placed: Placed) {
  const { pupilId, strand } = placed
  const history = await historyOf(scope, pupilId, strand)
  const { running, band } =
    history.length <= quickly
      ? throughHistory(placed, history, schoolDaysBetween)
      : await planThread().run('throughHistory', { placed, history }, { limitMs: 60_000 })
  await saveEstimates(scope, [estimateRow(pupilId, strand, running)])
  await clearBand(scope, pupilId, strand)
  await saveBand(
    scope,
    band.map((point) => ({ ...point, pupilId, strand })),
  )
}

/** First estimates of children of whom nothing was seen yet. */
export async function beginEstimates(scope: ClassScope, placements: readonly Placed[]) {
  const begun = placements.map((placed) => estimateRow(placed.pupilId, placed.strand, placedBelief(placed)))
  await saveEstimates(scope, begun)
  await saveBand(scope, begun)
}

/** The first evidence on a strand a child was not placed on: the year group's usual step stands before it. */
async function placeOnStrand(
  scope: ClassScope,
  { pupilId, strand, schoolDay }: Pick<ObservationRow, 'pupilId' | 'strand' | 'schoolDay'>,
): Promise<Placed> {
  const yearGroup = (await yearGroupOf(scope, pupilId)) ?? scope.classroom.yearGroup
  const placed = { pupilId, strand, day: schoolDay, ...placementByYear(strand, yearGroup) }
  await savePlacements(scope, [placed])
  return placed
}

const unseen = new Map<string, EstimateRow>()

/** What is believed of a child on a strand before it was placed or seen there. */
export function estimateByYear(strand: StrandId, yearGroup: YearGroup): EstimateRow {
  const key = `${strand} ${yearGroup}`
  const known = unseen.get(key)
  if (known) return known
  const {
    density: _density,
    morning: _morning,
    ...row
  } = estimateRow('', strand, believedByYear(strand, yearGroup, ''))
  unseen.set(key, row)
  return row
}

/** The estimate of a child on a strand in full; null where it was never placed there. */
export async function beliefOf(
  scope: ClassScope,
  pupilId: string,
  strand: StrandId,
): Promise<{ belief: Belief; difficulties: readonly number[] } | null> {
  const row = await densityOf(scope, pupilId, strand)
  return row ? { belief: beliefFrom(strand, row.density), difficulties: difficultiesOf(strand) } : null
}

/** What a record changed: which records count now that did not, and the other way round. */
export interface EvidenceChange {
  pupilId: string
  strand: StrandId
  came: ObservationRow | null
  went: ObservationRow | null
}

/**
 * How far back an estimate has to go to take changes in: to what it holds, to the morning of its day, or to the
 * placement. The morning tells of the day only if the day brought records after it.
 */
function goesBackTo(
  before: EstimateWithDensity | undefined,
  changes: readonly EvidenceChange[],
): 'now' | 'morning' | 'placement' {
  if (!before || before.ladder !== ladderOf(before.strand)) return 'placement'
  const touched = changes.flatMap(({ came, went }) => [came, went]).filter((row) => row !== null)
  if (touched.some(({ schoolDay }) => schoolDay < before.day)) return 'placement'
  if (changes.every(({ went }) => went === null)) return 'now'
  return before.morningDay < before.day ? 'morning' : 'placement'
}

function withNewest(before: EstimateWithDensity, changes: readonly EvidenceChange[]): Running {
  const came = changes.flatMap((change) => (change.came ? [change.came] : []))
  came.sort((a, b) => a.schoolDay.localeCompare(b.schoolDay))
  return came.reduce((running, row) => takeIn(running, row, schoolDaysBetween), runningOf(before))
}

function withDayAnew(
  before: EstimateWithDensity,
  changes: readonly EvidenceChange[],
  sinceMorning: readonly Counted[],
): Running {
  const { morning, morningDay, observations } = runningOf(before)
  const change = changes.reduce((sum, { came, went }) => sum + (came ? 1 : 0) - (went ? 1 : 0), 0)
  const earlier = observations + change - sinceMorning.reduce((sum, { times }) => sum + times, 0)
  const from: Running = { belief: morning, day: morningDay, morning, morningDay, observations: earlier }
  return sinceMorning.reduce((running, row) => takeIn(running, row, schoolDaysBetween), from)
}

/** Brings estimates up to date with records that count from now on, or no more; each no further back than it must. */
export async function updateEstimates(scope: ClassScope, changes: readonly EvidenceChange[]) {
  const keyOf = ({ pupilId, strand }: { pupilId: string; strand: StrandId }) => `${pupilId} ${strand}`
  const byPlace = new Map<string, EvidenceChange[]>()
  for (const change of changes) byPlace.set(keyOf(change), [...(byPlace.get(keyOf(change)) ?? []), change])
  const places = [...byPlace.values()].map(([first]) => first)
  const known = await estimatesInFull(scope, places)
  const cases = [...byPlace].map(([key, changed]) => {
    const before = known.find((row) => keyOf(row) === key)
    return { key, changed, before, back: goesBackTo(before, changed) }
  })
  const sinceMorning = await historiesOf(
    scope,
    cases.flatMap(({ before, back }) => (back === 'morning' ? [{ ...before!, from: before!.day }] : [])),
  )
  const rows: EstimateWithDensity[] = []
  for (const { key, changed, before, back } of cases) {
    if (back === 'placement') {
      await rebuildFromPlacement(scope, (changed[0].came ?? changed[0].went)!)
      continue
    }
    const { pupilId, strand, day } = before!
    const ofDay = sinceMorning.filter((row) => keyOf(row) === key)
    const running = back === 'now' ? withNewest(before!, changed) : withDayAnew(before!, changed, ofDay)
    if (running.day < day) await clearBand(scope, pupilId, strand, day)
    rows.push(estimateRow(pupilId, strand, running))
  }
  await saveEstimates(scope, rows)
  await saveBand(scope, rows)
}

async function rebuildFromPlacement(scope: ClassScope, row: ObservationRow) {
  const placed = await placementOf(scope, row.pupilId, row.strand)
  await rebuildEstimate(scope, placed ?? (await placeOnStrand(scope, row)))
}
