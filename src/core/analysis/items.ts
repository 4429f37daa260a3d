import { itemKey, placeOf, type PracticeItem } from '../skills'
import type { CountedItem } from './play'

function stepKey(item: PracticeItem): string {
  const { strand, step } = placeOf(item)
  return `${strand} ${step}`
}

/** Counts practice items by what they are. */
export function countItems() {
  const counts = new Map<string, { key: string; item: PracticeItem; count: number; step?: string }>()
  return {
    add(item: PracticeItem, times: number) {
      const key = itemKey(item)
      const known = counts.get(key)
      if (known) known.count += times
      else counts.set(key, { key, item, count: times })
    },
    /** Items counted by the step they are at, `strand step`; the place of each is looked up once. */
    steps(): Map<string, number> {
      const totals = new Map<string, number>()
      for (const one of counts.values()) {
        const step = (one.step ??= stepKey(one.item))
        totals.set(step, (totals.get(step) ?? 0) + one.count)
      }
      return totals
    },
    /** Every item with its count, each times `scale`. */
    list: (scale = 1): CountedItem[] =>
      [...counts.values()].map(({ key, item, count }) => ({ key, item, count: count * scale })),
  }
}
