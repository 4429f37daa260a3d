import { z } from 'zod'
import { fitCost, inBand, type Band } from './fit-cost'

export const bandSchema = z
  .tuple([z.number().gt(0).lt(1), z.number().gt(0).lt(1)])
  .refine(([low, high]) => low < high, { error: 'The band ends before it begins.' })

export const togetherSchema = z
  .array(z.string())
  .min(2)
  .max(40)
  .refine((children) => new Set(children).size === children.length, 'A child is in it twice.')

/** A number for each child. A name that no object keeps as its own is told, not lost. */
const byChildSchema = z
  .unknown()
  .refine((value) => typeof value !== 'object' || value === null || !Object.hasOwn(value, '__proto__'), {
    error: 'No child can be called “__proto__”.',
  })
  .pipe(z.record(z.string(), z.number().int().min(0)))

export const limitsSchema = z.object({
  groups: z
    .object({
      count: z.number().int().min(1).max(12),
      min: z.number().int().min(1),
      max: z.number().int().min(1),
    })
    .refine(({ min, max }) => min <= max, {
      path: ['max'],
      error: 'The largest group is smaller than the smallest.',
    }),
  together: z.array(togetherSchema).default([]),
  apart: z.array(togetherSchema).default([]),
  /** Child → number of the group the child stays in. */
  locked: byChildSchema.default({}),
  /** Children who need an adult near, and the numbers of the groups that have one. */
  adultNear: z.array(z.string()).default([]),
  withAdult: z.array(z.number().int().min(0)).default([0]),
  /** Child → number of the present group. */
  current: byChildSchema.nullable().default(null),
  moveCost: z.number().min(0).default(0),
  seed: z.number().int().default(1),
  milliseconds: z.number().min(1).max(60_000).default(500),
})

type Limits = z.infer<typeof limitsSchema>

/** Children, levels and limits, with the cost of every child at every level worked out. */
export interface GroupingProblem {
  children: readonly string[]
  levels: readonly string[]
  /** [child][level] predicted success alone. */
  success: readonly (readonly number[])[]
  /** [child][level] cost by fit. */
  cost: readonly (readonly number[])[]
  band: Band
  limits: Limits
  /** Along the children: false of whom too little is known to count it as in its zone or out. */
  known: readonly boolean[]
  /** Children from least to most able, where one number says so: lets the optimum be proved. */
  order: readonly number[] | null
}

export interface Grouping {
  /** In order of group number; `level` and `children` are indices into the problem. */
  groups: { level: number; children: number[] }[]
  cost: number
  /** No grouping within the limits costs less. */
  lowerBound: number
  /** Children inside the band at their group's level, of those known. */
  fitting: number
  moved: number[]
}

export function groupingProblem(
  input: Omit<GroupingProblem, 'cost' | 'order' | 'known'> &
    Partial<Pick<GroupingProblem, 'order' | 'known'>>,
): GroupingProblem {
  return {
    ...input,
    known: input.known ?? input.children.map(() => true),
    order: input.order ?? null,
    cost: input.success.map((row) => row.map((p) => fitCost(p, input.band))),
  }
}

export function childrenFitting(
  { success, band, known }: GroupingProblem,
  groups: Grouping['groups'],
): number {
  return groups.reduce(
    (sum, { level, children }) =>
      sum + children.filter((child) => known[child] && inBand(success[child][level], band)).length,
    0,
  )
}

/** What it costs by fit that children play at a level. */
export const costAt = ({ cost }: GroupingProblem, children: readonly number[], level: number) =>
  children.reduce((sum, child) => sum + cost[child][level], 0)

/** The level that costs a set of children least; of equal ones the easier. */
export function cheapestLevel(problem: GroupingProblem, children: readonly number[]) {
  let best = { level: 0, cost: Infinity }
  for (let level = 0; level < problem.levels.length; level++) {
    const total = costAt(problem, children, level)
    if (total < best.cost - 1e-12) best = { level, cost: total }
  }
  return best
}
