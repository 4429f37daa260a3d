import type { Material } from '../games'
import { isLoose, nameOf, type Thing } from '../things'

/** What one visit needs: the game's materials and the sizes of its sets. */
export interface SlotDemand {
  /** Session of the week, where there are several. */
  session?: number
  slot: number
  station: number
  materials: readonly Material[]
  sets: readonly number[]
}

export interface Need {
  thing: Thing
  /** Its name, by which the shelf is counted: different things have different names. */
  item: string
  count: number
  /** Counted in `count`: one in ten, at least one, for loose things. */
  spare: number
}

/** Loose things wander: so many spares a piece, at least one. */
const spareShare = 0.1

/** How many of each thing, by its name. */
type Demand = Map<string, { thing: Thing; count: number }>

function demandOf(demands: readonly SlotDemand[]): Demand {
  const total: Demand = new Map()
  for (const { materials, sets } of demands)
    for (const { thing, perPlayer = 0, perSet = 0 } of materials) {
      const players = sets.reduce((sum, size) => sum + size, 0)
      const item = nameOf(thing)
      const known = total.get(item)?.count ?? 0
      total.set(item, { thing, count: known + perSet * sets.length + perPlayer * players })
    }
  return total
}

/** For each item the most that is in use at once: what moves on with the slots is not counted twice. */
function mostAtOnce(slots: readonly (readonly SlotDemand[])[], spares: number): Need[] {
  const most: Demand = new Map()
  for (const demands of slots)
    for (const [item, need] of demandOf(demands))
      if (need.count > (most.get(item)?.count ?? 0)) most.set(item, need)
  return [...most]
    .map(([item, { thing, count }]) => {
      const spare = isLoose(thing) && spares > 0 ? Math.max(1, Math.floor(count * spares + 1e-9)) : 0
      return { thing, item, count: count + spare, spare }
    })
    .sort((a, b) => (a.item < b.item ? -1 : 1))
}

/** Demands that run at the same time, together. */
function atOnce(demands: readonly SlotDemand[]): SlotDemand[][] {
  const moments = new Map<string, SlotDemand[]>()
  for (const demand of demands) {
    const moment = `${demand.session ?? 0} ${demand.slot}`
    moments.set(moment, [...(moments.get(moment) ?? []), demand])
  }
  return [...moments.values()]
}

/**
 * What to lay out at each station and to have in all: the most that is in use in any slot of any session.
 * For pages it is what has to be printed once for the whole week.
 * @param spares share of loose things added as spares
 */
export function materialsOf(
  demands: readonly SlotDemand[],
  stations: number,
  spares = spareShare,
): { stations: Need[][]; all: Need[] } {
  return {
    stations: Array.from({ length: stations }, (_, station) =>
      mostAtOnce(atOnce(demands.filter((demand) => demand.station === station)), spares),
    ),
    all: mostAtOnce(atOnce(demands), spares),
  }
}
