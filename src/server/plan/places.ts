import { rotate, type Place } from '@/core/planning/rotation'
import type { StoredGrouping } from '@/data/queries/groupings'
import type { Child } from '../children'
import type { PlannedGroup } from './levels'
import { cellKey, type Plan } from './schema'

/** The groups of a grouping with the children who are still in the class. */
export function groupsOf(grouping: StoredGrouping, children: readonly Child[]): PlannedGroup[] {
  const byId = new Map(children.map((child) => [child.id, child]))
  return grouping.groups.map(({ pennant, pupils, pairs }) => {
    const present = pupils.filter((id) => byId.has(id))
    return {
      pennant,
      pupils: present.map((id) => byId.get(id)!),
      pairs: present.map((id) => pairs[id] ?? null),
    }
  })
}

/** Everybody at the next station at each signal: a plan to begin with. */
export function everybodyMovesOn({ stations, slots }: Plan, groups: number): Record<string, number> {
  return Object.fromEntries(
    rotate(groups, stations.length, slots).map(({ slot, group, station }) => [cellKey(slot, group), station]),
  )
}

/** The cells that have a station which is there. */
export function placesOf({ placed = {}, slots, stations }: Plan, groups: number): Place[] {
  const places: Place[] = []
  for (let slot = 0; slot < slots; slot++)
    for (let group = 0; group < groups; group++) {
      const station = placed[cellKey(slot, group)]
      if (station !== undefined && station < stations.length) places.push({ slot, station, group })
    }
  return places
}
