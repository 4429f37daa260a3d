import { groupNames, mostGroups } from './pennants'
import type { Clash } from './problem/units'

/** A group as it is proposed, kept and moved about: known by its pennant, its children and its level by their ids. */
export interface Group {
  pennant: number
  levelId: string
  pupils: string[]
  /** An adult stays near this group. */
  withAdult: boolean
}

/** Groups of a class with what children have of their own in them. */
export interface Groups {
  groups: Group[]
  /** Child → id of the level it plays at where children or pairs have own ranges in the same game; else the group's. */
  own: Record<string, string>
  /** Child → pair it plays in, counted from 0; empty: the groups are not made of pairs. */
  pairs: Record<string, number>
  /** Even sizes could not keep these limits: the sizes gave way. */
  uneven?: Clash
}

/** Pennants of so many groups: those that stand keep theirs, for the others the first that no group carries. */
export function pennantsFor(standing: readonly number[], count: number): number[] {
  const free = groupNames.map((_, pennant) => pennant).filter((pennant) => !standing.includes(pennant))
  return [...standing, ...free].slice(0, Math.min(count, mostGroups))
}
