import { cumulative, mean, percentile, type Distribution } from '../chance/distribution'
import { largestNumber, placeOf, stepIndex, type PracticeItem, type StepPlace } from '../skills'
import type { CountedItem, Play } from './play'
import { shareHalfWidth } from './intervals'

export interface Spread {
  mean: number
  p10: number
  p50: number
  p90: number
}

export interface Minutes extends Spread {
  method: 'exact' | 'simulated'
  finishInSlot: number
  /** Half-width of the 95 % interval of `finishInSlot`; null where exact. */
  finishHalfWidth: number | null
  /** P(the game lasts i seconds). */
  seconds: Distribution
  /** Completed games to expect in the slot, one after the other. */
  gamesPerSlot: number
}

export interface Practice {
  itemsPerChildPer10Min: number
  waitingShare: number
  items: { key: string; item: PracticeItem; share: number; perGame: number }[]
  steps: (StepPlace & { share: number })[]
  /** The largest number met. */
  to: number
}

/** Goes of the set's game; null where the time ends it. */
export function goesOf({ goes }: Play): Spread | null {
  return (
    goes && {
      mean: mean(goes),
      p10: percentile(goes, 0.1),
      p50: percentile(goes, 0.5),
      p90: percentile(goes, 0.9),
    }
  )
}

/** E[dead goes] ÷ E[goes]. */
export const deadShareOf = ({ expected }: Play) => expected.dead / expected.goes

/** Minutes of a game; null where the law of its seconds is not in `play`. */
export function minutesOf(play: Play, slotMinutes: number): Minutes | null {
  if (!play.seconds) return null
  const slot = slotMinutes * 60
  const finish = cumulative(play.seconds, slot)
  return {
    method: play.sample ? 'simulated' : 'exact',
    mean: play.expected.seconds / 60,
    p10: percentile(play.seconds, 0.1) / 60,
    p50: percentile(play.seconds, 0.5) / 60,
    p90: percentile(play.seconds, 0.9) / 60,
    finishInSlot: finish,
    finishHalfWidth: play.sample ? shareHalfWidth(finish, play.sample.games) : null,
    seconds: play.seconds,
    gamesPerSlot: renewals(play.seconds, slot),
  }
}

/** Expected number of completed games in `slot` seconds, played one after another (renewal equation). */
function renewals({ mass, from }: Distribution, slot: number): number {
  const games = new Float64Array(slot + 1)
  for (let s = 1; s <= slot; s++) {
    let sum = 0
    for (let i = 0; i < mass.length && from + i <= s; i++)
      if (mass[i] > 0) sum += mass[i] * (1 + games[s - from - i])
    games[s] = sum
  }
  return games[slot]
}

/** What one of `players` children practises, and how long that child waits; null where nothing is answered. */
export function practiceOf({ expected, items }: Play, players: number): Practice | null {
  const counted = items.filter(({ count }) => count > 0)
  const total = counted.reduce((sum, { count }) => sum + count, 0)
  if (total === 0) return null
  return {
    itemsPerChildPer10Min: (total / players / expected.seconds) * 600,
    waitingShare: 1 - expected.active / players / expected.seconds,
    items: counted
      .map(({ key, item, count }) => ({ key, item, share: count / total, perGame: count }))
      .sort((a, b) => b.share - a.share || (a.key < b.key ? -1 : 1)),
    steps: stepsOf(counted, total),
    to: counted.reduce((most, { item }) => Math.max(most, largestNumber(item)), 0),
  }
}

/** Share of each skill step, by strand and step. */
function stepsOf(items: readonly CountedItem[], total: number): Practice['steps'] {
  const steps = new Map<string, StepPlace & { share: number }>()
  for (const { item, count } of items) {
    const place = placeOf(item)
    const key = `${place.strand} ${place.step}`
    const known = steps.get(key)
    if (known) known.share += count / total
    else steps.set(key, { ...place, share: count / total })
  }
  return [...steps.values()].sort((a, b) =>
    a.strand < b.strand ? -1 : a.strand > b.strand ? 1 : stepIndex(a) - stepIndex(b),
  )
}

/**
 * Steps that a level is marked by: those of the items the game is for, else of all but reading numbers, which comes with
 * every game. Their shares are of all items.
 */
export function focusedSteps(
  items: Practice['items'],
  focus: readonly PracticeItem['op'][] | undefined,
): Practice['steps'] {
  const worked = items.filter(({ item }) => (focus ? focus.includes(item.op) : item.op !== 'numeral'))
  const kept = worked.length > 0 ? worked : items
  return stepsOf(
    kept.map(({ share, ...one }) => ({ ...one, count: share })),
    1,
  )
}
