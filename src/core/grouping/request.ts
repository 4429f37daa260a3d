import { z } from 'zod'
import { ownBand } from '../evidence/fit'
import type { Group } from './groups'
import { groupingModeSchema } from './making/mode'
import { mostGroups } from './pennants'
import {
  bandSchema,
  groupingProblem,
  limitsSchema,
  togetherSchema,
  type Grouping,
  type GroupingProblem,
} from './problem/problem'
import { ContradictoryLimits } from './problem/units'

const pennantSchema = z
  .number()
  .int()
  .min(0)
  .max(mostGroups - 1)

/** A class to be grouped, as plain data: what a server hands to a web worker. Groups go by their pennants. */
export const groupingRequestSchema = z.object({
  children: z.array(z.string()).max(60),
  levels: z.array(z.string()).min(1),
  /** [child][level] predicted success alone. */
  success: z.array(z.array(z.number().min(0).max(1))),
  /** Of each child on the strand the groups are made by, in logits. */
  abilities: z.array(z.number()),
  band: bandSchema,
  /** Children who count as neither in their zone nor out of it. */
  notKnown: z.array(z.string()).default([]),
  mode: groupingModeSchema.default('similar'),
  /** The groups that are to be. */
  pennants: z.array(pennantSchema).min(1),
  sizes: z.object({ min: z.number().int().min(1), max: z.number().int().min(1) }),
  /** The sizes are those of even groups, and give way where the limits can't be kept with them. */
  evenly: z.boolean().default(false),
  together: z.array(togetherSchema).default([]),
  apart: z.array(togetherSchema).default([]),
  /** Child → the group it stays in. */
  locked: z.record(z.string(), pennantSchema).default({}),
  /** Children who need an adult near, and the groups that have one. */
  adultNear: z.array(z.string()).default([]),
  withAdult: z.array(pennantSchema).default([]),
  /** Child → the group it is in now; null: there are none. */
  current: z.record(z.string(), pennantSchema).nullable().default(null),
  /** Children who were partners before, once for each time. */
  met: z.array(z.array(z.string())).default([]),
})

export type GroupingRequest = z.output<typeof groupingRequestSchema>

/** How long a search may go on before it tells what it has. */
const milliseconds = 300

/** The same class for the search, which counts groups in the order of their pennants. */
export function problemOfRequest({
  children,
  levels,
  success,
  band,
  ...request
}: GroupingRequest): GroupingProblem {
  const { pennants, sizes, together, apart, adultNear } = request
  // A group that is not to be any more is past the end: whoever was in it moves.
  const position = (pennant: number) =>
    pennants.includes(pennant) ? pennants.indexOf(pennant) : pennants.length
  const positions = (byChild: Record<string, number>) =>
    Object.fromEntries(Object.entries(byChild).map(([child, pennant]) => [child, position(pennant)]))
  const limits = limitsSchema.parse({
    groups: { count: pennants.length, ...sizes },
    together,
    apart,
    locked: positions(request.locked),
    adultNear,
    withAdult: request.withAdult.map(position),
    current: request.current && positions(request.current),
    milliseconds,
  })
  const known = children.map((child) => !request.notKnown.includes(child))
  return groupingProblem({ children, levels, success, band, known, limits })
}

/** Groups of a search as a class knows them. */
export const groupsById = (
  { children, levels, pennants, adultNear, withAdult }: GroupingRequest,
  groups: Grouping['groups'],
): Group[] =>
  groups.map((group, position) => ({
    pennant: pennants[position],
    levelId: levels[group.level],
    pupils: group.children.map((child) => children[child]),
    withAdult: adultNear.length > 0 && withAdult.includes(pennants[position]),
  }))

/** The other way round; a level that the game has no more is its first. */
export const groupsByIndex = (
  { children, levels }: GroupingRequest,
  groups: readonly Group[],
): Grouping['groups'] =>
  groups.map(({ levelId, pupils }) => ({
    level: Math.max(0, levels.indexOf(levelId)),
    children: pupils.map((id) => children.indexOf(id)),
  }))

/** Limits that clash, with groups told by their pennants; anything else as it is. */
export function byPennant(error: unknown, { pennants }: GroupingRequest): unknown {
  if (!(error instanceof ContradictoryLimits)) return error
  const named = <T extends object>(one: T): T =>
    'group' in one ? { ...one, group: pennants[one.group as number] ?? one.group } : one
  const { contradictions, clash } = error
  return new ContradictoryLimits(
    contradictions.map(named),
    clash && { limits: clash.limits.map(named), drop: clash.drop.map(named) },
  )
}

/** What each child can be expected to do at each level of the game that groups are made by. */
export interface ClassFit {
  levels: { id: string; title: string }[]
  /** Child → expected share right alone at each level, in the order of `levels`. */
  success: Record<string, number[]>
  /** Child → logits on the strand the game practises most. */
  abilities: Record<string, number>
  /** Children of whom too little was seen on that strand to say how a level fits. */
  notKnown: string[]
  /** Of each of these, what it could get right alone at each level if it could as little, or as much, as may well be. */
  spans: Record<string, { low: number[]; high: number[] }>
}

/** Two children to be kept apart or together. */
export interface Link {
  kind: 'apart' | 'together'
  a: string
  b: string
}

/** A class as a request, with the limits a teacher set. */
export function requestFor(
  children: readonly string[],
  { levels, success, abilities, notKnown }: ClassFit,
  {
    links,
    ...rest
  }: { links: readonly Link[] } & Pick<GroupingRequest, 'pennants' | 'sizes'> &
    Partial<
      Pick<GroupingRequest, 'mode' | 'met' | 'evenly' | 'locked' | 'adultNear' | 'withAdult' | 'current'>
    >,
): GroupingRequest {
  const linked = (kind: Link['kind']) => links.filter((link) => link.kind === kind).map(({ a, b }) => [a, b])
  return groupingRequestSchema.parse({
    children,
    levels: levels.map(({ id }) => id),
    success: children.map((id) => success[id]),
    abilities: children.map((id) => abilities[id]),
    band: ownBand,
    notKnown: notKnown.filter((id) => children.includes(id)),
    together: linked('together'),
    apart: linked('apart'),
    ...rest,
  })
}

/** Even sizes, which differ by one at most; with a largest or a smallest set, as much room below or above as it asks for. */
export function evenSizes(children: number, count: number, largest?: number, smallest?: number) {
  const fair = children / count
  const max = largest ?? (smallest === undefined ? Math.ceil(fair) : Math.ceil(fair) + 1)
  const min =
    smallest ?? Math.max(1, Math.floor(fair) - (largest === undefined ? 0 : largest - Math.floor(fair)))
  return { min, max: Math.max(max, min) }
}

/** Sizes that may give way by one after the other where limits can't be kept with them. */
export const mostUneven = 3
