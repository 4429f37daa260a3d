import { z } from 'zod'
import { ownBand } from '../evidence/fit'
import { groupingModeSchema, type GroupingMode } from './mode'
import { bandSchema, groupingProblem, limitsSchema, type GroupingProblem } from './problem'

/** A class to be grouped, as plain data: what a server hands to a web worker. */
export const groupingRequestSchema = z.object({
  children: z.array(z.string()).max(60),
  levels: z.array(z.string()).min(1),
  /** [child][level] predicted success alone. */
  success: z.array(z.array(z.number().min(0).max(1))),
  /** Of each child on the strand the groups are made by, in logits. */
  abilities: z.array(z.number()),
  band: bandSchema,
  mode: groupingModeSchema.default('similar'),
  limits: limitsSchema,
  /** Children who were partners before, once for each time. */
  met: z.array(z.array(z.string())).default([]),
})

export type GroupingRequest = z.output<typeof groupingRequestSchema>

export const problemOfRequest = ({
  children,
  levels,
  success,
  band,
  limits,
}: GroupingRequest): GroupingProblem => groupingProblem({ children, levels, success, band, limits })

/** What each child can be expected to do at each level of the game that groups are made by. */
export interface ClassFit {
  levels: { id: string; title: string }[]
  /** Child → expected share right alone at each level. */
  success: Record<string, number[]>
  /** Child → logits on the strand the game practises most. */
  abilities: Record<string, number>
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
  { levels, success, abilities }: ClassFit,
  {
    links,
    sizes,
    ...rest
  }: {
    links: readonly Link[]
    sizes: { count: number; min: number; max: number }
    mode?: GroupingMode
    met?: string[][]
    locked?: Record<string, number>
    adultNear?: readonly string[]
    withAdult?: readonly number[]
    current?: Record<string, number>
  },
): GroupingRequest {
  const linked = (kind: Link['kind']) => links.filter((link) => link.kind === kind).map(({ a, b }) => [a, b])
  return groupingRequestSchema.parse({
    children,
    levels: levels.map(({ id }) => id),
    success: children.map((id) => success[id]),
    abilities: children.map((id) => abilities[id]),
    band: ownBand,
    mode: rest.mode,
    met: rest.met,
    limits: {
      groups: sizes,
      together: linked('together'),
      apart: linked('apart'),
      locked: rest.locked,
      adultNear: rest.adultNear,
      withAdult: rest.withAdult,
      current: rest.current,
      milliseconds: 300,
    },
  })
}

/** Sizes near even: one more or fewer than a fair share; or up to the largest, or from the smallest, that is set. */
export function evenSizes(children: number, count: number, largest?: number, smallest?: number) {
  const fair = children / count
  const max = largest ?? Math.ceil(fair) + 1
  const room = largest === undefined ? 1 : largest - Math.floor(fair)
  return { count, min: smallest ?? Math.max(1, Math.floor(fair) - room), max: Math.max(max, smallest ?? 1) }
}
