import type { Cell, PlacedPlan, PlannedStation } from '@/core/planning/session/plan'
import type { Filled } from '@/workers/planning'

/** Changes of a plan by hand: each gives the parts of the plan that become other ones. */
type Change = Partial<PlacedPlan>

/** A group in a slot. */
export interface At {
  slot: number
  groupId: string
}

const isAt = (cell: At, { slot, groupId }: At) => cell.slot === slot && cell.groupId === groupId

const changed = (plan: PlacedPlan, at: At, part: Partial<Cell>): Change => ({
  cells: plan.cells.map((cell) => (isAt(cell, at) ? { ...cell, ...part } : cell)),
})

/** A group is put at a station in a slot, and stays there; null: it is taken away. */
export function placeByHand(plan: PlacedPlan, at: At, stationId: string | null): Change {
  const others = plan.cells.filter((cell) => !isAt(cell, at))
  return {
    cells: stationId === null ? others : [...others, { ...at, stationId, pinned: true, levelId: null }],
  }
}

export const pin = (plan: PlacedPlan, at: At, pinned: boolean): Change => changed(plan, at, { pinned })

/** One level for all of a group; null: what fits. */
export const chooseLevel = (plan: PlacedPlan, at: At, levelId: string | null): Change =>
  changed(plan, at, { levelId })

/**
 * What the search found takes the place of what stood; levels chosen by hand stay where the station stays.
 * @param kept cells the search had to keep: one that breaks a rule has no place in what it found, and stays all the same
 */
export function takeOver(plan: PlacedPlan, { cells: found }: Filled, kept: readonly At[]): Change {
  const before = (at: At) => plan.cells.find((cell) => isAt(cell, at))
  const placed = found.map(({ slot, groupId, stationId }): Cell => {
    const stood = before({ slot, groupId })
    return {
      slot,
      groupId,
      stationId,
      pinned: stood?.pinned ?? false,
      levelId: stood?.stationId === stationId ? stood.levelId : null,
    }
  })
  const lost = kept.filter((at) => !placed.some((cell) => isAt(cell, at)))
  return { cells: [...placed, ...lost.flatMap((at) => before(at) ?? [])] }
}

/** A station less: its visits become gaps. */
export const removeStation = (plan: PlacedPlan, id: string): Change => ({
  stations: plan.stations.filter((station) => station.id !== id),
  cells: plan.cells.filter(({ stationId }) => stationId !== id),
})

/** Another game or way of having an adult at a station: levels chosen there are chosen no more. */
export const changeStation = (plan: PlacedPlan, id: string, to: Partial<PlannedStation>): Change => ({
  stations: plan.stations.map((station) => (station.id === id ? { ...station, ...to } : station)),
  cells:
    to.gameId === undefined
      ? plan.cells
      : plan.cells.map((cell) => (cell.stationId === id ? { ...cell, levelId: null } : cell)),
})

/** Slots that are no more take their visits with them; new ones begin as gaps. */
export const changeSlots = (plan: PlacedPlan, slots: number): Change => ({
  slots,
  cells: plan.cells.filter(({ slot }) => slot < slots),
})

/** The cells to be kept while the rest is planned. */
export const cellsAt = (plan: PlacedPlan, kept: readonly At[]): Cell[] =>
  plan.cells.filter((cell) => kept.some((at) => isAt(cell, at)))
