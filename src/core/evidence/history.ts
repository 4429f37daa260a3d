import { strandOf, stepIndex, type StepPlace, type StrandId } from '../skills'
import { abilityMean, abilityPercentile, normalAbility } from './ability'
import { observe, secureLogit, summarise, waitUntil, type Belief, type Summary } from './estimate'
import type { Judgement, Observation } from './observation'
import { growthPerDay, priorOf, type Sureness } from './prior'

/** A record of a child on a strand, as it was kept; either a judgement or a tally. */
export interface Evidence extends StepPlace {
  judged: Judgement | null
  right: number | null
  of: number | null
  weight: number
  /** How often a guess is right; of a tally. */
  guess: number
  /** `2026-11-24` */
  schoolDay: string
}

/** The same record as often as it was made on its day: within a day the order of records makes no difference. */
export interface Counted extends Evidence {
  times: number
}

/** Where a child was first placed on a strand, and when. */
export interface PlacedOn extends StepPlace {
  sureness: Sureness
  day: string
}

/** School days from one day (excluded) to another (included). */
type DaysBetween = (from: string, to: string) => number

/**
 * What is believed of a child on a strand while its records are taken in one by one. `morning` is the belief before
 * the first record of `day`: a correction of that day need not go further back.
 */
export interface Running {
  belief: Belief
  day: string
  morning: Belief
  morningDay: string
  observations: number
}

const ladders = new Map<StrandId, readonly number[]>()

export function difficultiesOf(strand: StrandId): readonly number[] {
  let ladder = ladders.get(strand)
  if (!ladder) ladders.set(strand, (ladder = strandOf(strand).steps.map(({ difficulty }) => difficulty)))
  return ladder
}

/** A belief from the mass of its cells, as they were kept for the strand's ladder. */
export function beliefFrom(strand: StrandId, mass: Float64Array): Belief {
  return { ability: { from: normalAbility(difficultiesOf(strand), { mean: 0, sd: 1 }).from, mass }, day: 0 }
}

/** Before anything was seen. @param prior in logits */
export function believed(strand: StrandId, prior: { mean: number; sd: number }, day: string): Running {
  const belief: Belief = { ability: normalAbility(difficultiesOf(strand), prior), day: 0 }
  return { belief, day, morning: belief, morningDay: day, observations: 0 }
}

/** What a placement says, before anything was seen. */
export const placedBelief = (placed: PlacedOn): Running =>
  believed(placed.strand, priorOf(placed.strand, placed), placed.day)

/** School days between two looks for which a child is taken to have grown: of one that was away for long little more is known. */
const growsFor = 10

/**
 * The belief some school days later: less sure, and on by what children usually come on in so long; but no further than
 * where the whole ladder is secure, for above it no mark could say otherwise.
 */
export function daysLater(belief: Belief, strand: StrandId, days: number): Belief {
  const highest = difficultiesOf(strand).reduce((most, difficulty) => Math.max(most, difficulty), -Infinity)
  const room = Math.max(0, highest + secureLogit - abilityMean(belief.ability))
  const grown = Math.min(growthPerDay(strand) * Math.min(days, growsFor), room)
  return waitUntil({ ...belief, day: 0 }, days, undefined, grown)
}

/** Takes in one record that is not older than what is known; older than the placement counts as of its day. */
export function takeIn(
  running: Running,
  row: Evidence & { times?: number },
  daysBetween: DaysBetween,
): Running {
  const { belief, day, morning, morningDay, observations } = running
  const { times = 1 } = row
  const later = row.schoolDay > day
  const gap = Math.max(0, daysBetween(day, row.schoolDay))
  return {
    belief: observe(
      daysLater(belief, row.strand, gap),
      asObservation(row, gap),
      difficultiesOf(row.strand),
      undefined,
      times,
    ),
    day: later ? row.schoolDay : day,
    morning: later ? belief : morning,
    morningDay: later ? day : morningDay,
    observations: observations + times,
  }
}

function asObservation(
  { strand, step, weight, judged, right, of, guess }: Evidence,
  day: number,
): Observation {
  const at = { day, step: stepIndex({ strand, step }), weight }
  return judged !== null ? { ...at, judged } : { ...at, right: right!, of: of!, guess }
}

export const summaryOf = ({ belief }: Running, strand: StrandId): Summary =>
  summarise(belief, difficultiesOf(strand))

/** The estimate at the end of a day, as wide as a chart draws it. */
export interface BandDay {
  day: string
  p10: number
  p50: number
  p90: number
}

/** What a placement and a history, oldest first, amount to, with the band at the end of each day of it. */
export function throughHistory(
  placed: PlacedOn,
  history: readonly Counted[],
  daysBetween: DaysBetween,
): { running: Running; band: BandDay[] } {
  let running = placedBelief(placed)
  // Only the percentiles: all else that a summary holds takes most of the time of a long history.
  const bandDay = (day: string): BandDay => {
    const { ability } = running.belief
    const at = (q: number) => abilityPercentile(ability, q)
    return { day, p10: at(0.1), p50: at(0.5), p90: at(0.9) }
  }
  // One point a day: that of its evening.
  const band = new Map([[placed.day, bandDay(placed.day)]])
  for (const [index, row] of history.entries()) {
    running = takeIn(running, row, daysBetween)
    if (history[index + 1]?.schoolDay !== row.schoolDay) band.set(row.schoolDay, bandDay(row.schoolDay))
  }
  return { running, band: [...band.values()] }
}
