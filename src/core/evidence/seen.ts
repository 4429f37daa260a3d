import type { Judgement } from './observation'

/** An adult's judgement of a child on a strand. */
export interface Seen {
  /** School day, counted from any day. */
  day: number
  step: number
  judged: Judgement
}

/** Marks at a step: so many of so many alone, on so many days. */
export interface SeenAt {
  own: number
  of: number
  days: number
}

/** On how many days these were seen. */
export const daysOf = (seen: readonly Seen[]) => new Set(seen.map(({ day }) => day)).size

/** The marks at one step, counted. */
export function seenAt(seen: readonly Seen[], step: number): SeenAt {
  const here = seen.filter((one) => one.step === step)
  return { own: here.filter(({ judged }) => judged === 'own').length, of: here.length, days: daysOf(here) }
}
