import type { Need } from './materials'
import { isPrinted, substitutesFor, type Substitute } from '../things'

/** How many there are of each thing; what is not listed has not been counted. */
export type Inventory = Readonly<Record<string, number>>

/** A need beside what the shelf holds. */
export interface Stocked extends Need {
  /** Null: not counted, or a page that is printed when needed. */
  have: number | null
  short: number
  /** What makes up for it, in order: so many of things that are left over, or, uncounted, if there are any. */
  instead: (Substitute & { count: number | null })[]
}

/**
 * Sets needs beside the inventory. A leftover makes up for one shortage only; needs that are met from
 * their own kind come first.
 */
export function againstInventory(needs: readonly Need[], inventory: Inventory): Stocked[] {
  const left = new Map(Object.entries(inventory))
  for (const { item, count } of needs)
    if (left.has(item)) left.set(item, Math.max(0, left.get(item)! - count))
  return needs.map((need) => {
    const have = isPrinted(need.thing) ? null : (inventory[need.item] ?? null)
    const short = have === null ? 0 : Math.max(0, need.count - have)
    const instead: Stocked['instead'] = []
    let open = short
    for (const substitute of substitutesFor(need.thing)) {
      if (open === 0) break
      const there = left.get(substitute.item)
      if (there === 0) continue
      const count = there === undefined ? null : Math.min(open, there)
      instead.push({ ...substitute, count })
      if (count === null) continue
      left.set(substitute.item, there! - count)
      open -= count
    }
    return { ...need, have, short, instead }
  })
}

/** What is still short when everything counted that can make up for it is used. */
export const toBuy = ({ short, instead }: Stocked): number =>
  short - instead.reduce((sum, { count }) => sum + (count ?? 0), 0)
