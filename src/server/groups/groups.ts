import { z } from 'zod'
import { gameIdSchema, gameOf } from '@/core/games'
import { fitByNumberOfGroups } from '@/core/grouping/curves'
import { groupingModeSchema, type GroupingMode } from '@/core/grouping/mode'
import { mostGroups } from '@/core/grouping/pennants'
import { fittingAtOneLevel } from '@/core/grouping/problem'
import { propose, type Proposal } from '@/core/grouping/propose'
import {
  evenSizes,
  problemOfRequest,
  requestFor,
  type ClassFit,
  type GroupingRequest,
  type Link,
} from '@/core/grouping/request'
import { ContradictoryLimits } from '@/core/grouping/units'
import {
  groupingOf,
  insertGrouping,
  pairsBefore,
  versionsOf,
  type StoredGrouping,
  type VersionRow,
} from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { allInClass, linksOf } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from '../children'
import { classIdSchema } from '../classes'
import { todayIn } from '../clock'
import { mainStrand, successAt } from '../figures'
import { changingClass, NotHere, readingClass, Refused } from '../use-case'

export interface ShownGroup {
  pennant: number
  level: number
  children: string[]
  /** An adult stays near this group. */
  withAdult: boolean
}

/** Groups as they stand or are proposed, by the ids of children. */
export interface ShownGrouping {
  groups: ShownGroup[]
  /** Level of each child who has an own range in the same game. */
  own: Record<string, number>
  /** Pair of each child who plays in one. */
  pairs: Record<string, number>
}

export interface GroupsPage extends ShownGrouping {
  children: { id: string; name: string }[]
  gameId: string
  fit: ClassFit
  mode: GroupingMode
  locked: string[]
  /** Children who are grouped only where an adult is near. */
  adultNear: string[]
  /** Null: these groups are a proposal, not saved yet. */
  version: { number: number; day: string } | null
  versions: VersionRow[]
  links: Link[]
  /** Partners of earlier versions, once a version. */
  met: string[][]
  oneLevel: number
  byNumber: { groups: number; fitting: number }[]
}

const nearAdult = (children: readonly Child[]) =>
  children.flatMap(({ id, adultNear }) => (adultNear ? [id] : []))

const idsOf = (children: readonly Child[]) => children.map(({ id }) => id)

async function linksIn(scope: ClassScope): Promise<Link[]> {
  return (await linksOf(scope)).map(({ kind, pupilA, pupilB }) => ({ kind, a: pupilA, b: pupilB }))
}

function fitAt(gameId: string, children: readonly Child[]): ClassFit {
  const strand = mainStrand(gameId)
  const success = successAt(
    gameId,
    children.map(({ rightAlone }) => rightAlone),
  )
  return {
    levels: gameOf(gameId).levels.map(({ id, title }) => ({ id, title })),
    success: Object.fromEntries(children.map(({ id }, child) => [id, success[child]])),
    abilities: Object.fromEntries(children.map(({ id, estimates }) => [id, estimates[strand].mean])),
  }
}

/** Usual groups for a first proposal: about five children in each, at most six groups. */
const usualCount = (children: number) => Math.max(1, Math.min(6, Math.round(children / 5)))

/** The groups that stand, or a first proposal for a class without any. */
export const groupsPage = readingClass(classIdSchema, async (scope): Promise<GroupsPage> => {
  const [children, standing, links, versions, met, style] = await Promise.all([
    childrenOf(scope),
    groupingOf(scope),
    linksIn(scope),
    versionsOf(scope),
    pairsBefore(scope),
    houseStyleOf(scope),
  ])
  const gameId = standing?.gameId ?? 'landfall'
  const fit = fitAt(gameId, children)
  const mode = standing?.mode ?? style.grouping
  const count = standing?.groups.length ?? usualCount(children.length)
  const request = requestFor(idsOf(children), fit, {
    mode,
    links,
    met,
    adultNear: nearAdult(children),
    sizes: evenSizes(children.length, count),
  })
  return {
    children: children.map(({ id, name }) => ({ id, name })),
    gameId,
    fit,
    mode,
    ...(children.length === 0
      ? { groups: [], own: {}, pairs: {} }
      : standing
        ? shownStanding(standing, request)
        : ((mode === 'hand' ? null : proposedOr(request, null)) ?? everybodyInOne(request, count))),
    adultNear: nearAdult(children),
    locked: standing?.groups.flatMap(({ locked }) => locked) ?? [],
    version: standing && { number: standing.version, day: standing.day },
    versions,
    links,
    met,
    oneLevel: children.length > 0 ? fittingAtOneLevel(problemOfRequest(request)).fitting : 0,
    byNumber: children.length > 0 ? numberCurve(request) : [],
  }
})

/** Proposes to the end; `onClash` where the limits can't hold at once. */
function proposedOr<T>(request: GroupingRequest, onClash: T): ShownGrouping | T {
  try {
    const run = propose(request)
    let step = run.next()
    while (!step.done) step = run.next()
    return shown(request, step.value)
  } catch (error) {
    if (error instanceof ContradictoryLimits) return onClash
    throw error
  }
}

/** Made by hand, or where no groups keep the limits: everybody in the first, to be moved by hand. */
const everybodyInOne = ({ children }: GroupingRequest, count: number): ShownGrouping => ({
  groups: Array.from({ length: count }, (_, pennant) => ({
    pennant,
    level: 0,
    children: pennant === 0 ? [...children] : [],
    withAdult: false,
  })),
  own: {},
  pairs: {},
})

function shown({ children, limits }: GroupingRequest, { groups, own, pairs }: Proposal): ShownGrouping {
  const byChild = (values: number[] | null) =>
    Object.fromEntries((values ?? []).map((value, child) => [children[child], value]))
  return {
    groups: groups.map((group, pennant) => ({
      pennant,
      level: group.level,
      children: group.children.map((child) => children[child]),
      withAdult: limits.adultNear.length > 0 && limits.withAdult.includes(pennant),
    })),
    own: byChild(own),
    pairs: byChild(pairs),
  }
}

/** Stored groups as shown; children who came since stand in the first group until moved. */
function standingGroups({ groups, gameId }: StoredGrouping, children: readonly string[]): ShownGroup[] {
  const placed = new Set(groups.flatMap(({ pupils }) => pupils))
  const { levels } = gameOf(gameId)
  return groups.map(({ pennant, levelId, pupils, withAdult }, position) => ({
    pennant,
    withAdult,
    level: Math.max(
      0,
      levels.findIndex(({ id }) => id === levelId),
    ),
    children: [
      ...pupils.filter((id) => children.includes(id)),
      ...(position === 0 ? children.filter((id) => !placed.has(id)) : []),
    ],
  }))
}

/** The groups that stand, with the own ranges that today's estimates give. */
function shownStanding(standing: StoredGrouping, request: GroupingRequest): ShownGrouping {
  const groups = standingGroups(standing, request.children)
  const pairs = Object.assign({}, ...standing.groups.map((group) => group.pairs)) as Record<string, number>
  if (standing.mode !== 'mixed' && standing.mode !== 'pairs') return { groups, own: {}, pairs: {} }
  return { groups, own: ownLevels(request, pairs), pairs }
}

/** The level that suits each child, or both of its pair, best. */
function ownLevels(request: GroupingRequest, pairs: Record<string, number>): Record<string, number> {
  const problem = problemOfRequest(request)
  const { children } = request
  return Object.fromEntries(
    children.map((id, child) => {
      const set =
        pairs[id] === undefined
          ? [child]
          : children.flatMap((other, index) => (pairs[other] === pairs[id] ? [index] : []))
      const costs = problem.levels.map((_, level) =>
        set.reduce((sum, one) => sum + problem.cost[one][level], 0),
      )
      return [id, costs.indexOf(Math.min(...costs))]
    }),
  )
}

const curves = new Map<string, { groups: number; fitting: number }[]>()

/** The curve is a pure function of the problem, and the dearest thing on the page: kept by its content. */
function numberCurve(request: GroupingRequest) {
  const key = JSON.stringify(request.success)
  const known = curves.get(key)
  if (known) return known
  const problem = problemOfRequest(request)
  const free = { ...problem, limits: { ...problem.limits, together: [], apart: [] } }
  const made = fitByNumberOfGroups(free, [1, 2, 3, 4, 5, 6, 7, 8])
  if (curves.size > 50) curves.clear()
  curves.set(key, made)
  return made
}

/** What each child can be expected to do at each level of a game, by which groups could be made. */
export const gameFit = readingClass(
  z.object({ classId: z.uuid(), gameId: gameIdSchema }),
  async (scope, { gameId }): Promise<ClassFit & { oneLevel: number }> => {
    const children = await childrenOf(scope)
    const fit = fitAt(gameId, children)
    const sizes = evenSizes(children.length, 1)
    const request = requestFor(idsOf(children), fit, { links: [], sizes })
    return { ...fit, oneLevel: fittingAtOneLevel(problemOfRequest(request)).fitting }
  },
)

const proposeSchema = z.object({
  classId: z.uuid(),
  gameId: gameIdSchema,
  count: z.number().int().min(1).max(mostGroups),
  mode: groupingModeSchema.default('similar'),
})

/** Groups and levels chosen together, from nothing but estimates and links. */
export const proposeGroups = readingClass(proposeSchema, async (scope, { gameId, count, mode }) => {
  const [children, links, met] = await Promise.all([childrenOf(scope), linksIn(scope), pairsBefore(scope)])
  if (children.length < count) throw new Refused('There are fewer children than groups.')
  const fit = fitAt(gameId, children)
  const request = requestFor(idsOf(children), fit, {
    mode,
    links,
    met,
    adultNear: nearAdult(children),
    sizes: evenSizes(children.length, count),
  })
  const made = proposedOr(request, null)
  if (!made) throw new Refused('No groups can keep all the limits at once.')
  return { gameId, levels: fit.levels, ...made }
})

const groupSchema = z.object({
  pennant: z
    .number()
    .int()
    .min(0)
    .max(mostGroups - 1),
  levelId: z.string(),
  pupils: z.array(z.uuid()).max(60),
  withAdult: z.boolean().default(false),
  locked: z.array(z.uuid()).max(60).default([]),
  pairs: z.record(z.uuid(), z.number().int().min(0).max(60)).default({}),
})

const saveGroupsSchema = z
  .object({
    classId: z.uuid(),
    groupingId: z.uuid(),
    gameId: gameIdSchema,
    mode: groupingModeSchema.default('similar'),
    note: z.string().max(200).default(''),
    groups: z.array(groupSchema).min(1).max(mostGroups),
  })
  .superRefine(({ gameId, groups }, context) => {
    const levels = new Set(gameOf(gameId).levels.map(({ id }) => id))
    const issue = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    groups.forEach(({ levelId, pupils, locked, pairs }, index) => {
      if (!levels.has(levelId)) issue(['groups', index, 'levelId'], 'The game has no such level.')
      if (![...locked, ...Object.keys(pairs)].every((id) => pupils.includes(id)))
        issue(['groups', index], 'A child is kept in a group or a pair that it is not in.')
    })
    const pupils = groups.flatMap((group) => group.pupils)
    if (new Set(pupils).size < pupils.length) issue(['groups'], 'A child is in two groups.')
    if (new Set(groups.map(({ pennant }) => pennant)).size < groups.length)
      issue(['groups'], 'Two groups have the same name.')
  })

/** Keeps the groups as a new dated version. */
export const saveGroups = changingClass(
  saveGroupsSchema,
  async (scope, { groupingId, gameId, mode, note, groups }) => {
    const pupils = groups.flatMap((group) => group.pupils)
    if (!(await allInClass(scope, pupils))) throw new NotHere()
    const filled = groups.filter((group) => group.pupils.length > 0)
    if (filled.length === 0) throw new Refused('Every group is empty. Nothing was saved.')
    const version = await insertGrouping(scope, {
      id: groupingId,
      day: todayIn(scope.classroom.timeZone),
      strand: mainStrand(gameId),
      gameId,
      mode,
      note,
      groups: filled,
    })
    return { version }
  },
)
