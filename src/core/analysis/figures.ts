import { cumulative, mean, percentile } from '../chance/distribution'
import { itemKey, placeOf, type PracticeItem, type StepPlace } from '../skills'
import type { Play } from './play'

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
  seconds: Float64Array
  /** Completed games to expect in the slot, one after the other. */
  gamesPerSlot: number
}

export interface Practice {
  itemsPerChildPer10Min: number
  waitingShare: number
  items: { key: string; item: PracticeItem; share: number; perGame: number }[]
  steps: (StepPlace & { share: number })[]
}

export const goesOf = ({ goes }: Play): Spread => ({
  mean: mean(goes),
  p10: percentile(goes, 0.1),
  p50: percentile(goes, 0.5),
  p90: percentile(goes, 0.9),
})

/** Σ over kinds of go of the expected number times `weight`. */
function expected(
  { outcomes }: Play,
  weight: (outcome: Play['outcomes'][number]['outcome']) => number,
): number {
  return outcomes.reduce((sum, { outcome, expected: times }) => sum + times * weight(outcome), 0)
}

export const expectedDeadGoes = (play: Play) => expected(play, ({ dead }) => (dead ? 1 : 0))
export const expectedGoes = (play: Play) => expected(play, () => 1)
const expectedSeconds = (play: Play) => expected(play, ({ seconds }) => seconds)

/** E[dead goes] ÷ E[goes]. */
export const deadShareOf = (play: Play) => expectedDeadGoes(play) / expectedGoes(play)

/** Minutes of a game; null where the law of its seconds is not in `play`. */
export function minutesOf(play: Play, slotMinutes: number): Minutes | null {
  if (!play.seconds) return null
  const slot = slotMinutes * 60
  const finish = cumulative(play.seconds, slot)
  return {
    method: play.sample ? 'simulated' : 'exact',
    mean: expectedSeconds(play) / 60,
    p10: percentile(play.seconds, 0.1) / 60,
    p50: percentile(play.seconds, 0.5) / 60,
    p90: percentile(play.seconds, 0.9) / 60,
    finishInSlot: finish,
    finishHalfWidth: play.sample
      ? 1.959963984540054 * Math.sqrt((finish * (1 - finish)) / play.sample.games)
      : null,
    seconds: play.seconds.mass,
    gamesPerSlot: renewals(play.seconds.mass, play.seconds.from, slot),
  }
}

/** Expected number of completed games in `slot` seconds, played one after another (renewal equation). */
function renewals(mass: Float64Array, from: number, slot: number): number {
  const games = new Float64Array(slot + 1)
  for (let s = 1; s <= slot; s++) {
    let sum = 0
    for (let i = 0; i < mass.length && from + i <= s; i++)
      if (mass[i] > 0) sum += mass[i] * (1 + games[s - from - i])
    games[s] = sum
  }
  return games[slot]
}

/** What one of `players` children practises, and how long that child waits. */
export function practiceOf(play: Play, players: number): Practice {
  const seconds = expectedSeconds(play)
  const counts = new Map<string, { item: PracticeItem; count: number }>()
  for (const { outcome, expected: times } of play.outcomes)
    for (const item of outcome.items) {
      const known = counts.get(itemKey(item))
      if (known) known.count += times
      else counts.set(itemKey(item), { item, count: times })
    }
  const items = [...counts].map(([key, value]) => ({ key, ...value })).filter(({ count }) => count > 0)
  const total = items.reduce((sum, { count }) => sum + count, 0)
  const steps = new Map<string, StepPlace & { share: number }>()
  for (const { item, count } of items) {
    const place = placeOf(item)
    const key = `${place.strand} ${place.step}`
    const share = count / total
    const known = steps.get(key)
    if (known) known.share += share
    else steps.set(key, { ...place, share })
  }
  return {
    itemsPerChildPer10Min: (total / players / seconds) * 600,
    waitingShare: 1 - expected(play, ({ active }) => active) / players / seconds,
    items: items
      .map(({ key, item, count }) => ({ key, item, share: count / total, perGame: count }))
      .sort((a, b) => b.share - a.share || (a.key < b.key ? -1 : 1)),
    steps: [...steps.values()].sort((a, b) =>
      a.strand < b.strand ? -1 : a.strand > b.strand ? 1 : a.step - b.step,
    ),
  }
}
