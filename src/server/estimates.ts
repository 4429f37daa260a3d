import { createHash } from 'node:crypto'
import type { Belief } from '@/core/evidence/estimate'
import {
  beliefFrom,
  difficultiesOf,
  placedBelief,
  summaryOf,
  takeIn,
  throughHistory,
  type Running,
} from '@/core/evidence/history'
import { placementByYear, type YearGroup } from '@/core/evidence/prior'
import { schoolDaysBetween } from '@/core/planning/calendar'
import { strandOf, type StrandId } from '@/core/skills'
import {
  clearBand,
  densityOf,
  estimateOf,
  placementOf,
  saveBand,
  saveEstimates,
  type EstimateWithDensity,
} from '@/data/queries/estimates'
import { historyOf, type ObservationRow } from '@/data/queries/observations'
import { savePlacements, yearGroupOf, type EstimateRow, type PlacementRow } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { planThread } from './heavy/threads'

/** Names a ladder as it is now: what was worked out on another one is worked out anew. */
export const ladderOf = (strand: StrandId): string =>
  createHash('sha256')
    .update(JSON.stringify(strandOf(strand).steps.map(({ id, difficulty }) => [id, difficulty])))
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

/** What is believed of a child on a strand before it was placed or seen there: the year group's usual step. */
export function estimateByYear(strand: StrandId, yearGroup: YearGroup): EstimateRow {
  const key = `${strand} ${yearGroup}`
  const known = unseen.get(key)
  if (known) return known
  const placed = { strand, day: '', ...placementByYear(strand, yearGroup) }
  const { density: _density, morning: _morning, ...row } = estimateRow('', strand, placedBelief(placed))
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
 * Brings an estimate up to date with one record that counts from now on, or no more: one pass over the grid where
 * it is the newest, from the morning of its day where it is of the newest day, else from the whole history.
 */
export async function updateEstimate(scope: ClassScope, { pupilId, strand, came, went }: EvidenceChange) {
  const before = await estimateOf(scope, pupilId, strand)
  if (!before || before.ladder !== ladderOf(strand)) return rebuildFromPlacement(scope, (came ?? went)!)
  const earliest = [came, went].flatMap((row) => (row ? [row.schoolDay] : [])).sort()[0]
  if (went === null && came && came.schoolDay >= before.day)
    return store(takeIn(runningOf(before), came, schoolDaysBetween))
  // The morning tells of the day only if the day brought records after it.
  if (earliest < before.day || before.morningDay >= before.day)
    return rebuildFromPlacement(scope, (came ?? went)!)
  const known = runningOf(before)
  const ofTheDay = await historyOf(scope, pupilId, strand, before.day)
  const change = (came ? 1 : 0) - (went ? 1 : 0)
  const earlier = before.observations + change - ofTheDay.reduce((sum, { times }) => sum + times, 0)
  let running: Running = {
    belief: known.morning,
    day: known.morningDay,
    morning: known.morning,
    morningDay: known.morningDay,
    observations: earlier,
  }
  for (const row of ofTheDay) running = takeIn(running, row, schoolDaysBetween)
  if (ofTheDay.length === 0) await clearBand(scope, pupilId, strand, before.day)
  return store(running)

  async function store(now: Running) {
    const row = estimateRow(pupilId, strand, now)
    await saveEstimates(scope, [row])
    await saveBand(scope, [row])
  }
}

async function rebuildFromPlacement(scope: ClassScope, row: ObservationRow) {
  const placed = await placementOf(scope, row.pupilId, row.strand)
  await rebuildEstimate(scope, placed ?? (await placeOnStrand(scope, row)))
}
