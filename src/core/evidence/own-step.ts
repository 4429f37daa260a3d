import { estimateWanted } from './moving-up'
import type { Seen } from './seen'

/** What is known of one child on one strand. */
export interface Standing {
  /** Judgements of an adult, the newest last. */
  seen: readonly Seen[]
  /** P(secure) per step. */
  secure: readonly number[]
  /** P(less than half right alone) per step. */
  struggling: readonly number[]
  /** The lowest step with P(secure) < 0.5; the last one where there is none. */
  workingStep: number
  /** The step its level in the group is marked at, where that is on this strand. */
  plays: number | null
  /** Records the estimate rests on, of an adult or not, and its spread in logits. */
  observations: number
  sd: number
  /** School days since anything was seen; null: never. */
  daysSince: number | null
}

/** A spread above this, in logits, says hardly more than the year group does. */
const widestKnown = 1.2

/** True if more is known of a child than where it was placed. */
export const isKnown = ({ observations, sd }: Pick<Standing, 'observations' | 'sd'>) =>
  observations > 0 && sd <= widestKnown

/** Days with marks that tell what a child works at now. */
const latestDays = 2

/**
 * The step a child works at: that of most of its marks on the last two days it was marked on; of two alike the one nearer to
 * where its estimate puts it, for a level is marked at the hardest of what it holds, and the harder of two as near. One
 * that has moved on from there, to a level where nothing was marked yet, works at the step of that level;
 * one without marks, at the step its estimate puts it at.
 */
export function ownStep({ seen, secure, workingStep, plays }: Standing): number {
  const days = [...new Set(seen.map(({ day }) => day))].sort((a, b) => a - b).slice(-latestDays)
  const times = new Map<number, number>()
  for (const { day, step } of seen) if (days.includes(day)) times.set(step, (times.get(step) ?? 0) + 1)
  const off = (step: number) => Math.abs(step - workingStep)
  const [commonest] = [...times].sort(([a, ofA], [b, ofB]) => ofB - ofA || off(a) - off(b) || b - a)
  if (!commonest) return plays ?? workingStep
  const [step] = commonest
  return plays !== null && plays > step && secure[step] >= estimateWanted.secure ? plays : step
}
