import { countLatest, looksSecure, readyByEstimate, type MovingUp } from './moving-up'
import { isKnown, ownStep, type Standing } from './own-step'
import { seenAt, type SeenAt } from './seen'

/**
 * What the evidence says of a child at its own step. Every kind is borne out by the marks that stand beside it:
 * nobody right alone each time is said to find it hard, and nobody without a success to be at the right step.
 */
export type Suggestion =
  | ({ kind: 'ready' | 'hard' | 'right' } & SeenAt)
  /** The estimate calls it secure, but it was seen on one day only. */
  | ({ kind: 'another-look'; why: 'one-day' } & SeenAt)
  /** Too little was seen at this step, or what was seen and the estimate don't agree. */
  | ({ kind: 'another-look'; why: 'not-clear' } & SeenAt)
  | { kind: 'another-look'; why: 'not-seen'; days: number | null }

/** Fewer marks than this at a step, or of fewer days, say too little to call it hard or right. */
const enough = { marks: 3, days: 2 }

/** P(less than half right alone) from which a step is called hard: stricter than eight in ten, at whose edge one in five is wrong. */
const hardFrom = 0.85

/** School days after which a child is worth a look whatever was seen before. */
export const notSeenFor = 10

/** What is said of a child at its own step, by the class's way of deciding who moves up. */
export function suggest(
  standing: Standing,
  movingUp: MovingUp = { by: 'estimate' },
): { step: number; suggestion: Suggestion } {
  const step = ownStep(standing)
  return { step, suggestion: suggestionAt(step, standing, movingUp) }
}

function suggestionAt(step: number, standing: Standing, movingUp: MovingUp): Suggestion {
  const { seen, secure, struggling, daysSince } = standing
  const said = seenAt(seen, step)

  if (movingUp.by === 'count') {
    const { ready, own, of, days } = countLatest(seen, step, movingUp)
    if (ready) return { kind: 'ready', own, of, days }
  }
  if (movingUp.by === 'estimate' && readyByEstimate(secure[step], said)) return { kind: 'ready', ...said }
  const isEnough = said.of >= enough.marks && said.days >= enough.days
  if (movingUp.by !== 'judgement' && isEnough && said.own * 2 < said.of && struggling[step] >= hardFrom)
    return { kind: 'hard', ...said }
  if (daysSince === null || daysSince >= notSeenFor)
    return { kind: 'another-look', why: 'not-seen', days: daysSince }
  if (movingUp.by === 'estimate' && looksSecure(secure[step], said))
    return { kind: 'another-look', why: 'one-day', ...said }
  const missed = seen.filter((one) => one.step === step && one.judged === 'notYet').length
  if (isEnough && said.own > 0 && missed * 2 <= said.of && struggling[step] < 0.5)
    return { kind: 'right', ...said }
  return { kind: 'another-look', why: 'not-clear', ...said }
}

/**
 * True if acting on it now would help: to move a child, or to look at one of whom little is known. That more marks of a
 * child that is known well would be welcome is no reason to name it.
 */
export function isPressing({ kind, ...said }: Suggestion, standing: Standing): boolean {
  if (kind === 'right') return false
  if (kind !== 'another-look') return true
  if ('why' in said && said.why === 'not-clear') return !isKnown(standing) || (said.of > 0 && said.own === 0)
  return true
}
