import { z } from 'zod'
import { logistic } from '@/core/evidence/observation'
import { games, gameIdSchema, gameOf } from '@/core/games'
import type { GroupsDraft } from '@/core/grouping/draft'
import { inBand } from '@/core/grouping/problem/fit-cost'
import { pennantsFor, type Groups } from '@/core/grouping/groups'
import { groupingModeSchema } from '@/core/grouping/making/mode'
import { mostGroups } from '@/core/grouping/pennants'
import { evenSizes, requestFor, type ClassFit, type Link } from '@/core/grouping/request'
import { strandOf, type StrandId } from '@/core/skills'
import { lockClass } from '@/data/queries/classes'
import {
  groupingOf,
  insertGrouping,
  pairsBefore,
  versionsOf,
  type StoredGrouping,
  type VersionRow,
} from '@/data/queries/groupings'
import { deleteDraft } from '@/data/queries/drafts'
import { houseStyleOf } from '@/data/queries/house-style'
import { allInClass, linksOf } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { childrenOf, fittingBand, type Child } from '../children'
import { classIdSchema } from '../classes'
import { todayIn } from '../clock'
import { groupsDraft, type Draft } from '../drafts/drafts'
import { mainStrand, successAt } from '../figures'
import { changingClass, NotHere, readingClass, Refused } from '../use-case'
import { everybodyInOne, proposedOr, shownStanding } from './shown'

export interface GroupsPage {
  children: { id: string; name: string }[]
  /** The groups in use, or a first proposal. */
  standing: GroupsDraft
  /** What lies on the table instead. */
  draft: Draft<GroupsDraft> | null
  /** What children can be expected to do at the levels of the games of both, by game. */
  fits: Record<string, ClassFit>
  /** Children who are grouped only where an adult is near. */
  adultNear: string[]
  /** Null: these groups are a proposal, not saved yet. */
  version: { number: number; day: string } | null
  versions: VersionRow[]
  links: Link[]
  /** Partners of earlier versions, once a version. */
  met: string[][]
  /** Every game with how many children some level of it fits; those that fit most come first. */
  games: { id: string; title: string; fits: number }[]
}

const nearAdult = (children: readonly Child[]) =>
  children.flatMap(({ id, adultNear }) => (adultNear ? [id] : []))

const idsOf = (children: readonly Child[]) => children.map(({ id }) => id)

async function linksIn(scope: ClassScope): Promise<Link[]> {
  return (await linksOf(scope)).map(({ kind, pupilA, pupilB }) => ({ kind, a: pupilA, b: pupilB }))
}

/** Expected success where the child is as able on the strand as at 10 and at 90 % of what is believed of it. */
function spanAt(gameId: string, child: Child, strand: StrandId) {
  const { estimates, rightAlone } = child
  const at = (ability: number) => ({
    ...child,
    rightAlone: {
      ...rightAlone,
      [strand]: strandOf(strand).steps.map(({ difficulty }) => logistic(ability - difficulty)),
    },
  })
  const [low, high] = successAt(gameId, [at(estimates[strand].p10), at(estimates[strand].p90)])
  return { low, high }
}

function fitAt(gameId: string, children: readonly Child[]): ClassFit {
  const strand = mainStrand(gameId)
  const success = successAt(gameId, children)
  return {
    levels: gameOf(gameId).levels.map(({ id, title }) => ({ id, title })),
    success: Object.fromEntries(children.map(({ id }, child) => [id, success[child]])),
    abilities: Object.fromEntries(children.map(({ id, estimates }) => [id, estimates[strand].mean])),
    spans: Object.fromEntries(
      children
        .filter(({ notKnown }) => notKnown.includes(strand))
        .map((child) => [child.id, spanAt(gameId, child, strand)]),
    ),
    notKnown: children.flatMap(({ id, notKnown }) => (notKnown.includes(strand) ? [id] : [])),
  }
}

/** Every game by how many children some level of it fits. */
function gamesByFit(children: readonly Child[]): GroupsPage['games'] {
  return games
    .map(({ id, title }) => {
      const fits = successAt(id, children).filter((row) => row.some((share) => inBand(share, fittingBand)))
      return { id, title, fits: fits.length }
    })
    .sort((a, b) => b.fits - a.fits || a.title.localeCompare(b.title))
}

/** Usual groups for a first proposal: about five children in each, at most six groups. */
const usualCount = (children: number) => Math.max(1, Math.min(6, Math.round(children / 5)))

/** The groups that stand, or a first proposal for a class without any. */
export const groupsPage = readingClass('groupsPage', classIdSchema, async (scope): Promise<GroupsPage> => {
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
  const pennants = pennantsFor(standing?.groups.map(({ pennant }) => pennant) ?? [], count)
  const request = requestFor(idsOf(children), fit, {
    mode,
    links,
    met,
    adultNear: nearAdult(children),
    pennants,
    withAdult: pennants.slice(0, 1),
    sizes: evenSizes(children.length, count),
    evenly: true,
  })
  const { groups, own, pairs }: Groups =
    children.length === 0
      ? { groups: [], own: {}, pairs: {} }
      : standing
        ? shownStanding(standing, request)
        : ((mode === 'hand' ? null : proposedOr(request, null)) ?? everybodyInOne(request))
  const draft = await groupsDraft(scope, idsOf(children))
  const draftGame = draft?.history.now.gameId ?? gameId
  return {
    children: children.map(({ id, name }) => ({ id, name })),
    standing: {
      gameId,
      mode,
      note: '',
      groups,
      own,
      pairs,
      locked: lockedIn(standing, fit),
    },
    draft,
    fits: { [gameId]: fit, [draftGame]: draftGame === gameId ? fit : fitAt(draftGame, children) },
    adultNear: nearAdult(children),
    version: standing && { number: standing.version, day: standing.day },
    versions,
    links,
    met,
    games: gamesByFit(children),
  }
})

/** What each child can be expected to do at each level of a game, by which groups could be made. */
export const gameFit = readingClass(
  'gameFit',
  z.object({ classId: z.uuid(), gameId: gameIdSchema }),
  async (scope, { gameId }): Promise<ClassFit> => fitAt(gameId, await childrenOf(scope)),
)

/** An earlier version as it would stand today: to be put on the table and kept as a new one. */
export const earlierGroups = readingClass(
  'earlierGroups',
  z.object({ classId: z.uuid(), groupingId: z.uuid() }),
  async (scope, { groupingId }) => {
    const [stored, children] = await Promise.all([groupingOf(scope, groupingId), childrenOf(scope)])
    if (!stored) throw new NotHere()
    const fit = fitAt(stored.gameId, children)
    const request = requestFor(idsOf(children), fit, {
      mode: stored.mode,
      links: [],
      pennants: stored.groups.map(({ pennant }) => pennant),
      sizes: evenSizes(children.length, stored.groups.length),
    })
    return {
      gameId: stored.gameId,
      mode: stored.mode,
      fit,
      locked: lockedIn(stored, fit),
      ...shownStanding(stored, request),
    }
  },
)

/** Who of those still here is kept in its group when groups are made anew. */
const lockedIn = (stored: StoredGrouping | null, { success }: ClassFit): string[] =>
  stored?.groups.flatMap(({ locked }) => locked.filter((id) => id in success)) ?? []

const proposeSchema = z.object({
  classId: z.uuid(),
  gameId: gameIdSchema,
  count: z.number().int().min(1).max(mostGroups),
  mode: groupingModeSchema.default('similar'),
})

/** Groups and levels chosen together, from nothing but estimates and links. */
export const proposeGroups = readingClass(
  'proposeGroups',
  proposeSchema,
  async (scope, { gameId, count, mode }) => {
    const [children, links, met] = await Promise.all([childrenOf(scope), linksIn(scope), pairsBefore(scope)])
    if (children.length < count) throw new Refused('There are fewer children than groups.')
    const fit = fitAt(gameId, children)
    const pennants = pennantsFor([], count)
    const request = requestFor(idsOf(children), fit, {
      mode,
      links,
      met,
      adultNear: nearAdult(children),
      pennants,
      withAdult: pennants.slice(0, 1),
      sizes: evenSizes(children.length, count),
      evenly: true,
    })
    const made = proposedOr(request, null)
    if (!made) throw new Refused('No groups can keep all the limits at once.')
    return { gameId, levels: fit.levels, ...made }
  },
)

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
  'saveGroups',
  saveGroupsSchema,
  async (scope, { groupingId, gameId, mode, note, groups }) => {
    const pupils = groups.flatMap((group) => group.pupils)
    if (!(await allInClass(scope, pupils))) throw new NotHere()
    await lockClass(scope)
    // Sent again because its answer was lost: kept already.
    const kept = await groupingOf(scope, groupingId)
    if (kept) return { version: kept.version }
    const filled = groups.filter((group) => group.pupils.length > 0)
    if (filled.length === 0) throw new Refused('Every group is empty. Nothing was saved.')
    const version = await insertGrouping(scope, {
      id: groupingId,
      day: todayIn(scope.classroom.timeZone),
      strand: mainStrand(gameId),
      gameId,
      mode,
      note,
      groups: filled.map((group) => ({ ...group, id: crypto.randomUUID() })),
    })
    await deleteDraft(scope, 'groups')
    return { version }
  },
)
