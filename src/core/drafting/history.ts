import { z } from 'zod'

/** So many steps can be taken back. */
export const mostSteps = 20

/** A value under change, with what it was before each step and what was taken back of late. */
export interface History<T> {
  /** The oldest first. */
  past: T[]
  now: T
  /** What `redo` brings back first comes first. */
  future: T[]
}

export const historySchema = <Value extends z.ZodType>(value: Value) =>
  z.object({
    past: z.array(value).max(mostSteps),
    now: value,
    future: z.array(value).max(mostSteps),
  })

/**
 * One step of a draft. `amend` betters the step before without being one of its own: a search that finds something
 * better every moment is taken back as a whole.
 */
export type Step<T> = { do: T } | { amend: T } | 'undo' | 'redo'

export const stepSchema = <Value extends z.ZodType>(value: Value) =>
  z.union([z.strictObject({ do: value }), z.strictObject({ amend: value }), z.enum(['undo', 'redo'])])

export const beginning = <T>(now: T): History<T> => ({ past: [], now, future: [] })

/** The history after one more step; with nothing to take back or bring back, as it was. */
export function after<T>({ past, now, future }: History<T>, step: Step<T>): History<T> {
  if (step === 'undo')
    return past.length === 0
      ? { past, now, future }
      : { past: past.slice(0, -1), now: past.at(-1)!, future: [now, ...future].slice(0, mostSteps) }
  if (step === 'redo')
    return future.length === 0
      ? { past, now, future }
      : { past: [...past, now].slice(-mostSteps), now: future[0], future: future.slice(1) }
  if ('amend' in step) return { past, now: step.amend, future: [] }
  return { past: [...past, now].slice(-mostSteps), now: step.do, future: [] }
}

/**
 * Two histories of one draft, both kept: the other's value lies one step behind this one, so that `undo` shows it.
 * Which of the two is in view is for the person to say.
 */
export const onTopOf = <T>(other: History<T>, own: T): History<T> => after(other, { do: own })
