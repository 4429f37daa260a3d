import type { Material } from '../games'

/** What one visit needs: the game's materials and the sizes of its sets. */
export interface SlotDemand {
  slot: number
  station: number
  materials: readonly Material[]
  sets: readonly number[]
}

export interface Need {
  item: string
  count: number
  /** Counted in `count`: one in ten, at least one, for loose things. */
  spare: number
}

/** Loose things wander: one spare in ten, at least one. */
const spareOf = (count: number) => Math.max(1, Math.floor(count / 10))

function demandOf(demands: readonly SlotDemand[]): Map<string, { count: number; loose: boolean }> {
  const total = new Map<string, { count: number; loose: boolean }>()
  for (const { materials, sets } of demands)
    for (const { item, perPlayer = 0, perSet = 0, loose = false } of materials) {
      const players = sets.reduce((sum, size) => sum + size, 0)
      const known = total.get(item)?.count ?? 0
      total.set(item, { count: known + perSet * sets.length + perPlayer * players, loose })
    }
  return total
}

/** For each item the most that is in use at once: what moves on with the slots is not counted twice. */
function mostAtOnce(slots: readonly (readonly SlotDemand[])[]): Need[] {
  const most = new Map<string, { count: number; loose: boolean }>()
  for (const demands of slots)
    for (const [item, need] of demandOf(demands))
      if (need.count > (most.get(item)?.count ?? 0)) most.set(item, need)
  return [...most]
    .map(([item, { count, loose }]) => {
      const spare = loose ? spareOf(count) : 0
      return { item, count: count + spare, spare }
    })
    .sort((a, b) => (a.item < b.item ? -1 : 1))
}

const bySlot = (demands: readonly SlotDemand[]) =>
  [...new Set(demands.map(({ slot }) => slot))].map((slot) =>
    demands.filter((demand) => demand.slot === slot),
  )

/** What to lay out at each station (the most of any slot) and to have in all. */
export function materialsOf(
  demands: readonly SlotDemand[],
  stations: number,
): { stations: Need[][]; all: Need[] } {
  return {
    stations: Array.from({ length: stations }, (_, station) =>
      mostAtOnce(bySlot(demands.filter((demand) => demand.station === station))),
    ),
    all: mostAtOnce(bySlot(demands)),
  }
}
