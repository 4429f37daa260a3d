import { strandOf, type StepPlace, type StrandId } from '../skills'
import { answeredOnBoards } from '../skills/on-boards'
import { checkAfter, type CheckAnswer, type CheckRun } from './check-run'
import type { Belief } from './estimate'
import { difficultiesOf } from './history'
import type { MarkValue } from './mark'
import { expectedGains, wouldDiscourage } from './quick-check'

/** One task that all were asked, and what each made of it. */
export interface Round {
  place: StepPlace
  /** By child; who is not in it looked away or was not asked. Null: the strand is left alone from here. */
  values: ReadonlyMap<string, MarkValue> | null
}

export interface TogetherRun {
  /** What all are asked next; null: there is nothing more to ask, or no time for it. */
  next: StepPlace | null
  /** Each child's strands as they stand now. */
  children: ReadonlyMap<string, CheckRun['strands']>
}

/** Seconds of a task for several with boards shown, read and marked. Common practice, no source. */
const roundSeconds = 45

/**
 * A quick check of several children at once, who answer on their own whiteboards. All get the same task: the one that
 * is expected to shrink the variance most, over all of them together; none that would be a third hard one in a row for
 * somebody, and none that can’t be answered on a board. Of equals the easier.
 * @param beliefs by child: what was believed of each strand when the check began
 * @param minutes how long it may last, reckoned by its tasks
 */
export function togetherAfter(
  beliefs: ReadonlyMap<string, ReadonlyMap<StrandId, Belief>>,
  rounds: readonly Round[],
  minutes: number,
): TogetherRun {
  const children = new Map(
    [...beliefs].map(([child, believed]) => [
      child,
      checkAfter(believed, answersOf(child, rounds), 0).strands,
    ]),
  )
  const next = minutes * 60 - roundSeconds * rounds.length >= roundSeconds ? tellsMost(children) : null
  return { next, children }
}

/** What one child answered; a strand left alone is left alone by everybody. */
function answersOf(child: string, rounds: readonly Round[]): CheckAnswer[] {
  return rounds.flatMap(({ place, values }): CheckAnswer[] => {
    if (values === null) return [{ place, value: null }]
    const value = values.get(child)
    return value ? [{ place, value }] : []
  })
}

function tellsMost(children: ReadonlyMap<string, CheckRun['strands']>): StepPlace | null {
  const gained = new Map<StrandId, number[]>()
  const tooMuch = new Set<string>()
  for (const strands of children.values())
    for (const { strand, check, over } of strands) {
      const difficulties = difficultiesOf(strand)
      // A task is put to all, to those too of whom enough is known.
      for (const [step, difficulty] of difficulties.entries())
        if (wouldDiscourage(check, difficulty)) tooMuch.add(`${strand} ${step}`)
      if (over !== null) continue
      const gains = expectedGains(check.belief.ability, difficulties)
      const sum = gained.get(strand)
      gained.set(strand, sum ? sum.map((gain, step) => gain + gains[step]) : gains)
    }
  let best: { place: StepPlace; gain: number } | null = null
  for (const [strand, gains] of gained)
    for (const [step, gain] of gains.entries()) {
      const place = { strand, step: strandOf(strand).steps[step].id }
      if (tooMuch.has(`${strand} ${step}`) || !answeredOnBoards(place)) continue
      if (best === null || gain > best.gain + 1e-12) best = { place, gain }
    }
  return best?.place ?? null
}
