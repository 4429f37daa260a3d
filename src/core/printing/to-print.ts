import type { Bundle, PrintItem } from './item'

/** What is kept of an item in its bag. */
export interface Kept {
  count: number
  missing: number
}

/** Copies still to be printed: what is needed and not in the bag; of what is not needed, none unless asked for. */
export function copiesToPrint({ role, count }: Pick<PrintItem, 'role' | 'count'>, kept: Kept | null): number {
  if (role !== 'needed') return 0
  return Math.max(0, count - (kept ? Math.max(0, kept.count - kept.missing) : 0))
}

/** Counts of a job that prints what is needed and no more, by item. */
export const countsToPrint = (
  bundles: readonly Bundle[],
  kept: ReadonlyMap<string, Kept>,
): Record<string, number> =>
  Object.fromEntries(
    bundles.flatMap(({ items }) =>
      items.map((item) => [item.id, copiesToPrint(item, kept.get(item.id) ?? null)] as const),
    ),
  )
