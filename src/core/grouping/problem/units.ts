import type { GroupingProblem } from './problem'

/** Children who move as one, because they are to be kept together; most units are one child. */
export interface Units {
  members: number[][]
  /** [unit][level] */
  cost: Float64Array[]
  /** [unit] → units that may not share a group. */
  apart: Set<number>[]
  /** [unit] → groups the unit may stand in, a bit each: all, or those with an adult near, or the one it is locked to. */
  open: Int32Array
  /** [unit][group] → children who would have moved if the unit stands there. */
  moves: (unit: number, group: number) => number
}

/** Limits that can't hold at once: which, and for whom. Nothing is grouped until one is dropped. */
export type Contradiction =
  | { kind: 'sizes'; children: number; least: number; most: number }
  | { kind: 'together-and-apart'; children: string[] }
  | { kind: 'locked-apart-in-one-group'; children: string[]; group: number }
  | { kind: 'together-locked-to-two-groups'; children: string[] }
  | { kind: 'locked-without-adult'; children: string[] }
  | { kind: 'too-many-kept-together'; children: string[]; most: number }
  /** No two of them clash, and yet no groups keep them all. */
  | { kind: 'together-impossible' }
  | { kind: 'unknown-child'; child: string }
  | { kind: 'unknown-group'; child: string; group: number }

/** One thing a teacher asked for. */
export type Limit =
  | { kind: 'sizes'; count: number; min: number; max: number }
  | { kind: 'together'; children: string[] }
  | { kind: 'apart'; children: string[] }
  | { kind: 'locked'; child: string; group: number }
  | { kind: 'adult-near'; child: string }

/** Limits that can't hold at once. */
export interface Clash {
  /** None of these can be spared: without any one of them the others could hold. */
  limits: Limit[]
  /** The fewest limits without which all others can hold; sizes are kept where that is possible. */
  drop: Limit[]
}

export class ContradictoryLimits extends Error {
  constructor(
    readonly contradictions: Contradiction[],
    /** Null: a limit names somebody or a group that is not there, or it took too long to say. */
    readonly clash: Clash | null = null,
  ) {
    super('The limits contradict each other.')
  }
}

/** True if the limits leave a unit one group only. */
export const isFixed = (open: number) => (open & (open - 1)) === 0

/**
 * For each group the first that the limits do not tell from it: as many units may stand in either, and the
 * same ones.
 */
export function alikeGroups(open: Int32Array, count: number): number[] {
  const columns = Array.from({ length: count }, (_, g) => open.map((mask) => (mask >> g) & 1).join(''))
  return columns.map((column) => columns.indexOf(column))
}

/** Joins children who are kept together. @throws {ContradictoryLimits} */
export function unitsOf({ children, levels, cost, limits }: GroupingProblem): Units {
  const contradictions: Contradiction[] = []
  const index = new Map(children.map((child, i) => [child, i]))
  const known = (child: string) => {
    const found = index.get(child)
    if (found === undefined) contradictions.push({ kind: 'unknown-child', child })
    return found
  }
  const { count, min, max } = limits.groups
  if (children.length < count * min || children.length > count * max)
    contradictions.push({ kind: 'sizes', children: children.length, least: count * min, most: count * max })

  const leader = children.map((_, i) => i)
  const find = (i: number): number => (leader[i] === i ? i : find(leader[i]))
  for (const set of limits.together) {
    const found = set.map(known).filter((i) => i !== undefined)
    for (const i of found) leader[find(i)] = find(found[0])
  }
  const roots = [...new Set(children.map((_, i) => find(i)))]
  const members = roots.map((root) => children.flatMap((_, i) => (find(i) === root ? [i] : [])))
  const unitOf = new Map(members.flatMap((set, unit) => set.map((child) => [child, unit] as const)))

  const locked = new Int32Array(members.length).fill(-1)
  const open = new Int32Array(members.length).fill(2 ** count - 1)
  for (const [child, group] of Object.entries(limits.locked)) {
    const i = known(child)
    if (i === undefined) continue
    if (group >= count) contradictions.push({ kind: 'unknown-group', child, group })
    const unit = unitOf.get(i)!
    if (locked[unit] >= 0 && locked[unit] !== group)
      contradictions.push({
        kind: 'together-locked-to-two-groups',
        children: members[unit].map((m) => children[m]),
      })
    locked[unit] = group
    if (group < count) open[unit] &= 1 << group
  }
  const adults = limits.withAdult.reduce((mask, g) => (g < count ? mask | (1 << g) : mask), 0)
  for (const child of limits.adultNear) {
    const i = known(child)
    if (i !== undefined) open[unitOf.get(i)!] &= adults
  }
  if (contradictions.length === 0)
    members.forEach((set, unit) => {
      if (open[unit] === 0)
        contradictions.push({ kind: 'locked-without-adult', children: set.map((i) => children[i]) })
    })

  const apart = members.map(() => new Set<number>())
  for (const set of limits.apart) {
    const found = set.map(known).filter((i) => i !== undefined)
    for (const a of found)
      for (const b of found) {
        if (a >= b) continue
        const [u, v] = [unitOf.get(a)!, unitOf.get(b)!]
        if (u === v) contradictions.push({ kind: 'together-and-apart', children: [children[a], children[b]] })
        else if (locked[u] >= 0 && locked[u] === locked[v])
          contradictions.push({
            kind: 'locked-apart-in-one-group',
            children: [children[a], children[b]],
            group: locked[u],
          })
        apart[u].add(v)
        apart[v].add(u)
      }
  }
  for (const set of members)
    if (set.length > max)
      contradictions.push({
        kind: 'too-many-kept-together',
        children: set.map((i) => children[i]),
        most: max,
      })
  if (contradictions.length > 0) throw new ContradictoryLimits(contradictions)

  return {
    members,
    cost: members.map((set) =>
      Float64Array.from(levels, (_, level) => set.reduce((sum, child) => sum + cost[child][level], 0)),
    ),
    apart,
    open,
    moves: (unit, group) =>
      limits.current === null
        ? 0
        : members[unit].filter((child) => (limits.current![children[child]] ?? group) !== group).length,
  }
}
