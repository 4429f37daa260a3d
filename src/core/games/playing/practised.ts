import { choicesFor, placeOf, slips, type PracticeItem, type SlipReason, type StepPlace } from '../../skills'
import type { Answered, Trying } from './trying'

export interface SlipCount {
  reason: SlipReason
  count: number
}

interface StepTally {
  place: StepPlace
  /** Right at the first try. */
  right: number
  of: number
  /** Mean chance of a right answer by guessing: 1 in as many as there were to choose from, 0 where it was typed. */
  guess: number
  slips: SlipCount[]
}

/** What was practised, most of it first: right at once of all, by step, and why answers were wrong, as far as that can be told. */
export function practised({ done }: Trying): StepTally[] {
  const steps = new Map<string, { place: StepPlace; answered: Answered[] }>()
  for (const one of done) {
    const place = placeOf(one.item)
    if (!place) continue
    const key = `${place.strand} ${place.step}`
    steps.set(key, { place, answered: [...(steps.get(key)?.answered ?? []), one] })
  }
  return [...steps.values()]
    .map(({ place, answered }) => ({
      place,
      right: answered.filter(({ wrong }) => wrong.length === 0).length,
      of: answered.length,
      guess: answered.reduce((sum, { item }) => sum + guessing(item), 0) / answered.length,
      slips: slipsIn(answered),
    }))
    .sort((a, b) => b.of - a.of)
}

/** Why answers were wrong, the commonest first. */
export function slipsIn(done: readonly Answered[]): SlipCount[] {
  const reasons = new Map<SlipReason, number>()
  for (const { item, wrong } of done)
    for (const said of wrong) {
      const slip = slips(item).find((one) => one.answer === said)
      if (slip) reasons.set(slip.reason, (reasons.get(slip.reason) ?? 0) + 1)
    }
  return [...reasons].map(([reason, count]) => ({ reason, count })).sort((a, b) => b.count - a.count)
}

function guessing(item: PracticeItem): number {
  const choices = choicesFor(item)
  return choices === null ? 0 : 1 / choices.length
}
