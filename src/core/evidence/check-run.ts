import { strandOf, stepIndex, type StepPlace, type StrandId } from '../skills'
import type { Belief } from './estimate'
import { difficultiesOf } from './history'
import type { MarkValue } from './mark'
import { answered, nextOfStrands, startCheck, whyStop, type StrandCheck } from './quick-check'

/** What came of one task. */
export interface CheckAnswer {
  place: StepPlace
  /** A mark or a tally; null: it was skipped, and its strand is left alone for this check. */
  value: MarkValue | null
}

export interface CheckRun {
  /** What to ask next; null: there is nothing more to ask, or no time for it. */
  next: StepPlace | null
  /** Each strand as it stands now. */
  strands: {
    strand: StrandId
    check: StrandCheck
    /** Why it is over; null: it goes on. */
    over: 'sure' | 'asked-enough' | 'skipped' | null
  }[]
}

/** Seconds of a task with setting out and marking, as the quick check reckons. Common practice, no source. */
const taskSeconds = 35

/**
 * A quick check of a child on some strands after these answers: what is believed now, and what to ask next. The same
 * answers lead to the same task, wherever and whenever they are gone through.
 * @param beliefs what was believed of each strand when the check began
 * @param minutes how long it may last, reckoned by its tasks
 */
export function checkAfter(
  beliefs: ReadonlyMap<StrandId, Belief>,
  answers: readonly CheckAnswer[],
  minutes: number,
): CheckRun {
  const checks = new Map([...beliefs].map(([strand, belief]) => [strand, startCheck({ ...belief, day: 0 })]))
  const skipped = new Set<StrandId>()
  for (const { place, value } of answers) {
    const check = checks.get(place.strand)
    if (!check) continue
    if (value === null) skipped.add(place.strand)
    else {
      const after = answered(check, observationAt(place, value), difficultiesOf(place.strand))
      checks.set(place.strand, after)
      // A child meets hard tasks one after another, of whatever strand they are.
      for (const [strand, one] of checks) checks.set(strand, { ...one, hard: after.hard })
    }
  }
  const strands = [...checks].map(([strand, check]) => ({
    strand,
    check,
    over: skipped.has(strand) ? ('skipped' as const) : whyStop(check, difficultiesOf(strand)),
  }))
  const open = strands.filter(({ over }) => over !== 'skipped')
  const found = nextOfStrands(
    open.map(({ strand, check }) => ({ check, difficulties: difficultiesOf(strand) })),
    minutes * 60 - taskSeconds * answers.length,
  )
  if (!found) return { next: null, strands }
  const { strand } = open[found.strand]
  return { next: { strand, step: strandOf(strand).steps[found.task.step].id }, strands }
}

function observationAt(place: StepPlace, { judged, right, of }: MarkValue) {
  const at = { day: 0, step: stepIndex(place), weight: 1 }
  return judged !== null ? { ...at, judged } : { ...at, right: right!, of: of!, guess: 0 }
}
