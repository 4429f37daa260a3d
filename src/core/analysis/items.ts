import { itemKey, type PracticeItem } from '../skills'
import type { CountedItem } from './play'

/** Counts practice items by what they are. */
export function countItems() {
  const counts = new Map<string, { key: string; item: PracticeItem; count: number }>()
  return {
    add(item: PracticeItem, times: number) {
      const key = itemKey(item)
      const known = counts.get(key)
      if (known) known.count += times
      else counts.set(key, { key, item, count: times })
    },
    /** Every item with its count, each times `scale`. */
    list: (scale = 1): CountedItem[] =>
      [...counts.values()].map(({ key, item, count }) => ({ key, item, count: count * scale })),
  }
}
