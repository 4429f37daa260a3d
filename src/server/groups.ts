import { z } from 'zod'
import { gameIdSchema, gameOf } from '@/core/games'
import { fitByMoves, fitByNumberOfGroups } from '@/core/grouping/curves'
import { makeGroups, presentGrouping } from '@/core/grouping/group'
import { mostGroups } from '@/core/grouping/pennants'
import {
  fittingAtOneLevel,
  groupingProblem,
  limitsSchema,
  type Grouping,
  type GroupingProblem,
} from '@/core/grouping/problem'
import { ContradictoryLimits, type Contradiction, type Limit } from '@/core/grouping/units'
import {
  groupingOf,
  insertGrouping,
  versionsOf,
  type StoredGrouping,
  type VersionRow,
} from '@/data/queries/groupings'
import { allInClass, linksOf } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { childrenOf, fittingBand, type Child } from './children'
import { classIdSchema } from './classes'
import { todayIn } from './clock'
import { mainStrand, successAt } from './figures'
import { changingClass, NotHere, readingClass, Refused } from './use-case'

interface GroupChild {
  id: string
  name: string
  /** Expected share right alone at each level of the game. */
  success: number[]
}

export interface ShownGroup {
  pennant: number
  level: number
  children: string[]
}

export interface GroupsPage {
  children: GroupChild[]
  gameId: string
  levels: { id: string; title: string }[]
  groups: ShownGroup[]
  /** Null: these groups are a proposal, not saved yet. */
  version: { number: number; day: string } | null
  versions: VersionRow[]
  links: Link[]
  oneLevel: { level: number; fitting: number }
  byNumber: { groups: number; fitting: number }[]
}

export type Link = { kind: 'apart' | 'together'; a: string; b: string }

async function linked(scope: ClassScope): Promise<Link[]> {
  return (await linksOf(scope)).map(({ kind, pupilA, pupilB }) => ({ kind, a: pupilA, b: pupilB }))
}

function problemFor(
  children: readonly Child[],
  gameId: string,
  links: readonly Link[],
  groups: { count: number; min: number; max: number },
  current: Record<string, number> | null = null,
): GroupingProblem {
  const pairs = (kind: Link['kind']) => links.filter((link) => link.kind === kind).map(({ a, b }) => [a, b])
  return groupingProblem({
    children: children.map(({ id }) => id),
    levels: gameOf(gameId).levels.map(({ id }) => id),
    success: successAt(
      gameId,
      children.map(({ rightAlone }) => rightAlone),
    ),
    band: fittingBand,
    limits: limitsSchema.parse({
      groups,
      together: pairs('together'),
      apart: pairs('apart'),
      current,
      milliseconds: 300,
    }),
  })
}

/** Sizes near even: one more or fewer than a fair share; or up to the largest that is allowed. */
function evenSizes(children: number, count: number, largest?: number) {
  const fair = children / count
  return largest === undefined
    ? { count, min: Math.max(1, Math.floor(fair) - 1), max: Math.ceil(fair) + 1 }
    : { count, min: Math.max(1, Math.floor(fair) - (largest - Math.floor(fair))), max: largest }
}

const shown = (
  { children }: GroupingProblem,
  { groups }: Grouping,
  pennants: readonly number[],
): ShownGroup[] =>
  groups.map((group, position) => ({
    pennant: pennants[position] ?? position,
    level: group.level,
    children: group.children.map((child) => children[child]),
  }))

/** Groups within the limits, or a refusal that names the limits that clash and what to drop. */
function explained<T>(children: readonly Child[], run: () => T): T {
  try {
    return run()
  } catch (error) {
    if (!(error instanceof ContradictoryLimits)) throw error
    const { contradictions, clash } = error
    const names = new Map(children.map(({ id, name }) => [id, name]))
    throw new Refused(
      [
        ...contradictions.map(contradictionText),
        clash &&
          `Groups are possible without: ${clash.drop.map((limit) => limitText(limit, names)).join('; ')}.`,
      ]
        .filter(Boolean)
        .join(' '),
    )
  }
}

function contradictionText(contradiction: Contradiction): string {
  switch (contradiction.kind) {
    case 'sizes':
      return `Groups of these sizes hold ${contradiction.least} to ${contradiction.most} children; the class has ${contradiction.children}.`
    case 'together-and-apart':
      return 'Two children are to be kept together and apart at once.'
    case 'too-many-kept-together':
      return `More children are kept together than a group holds (${contradiction.most}).`
    default:
      return 'No groups can keep all the limits at once.'
  }
}

function limitText(limit: Limit, names: ReadonlyMap<string, string>): string {
  const list = (ids: readonly string[]) => ids.map((id) => names.get(id) ?? 'a child').join(' and ')
  switch (limit.kind) {
    case 'apart':
      return `keeping ${list(limit.children)} apart`
    case 'together':
      return `keeping ${list(limit.children)} together`
    case 'locked':
      return `keeping ${list([limit.child])} in the group`
    case 'sizes':
      return 'these sizes'
  }
}

/** Usual groups for a first proposal: about five children in each, at most six groups. */
const usualCount = (children: number) => Math.max(1, Math.min(6, Math.round(children / 5)))

/** The groups that stand, or a first proposal for a class without any. */
export const groupsPage = readingClass(classIdSchema, async (scope): Promise<GroupsPage> => {
  const [children, standing, links, versions] = await Promise.all([
    childrenOf(scope),
    groupingOf(scope),
    linked(scope),
    versionsOf(scope),
  ])
  const gameId = standing?.gameId ?? 'landfall'
  const levels = gameOf(gameId).levels
  const count = standing?.groups.length ?? usualCount(children.length)
  const problem = problemFor(children, gameId, links, evenSizes(children.length, count))
  const groups =
    children.length === 0
      ? []
      : standing
        ? standingGroups(standing, children)
        : explained(children, () => shown(problem, makeGroups(problem), []))
  return {
    children: children.map(({ id, name }, index) => ({
      id,
      name,
      success: problem.success[index] as number[],
    })),
    gameId,
    levels: levels.map(({ id, title }) => ({ id, title })),
    groups,
    version: standing && { number: standing.version, day: standing.day },
    versions,
    links,
    oneLevel: children.length > 0 ? fittingAtOneLevel(problem) : { level: 0, fitting: 0 },
    byNumber: children.length > 0 ? numberCurve(problem) : [],
  }
})

/** Stored groups as shown; children who came since stand in the first group until moved. */
function standingGroups({ groups, gameId }: StoredGrouping, children: readonly Child[]): ShownGroup[] {
  const present = new Set(children.map(({ id }) => id))
  const placed = new Set(groups.flatMap(({ pupils }) => pupils))
  const levels = gameOf(gameId).levels
  return groups.map(({ pennant, levelId, pupils }, position) => ({
    pennant,
    level: Math.max(
      0,
      levels.findIndex(({ id }) => id === levelId),
    ),
    children: [
      ...pupils.filter((id) => present.has(id)),
      ...(position === 0 ? children.map(({ id }) => id).filter((id) => !placed.has(id)) : []),
    ],
  }))
}

const curves = new Map<string, { groups: number; fitting: number }[]>()

/** The curve is a pure function of the problem, and the dearest thing on the page: kept by its content. */
function numberCurve(problem: GroupingProblem) {
  const key = JSON.stringify([problem.success, problem.limits.together, problem.limits.apart])
  const known = curves.get(key)
  if (known) return known
  const made = explained([], () =>
    fitByNumberOfGroups(
      { ...problem, limits: { ...problem.limits, together: [], apart: [] } },
      [1, 2, 3, 4, 5, 6, 7, 8],
    ),
  )
  if (curves.size > 50) curves.clear()
  curves.set(key, made)
  return made
}

const proposeSchema = z.object({
  classId: z.uuid(),
  gameId: gameIdSchema,
  count: z.number().int().min(1).max(mostGroups),
  /** Most children in a group; left out: about even sizes. */
  largest: z.number().int().min(1).max(60).optional(),
})

/** Groups and levels chosen together, from nothing but estimates and links. */
export const proposeGroups = readingClass(proposeSchema, async (scope, { gameId, count, largest }) => {
  const children = await childrenOf(scope)
  if (children.length < count) throw new Refused('There are fewer children than groups.')
  const problem = problemFor(
    children,
    gameId,
    await linked(scope),
    evenSizes(children.length, count, largest),
  )
  return {
    gameId,
    levels: gameOf(gameId).levels.map(({ id, title }) => ({ id, title })),
    success: Object.fromEntries(children.map(({ id }, index) => [id, problem.success[index] as number[]])),
    groups: explained(children, () => shown(problem, makeGroups(problem), [])),
    oneLevel: fittingAtOneLevel(problem),
  }
})

const groupSchema = z.object({
  pennant: z
    .number()
    .int()
    .min(0)
    .max(mostGroups - 1),
  levelId: z.string(),
  pupils: z.array(z.uuid()).max(60),
})

const saveGroupsSchema = z
  .object({
    classId: z.uuid(),
    groupingId: z.uuid(),
    gameId: gameIdSchema,
    note: z.string().max(200).default(''),
    groups: z.array(groupSchema).min(1).max(mostGroups),
  })
  .superRefine(({ gameId, groups }, context) => {
    const levels = new Set(gameOf(gameId).levels.map(({ id }) => id))
    groups.forEach(({ levelId }, index) => {
      if (!levels.has(levelId))
        context.addIssue({
          code: 'custom',
          path: ['groups', index, 'levelId'],
          message: 'The game has no such level.',
        })
    })
    const pupils = groups.flatMap((group) => group.pupils)
    if (new Set(pupils).size < pupils.length)
      context.addIssue({ code: 'custom', path: ['groups'], message: 'A child is in two groups.' })
    if (new Set(groups.map(({ pennant }) => pennant)).size < groups.length)
      context.addIssue({ code: 'custom', path: ['groups'], message: 'Two groups have the same name.' })
  })

/** Keeps the groups as a new dated version. */
export const saveGroups = changingClass(
  saveGroupsSchema,
  async (scope, { groupingId, gameId, note, groups }) => {
    if (
      !(await allInClass(
        scope,
        groups.flatMap(({ pupils }) => pupils),
      ))
    )
      throw new NotHere()
    const filled = groups.filter(({ pupils }) => pupils.length > 0)
    if (filled.length === 0) throw new Refused('Every group is empty. Nothing was saved.')
    const day = todayIn(scope.classroom.timeZone)
    const version = await insertGrouping(scope, {
      id: groupingId,
      day,
      strand: mainStrand(gameId),
      gameId,
      note,
      groups: filled,
    })
    return { version }
  },
)

export interface Regrouping {
  fitting: number
  /** How far children stand outside their zone in all. */
  cost: number
  groups: ShownGroup[]
  /** Who moves, and what is expected here and there. */
  moves: { child: string; from: number; to: number; here: number; there: number }[]
}

/** Worth showing: more children in their zone than with fewer moves, or clearly nearer to it. */
const better = (made: Grouping, fewerMoves: readonly Grouping[]) =>
  made.fitting > Math.max(...fewerMoves.map(({ fitting }) => fitting)) ||
  (made.fitting === Math.max(...fewerMoves.map(({ fitting }) => fitting)) &&
    made.cost < 0.8 * Math.min(...fewerMoves.map(({ cost }) => cost)))

/** Regroupings of the groups that stand, each with the fewest moves for what it gains; without moves first. */
export const suggestMoves = readingClass(classIdSchema, async (scope): Promise<Regrouping[]> => {
  const children = await childrenOf(scope)
  const standing = await groupingOf(scope)
  if (!standing) throw new Refused('There are no groups yet.')
  const present = standingGroups(standing, children)
  const current = Object.fromEntries(present.flatMap((group, g) => group.children.map((id) => [id, g])))
  const sizes = present.map((group) => group.children.length)
  const even = evenSizes(children.length, present.length)
  const limits = {
    count: present.length,
    min: Math.min(even.min, ...sizes),
    max: Math.max(even.max, ...sizes),
  }
  const problem = problemFor(children, standing.gameId, await linked(scope), limits, current)
  const index = new Map(children.map(({ id }, i) => [id, i]))
  const now = presentGrouping(
    problem,
    present.map((group) => group.children.map((id) => index.get(id)!)),
    present.map(({ level }) => level),
  )
  const pennants = present.map(({ pennant }) => pennant)
  const found = explained(children, () => fitByMoves(problem))
  return [now, ...found]
    .filter((made, i, all) => i === 0 || better(made, all.slice(0, i)))
    .map((made) => {
      const groups = shown(problem, made, pennants)
      return {
        fitting: made.fitting,
        cost: made.cost,
        groups,
        moves: made.moved.map((child) => {
          const id = problem.children[child]
          const from = current[id]
          const to = groups.findIndex((group) => group.children.includes(id))
          return {
            child: id,
            from,
            to,
            here: problem.success[child][present[from].level],
            there: problem.success[child][groups[to].level],
          }
        }),
      }
    })
})
