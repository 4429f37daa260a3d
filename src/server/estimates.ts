import { normalAbility } from '@/core/evidence/ability'
import { observe, summarise, type Belief, type Summary } from '@/core/evidence/estimate'
import type { Observation } from '@/core/evidence/observation'
import { placementByYear, priorOf, type YearGroup } from '@/core/evidence/prior'
import { schoolDaysBetween, type Day } from '@/core/planning/calendar'
import { strandOf, type StrandId } from '@/core/skills'
import {
  clearBands,
  densityOf,
  insertObservation,
  lockEstimate,
  observationsOf,
  placementOf,
  saveBand,
  saveEstimates,
  type BandPoint,
  type EstimateWithDensity,
  type ObservationRow,
} from '@/data/queries/evidence'
import { savePlacements, yearGroupOf, type EstimateRow, type PlacementRow } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'

const difficultiesOf = (strand: StrandId) => strandOf(strand).steps.map(({ difficulty }) => difficulty)

/** The lowest θ of a strand's grid. */
const gridFrom = (strand: StrandId) => difficultiesOf(strand)[0] - 8

type Evidence = Pick<ObservationRow, 'strand' | 'step' | 'judged' | 'right' | 'of' | 'weight' | 'schoolDay'>

function asObservation(row: Evidence, day: number): Observation {
  const { step, weight } = row
  return row.judged !== null
    ? { day, step, weight, judged: row.judged }
    : { day, step, weight, right: row.right!, of: row.of!, guess: 0 }
}

function estimateRow(
  pupilId: string,
  strand: StrandId,
  day: Day,
  belief: Belief,
  summary: Summary,
  observations: number,
): EstimateWithDensity {
  const { mean, sd, p10, p50, p90, secure, struggling, rightAlone, workingStep } = summary
  return {
    pupilId,
    strand,
    day,
    mean,
    sd,
    p10,
    p50,
    p90,
    secure,
    struggling,
    rightAlone,
    workingStep,
    observations,
    density: belief.ability.mass,
  }
}

const bandPoint = (pupilId: string, strand: StrandId, day: Day, { p10, p50, p90 }: Summary): BandPoint => ({
  pupilId,
  strand,
  day,
  p10,
  p50,
  p90,
})

type Placed = Pick<PlacementRow, 'pupilId' | 'strand' | 'step' | 'sureness' | 'day'>

/** What a placement and a history amount to, with the band at the end of each day of it. */
function estimateFrom(placed: Placed, history: readonly Evidence[]) {
  const { pupilId, strand } = placed
  const difficulties = difficultiesOf(strand)
  let belief: Belief = { ability: normalAbility(difficulties, priorOf(strand, placed)), day: 0 }
  // One point a day: that of its evening.
  const band = new Map([
    [placed.day, bandPoint(pupilId, strand, placed.day, summarise(belief, difficulties))],
  ])
  for (const [index, row] of history.entries()) {
    const day = Math.max(0, schoolDaysBetween(placed.day, row.schoolDay))
    belief = observe(belief, asObservation(row, day), difficulties)
    if (history[index + 1]?.schoolDay !== row.schoolDay)
      band.set(row.schoolDay, bandPoint(pupilId, strand, row.schoolDay, summarise(belief, difficulties)))
  }
  const last = history.at(-1)?.schoolDay ?? placed.day
  const day = last > placed.day ? last : placed.day
  return {
    estimate: estimateRow(pupilId, strand, day, belief, summarise(belief, difficulties), history.length),
    band: [...band.values()],
  }
}

/** Works estimates out anew from placement and all records that stand. */
export async function rebuildEstimates(scope: ClassScope, placements: readonly Placed[]) {
  const records = await observationsOf(scope, [...new Set(placements.map(({ pupilId }) => pupilId))])
  const rebuilt = placements.map((placed) =>
    estimateFrom(
      placed,
      records.filter(({ pupilId, strand }) => pupilId === placed.pupilId && strand === placed.strand),
    ),
  )
  await saveEstimates(
    scope,
    rebuilt.map(({ estimate }) => estimate),
  )
  await clearBands(scope, [...placements])
  await saveBand(
    scope,
    rebuilt.flatMap(({ band }) => band),
  )
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
  const placed = { pupilId: '', strand, day: '', ...placementByYear(strand, yearGroup) }
  const { density: _density, ...row } = estimateFrom(placed, []).estimate
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
  if (!row) return null
  const ability = { from: gridFrom(strand), mass: row.density }
  return { belief: { ability, day: 0 }, difficulties: difficultiesOf(strand) }
}

/**
 * Stores one record and takes it into the estimate: one pass over the grid where it is the newest,
 * a rebuild where it is older than the estimate or corrects another record.
 * @returns false if the record was there already
 */
export async function recordEvidence(
  scope: ClassScope,
  row: Omit<ObservationRow, 'classId' | 'storedAt'>,
): Promise<boolean> {
  const { pupilId, strand } = row
  const before = await lockEstimate(scope, pupilId, strand)
  if (!(await insertObservation(scope, row))) return false
  if (!before || row.corrects !== null || row.schoolDay < before.day) {
    const placed = (await placementOf(scope, pupilId, strand)) ?? (await placeOnStrand(scope, row))
    await rebuildEstimates(scope, [placed])
    return true
  }
  const difficulties = difficultiesOf(strand)
  const gap = schoolDaysBetween(before.day, row.schoolDay)
  const belief = observe(
    { ability: { from: gridFrom(strand), mass: before.density }, day: 0 },
    asObservation(row, gap),
    difficulties,
  )
  const summary = summarise(belief, difficulties)
  await saveEstimates(scope, [
    estimateRow(pupilId, strand, row.schoolDay, belief, summary, before.observations + 1),
  ])
  await saveBand(scope, [bandPoint(pupilId, strand, row.schoolDay, summary)])
  return true
}
