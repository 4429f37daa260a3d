import type { Plan } from '@/server/plan/plan'
import type { Filled } from '@/workers/planning'

/** Changes of a plan by hand: each gives the parts of the plan that become other ones. */
type Change = Partial<Plan>

const without = <T>(record: Record<string, T>, keys: readonly string[]) =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)))

/** A group is put at a station in a slot, and stays there; null: it is taken away. */
export function placeByHand(plan: Plan, key: string, station: number | null): Change {
  const placed = without(plan.placed ?? {}, [key])
  return {
    placed: station === null ? placed : { ...placed, [key]: station },
    pinned: [...plan.pinned.filter((one) => one !== key), ...(station === null ? [] : [key])],
    chosen: without(plan.chosen, [key]),
  }
}

export function pin(plan: Plan, key: string, on: boolean): Change {
  return { pinned: [...plan.pinned.filter((one) => one !== key), ...(on ? [key] : [])] }
}

/**
 * What the search found takes the place of what stood; levels chosen by hand stay where the station stays.
 * @param kept cells the search had to keep: one that breaks a rule has no place in what it found, and stays all the same
 */
export function takeOver(plan: Plan, { cells }: Filled, kept: readonly string[]): Change {
  const placed: Record<string, number> = {}
  for (const key of kept) if (plan.placed?.[key] !== undefined) placed[key] = plan.placed[key]
  for (const { slot, group, station } of cells) placed[`${slot}:${group}`] = station
  const moved = Object.keys(plan.chosen).filter((key) => placed[key] !== plan.placed?.[key])
  return { placed, chosen: without(plan.chosen, moved) }
}

/** A station less: its visits become gaps. */
export function removeStation(plan: Plan, station: number): Change {
  const placed = plan.placed ?? {}
  const gone = Object.keys(placed).filter((key) => placed[key] === station)
  return {
    stations: plan.stations.toSpliced(station, 1),
    placed: Object.fromEntries(
      Object.entries(without(placed, gone)).map(([key, at]) => [key, at > station ? at - 1 : at]),
    ),
    pinned: plan.pinned.filter((key) => !gone.includes(key)),
    chosen: without(plan.chosen, gone),
  }
}

/** Another game or way of having an adult at a station: levels chosen there are chosen no more. */
export function changeStation(plan: Plan, station: number, to: Partial<Plan['stations'][number]>): Change {
  const there = Object.keys(plan.placed ?? {}).filter((key) => plan.placed?.[key] === station)
  return {
    stations: plan.stations.with(station, { ...plan.stations[station], ...to }),
    chosen: to.gameId === undefined ? plan.chosen : without(plan.chosen, there),
  }
}

/** Slots that are no more take their visits with them; new ones begin as gaps. */
export function changeSlots(plan: Plan, slots: number): Change {
  const gone = Object.keys(plan.placed ?? {}).filter((key) => Number(key.split(':')[0]) >= slots)
  return {
    slots,
    placed: without(plan.placed ?? {}, gone),
    pinned: plan.pinned.filter((key) => !gone.includes(key)),
    chosen: without(plan.chosen, gone),
  }
}

/** The cells to be kept while the rest is planned, as the planner wants them. */
export const pinsOf = (plan: Plan, keys: readonly string[]) =>
  keys.flatMap((key) => {
    const station = plan.placed?.[key]
    const [slot, group] = key.split(':')
    return station === undefined ? [] : [{ session: 0, slot: Number(slot), group, station: `${station}` }]
  })
