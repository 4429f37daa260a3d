import { z } from 'zod'
import { fitCost } from '../problem/fit-cost'
import { groupInputSchema, problemOf } from '../making/make-groups'
import { regroupWithin, type Change } from './regrouping'

/** A class in its groups, for the core's command line: as for `group`, with the levels the groups play now. */
export const regroupInputSchema = groupInputSchema
  .and(
    z.object({
      /** Ids of levels, by the number of the group. */
      levelsNow: z.array(z.string()),
      moves: z.number().int().min(0).max(60).default(3),
    }),
  )
  .superRefine(({ children, levels, groups, current, levelsNow }, context) => {
    const issue = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    if (levelsNow.length !== groups.count)
      issue(['levelsNow'], `There are ${groups.count} groups, ${levelsNow.length} levels.`)
    levelsNow.forEach((id, i) => {
      if (!levels.some((level) => level.id === id)) issue(['levelsNow', i], `No level “${id}”.`)
    })
    for (const { id } of children)
      if (current === null || !Object.hasOwn(current, id))
        issue(['current', id], 'Every child needs its present group.')
  })

interface Named {
  id: string
  before: number
  after: number
}

/** The best regrouping within the moves, and everyone whose predicted success it changes, moved or not. */
export interface Regrouped {
  groups: { level: string; children: string[] }[]
  moved: string[]
  better: Named[]
  worse: Named[]
}

export function regroupFor(input: z.output<typeof regroupInputSchema>): Regrouped {
  const { levelsNow, moves, ...rest } = input
  const problem = problemOf(rest)
  const { children, levels, band, limits } = problem
  const present = levelsNow.map((level, g) => ({
    level: levels.indexOf(level),
    children: children.flatMap((id, child) => (limits.current![id] === g ? [child] : [])),
  }))
  const { made, changes } = regroupWithin(problem, present, moves)
  const named = ({ child, here, there }: Change): Named => ({
    id: children[child],
    before: here,
    after: there,
  })
  const changed = changes.filter(({ here, there }) => here !== there)
  // Inside the zone both before and after: more right alone counts as better.
  const isBetter = ({ here, there }: Change) => {
    const nearer = fitCost(here, band) - fitCost(there, band)
    return nearer === 0 ? there > here : nearer > 0
  }
  return {
    groups: made.groups.map((group) => ({
      level: levels[group.level],
      children: group.children.map((child) => children[child]),
    })),
    moved: made.moved.map((child) => children[child]),
    better: changed.filter(isBetter).map(named),
    worse: changed.filter((one) => !isBetter(one)).map(named),
  }
}
