import { z } from 'zod'
import { analyse, analyseInputSchema, NoExactAnalysis } from '@/core/analysis/analyse'
import type { Distribution } from '@/core/chance/distribution'
import { NoCommonMass } from '@/core/evidence/ability'
import { estimate, estimateInputSchema } from '@/core/evidence/estimate'
import { probe, probeInputSchema } from '@/core/evidence/quick-check'
import { suggestFor, suggestInputSchema } from '@/core/evidence/suggest-input'
import { games } from '@/core/games'
import { groupInputSchema, makeGroups, problemOf } from '@/core/grouping/making/make-groups'
import { mixGroups } from '@/core/grouping/making/mixed'
import { regroupFor, regroupInputSchema } from '@/core/grouping/regrouping/regroup-input'
import { partnerRounds, partnersInputSchema } from '@/core/grouping/partners/partners'
import { ContradictoryLimits } from '@/core/grouping/problem/units'
import { checkMenu, menuInputSchema } from '@/core/planning/menu'
import { makePlan } from '@/core/planning/plan/plan'
import { planInputSchema } from '@/core/planning/plan/problem'
import { materialsFor, materialsInputSchema } from '@/core/planning/materials-input'
import { demonstration, play, slipsOf } from './play'
import { inputProblems } from './input-problems'
import { print } from './print'
import { tasks, texts } from './teaching'

const groupModeSchema = z.object({ mode: z.enum(['similar', 'mixed']).default('similar') })

/** What each verb answers. A verb throws a ZodError for bad input, anything else for a fault of ours. */
export const verbs: Record<string, (input: unknown) => unknown> = {
  games: (input) => {
    z.object({}).parse(input)
    return {
      games: games.map(({ id, title, players, levels }) => ({
        id,
        title,
        players,
        levels: levels.map((level) => ({ id: level.id, title: level.title, params: level.params })),
      })),
    }
  },

  analyse: (input) => {
    const parsed = analyseInputSchema.parse(input)
    const analysis = asInputProblem('method', () => analyse(parsed))
    const { set, minutes, own, ...rest } = analysis
    return {
      ...own,
      ...rest,
      set: set && { ...set, distribution: set.distribution && massFromZero(set.distribution) },
      minutes: minutes && { ...minutes, seconds: undefined },
    }
  },

  estimate: (input) => {
    const parsed = estimateInputSchema.parse(input)
    return asInputProblem('observations', () => estimate(parsed))
  },

  probe: (input) => {
    const parsed = probeInputSchema.parse(input)
    return asInputProblem('observations', () => probe(parsed))
  },

  group: (input) => {
    const parsed = z.intersection(groupInputSchema, groupModeSchema).parse(input)
    const problem = problemOf(parsed)
    if (parsed.mode === 'mixed') {
      const abilities = parsed.children.map(({ ability }) => ability)
      const { groups, between } = asInputProblem('groups', () => mixGroups(problem, abilities))
      return {
        groups: groups.map(({ children, levels }) => ({
          children: children.map((child) => problem.children[child]),
          levels: levels.map((level) => problem.levels[level]),
        })),
        between,
      }
    }
    const made = asInputProblem('groups', () => makeGroups(problem))
    const id = (child: number) => problem.children[child]
    return {
      groups: made.groups.map(({ level, children }) => ({
        level: problem.levels[level],
        children: children.map(id),
      })),
      cost: made.cost,
      lowerBound: made.lowerBound,
      fit: made.fitting / problem.children.length,
      moved: made.moved.map(id),
    }
  },

  regroup: (input) => {
    const parsed = regroupInputSchema.parse(input)
    return asInputProblem('groups', () => regroupFor(parsed))
  },

  suggest: (input) => {
    const parsed = suggestInputSchema.parse(input)
    return asInputProblem('observations', () => suggestFor(parsed))
  },

  plan: (input) => makePlan(planInputSchema.parse(input)),

  materials: (input) => materialsFor(materialsInputSchema.parse(input)),

  menu: (input) => checkMenu(menuInputSchema.parse(input)),

  play,

  demonstrate: demonstration,

  texts,
  tasks,
  print,
  slips: slipsOf,

  partners: (input) => partnerRounds(partnersInputSchema.parse(input)),
}

/** A distribution as the list of P(value = 0), P(value = 1), … */
const massFromZero = ({ from, mass }: Distribution) => [...Array<number>(from).fill(0), ...mass]

/** What the core refuses on grounds of the input, told like any other problem with the input. */
function asInputProblem<T>(path: string, run: () => T): T {
  try {
    return run()
  } catch (error) {
    if (error instanceof NoExactAnalysis || error instanceof NoCommonMass)
      throw inputProblems(path, [error.message])
    if (error instanceof ContradictoryLimits)
      throw inputProblems(path, [
        ...error.contradictions.map((contradiction) => `contradiction: ${JSON.stringify(contradiction)}`),
        ...(error.clash
          ? [
              `these clash: ${JSON.stringify(error.clash.limits)}`,
              `it works without: ${JSON.stringify(error.clash.drop)}`,
            ]
          : []),
      ])
    throw error
  }
}
