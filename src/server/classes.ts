import { z } from 'zod'
import { isToCome } from '@/core/evidence/begun'
import { placementByYear, surenesses, yearGroupSchema, type YearGroup } from '@/core/evidence/prior'
import { isName, longestName, readChildren, readTable, type LineProblem } from '@/core/formats/class-list'
import { hasStep, placedStrands, strandIds, strandSets, type StrandId } from '@/core/skills'
import { workedOn } from '@/core/house-style'
import { placementOf } from '@/data/queries/estimates'
import { lockPupils } from '@/data/queries/observations'
import { groupingOf } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { serverDatabase } from '@/data/server-database'
import { tellOfClass } from '@/data/queries/telling'
import { classesOf, classExists, insertClass, type ClassCard } from '@/data/queries/classes'
import {
  allInClass,
  estimatesOf,
  insertPupils,
  leftPupilsOf,
  linksOf,
  placementsOf,
  pupilsOf,
  replaceLinks,
  savePlacements,
  setAdultNear,
  updatePupil,
} from '@/data/queries/pupils'
import { enterClass, type ClassScope } from '@/data/scope'
import { inTransaction } from '@/data/transaction'
import { now, todayIn, isTimeZone } from './clock'
import { beginEstimates, estimateByYear, rebuildEstimate } from './estimates'
import {
  asAdult,
  changingClass,
  changingInParts,
  discreetly,
  NotHere,
  readingClass,
  Refused,
  type UseCase,
} from './use-case'

const columnSchema = z.enum(['name', 'initial', 'year', 'ignore'])

/** A pasted or uploaded list with the mapping the teacher confirmed. */
const listSchema = z.object({
  text: z.string().max(20_000),
  columns: z.array(columnSchema).max(40),
  hasHeader: z.boolean(),
})

const createClassSchema = z.object({
  classId: z.uuid(),
  name: z.string().trim().min(1, 'Give the class a name.').max(40),
  yearGroup: yearGroupSchema,
  timeZone: z.string().max(60).refine(isTimeZone, 'No such time zone.').default('Europe/London'),
  list: listSchema,
})

export const listClasses: UseCase<void, ClassCard[]> = (viewer) =>
  discreetly(async () => (viewer.linkId ? [] : classesOf(await serverDatabase(), viewer.adultId)))

/** A new class with its children, placed by year group. All or nothing. */
export const createClass = asAdult('createClass', createClassSchema, async (database, input, viewer) => {
  const { list, ...row } = input
  return inTransaction(database, async (transaction) => {
    // Sent again because its answer was lost: made already. Somebody else's number is told like any other refusal.
    const made = await enterClass(transaction, viewer, row.classId)
    if (made) return { children: (await pupilsOf(made)).length }
    if (await classExists(transaction, row.classId)) throw new NotHere()
    await insertClass(transaction, viewer.adultId, { ...row, id: row.classId })
    const scope = await enterClass(transaction, viewer, row.classId)
    if (!scope) throw new NotHere()
    return { children: await addListed(scope, list) }
  })
})

const addChildrenSchema = z.object({ classId: z.uuid(), list: listSchema })

/** Adds a list of children to a class. @throws {Refused} if any line can't be taken */
export const addChildren = changingClass('addChildren', addChildrenSchema, async (scope, { list }) => {
  const children = await addListed(scope, list)
  await tellOfClass(scope)
  return { children }
})

async function addListed(
  scope: ClassScope,
  { text, columns, hasHeader }: z.infer<typeof listSchema>,
): Promise<number> {
  const table = readTable(text)
  if ('kind' in table) throw new Refused('The list can’t be read. Nothing was imported.')
  const present = await pupilsOf(scope)
  const read = readChildren(
    { ...table, columns, hasHeader },
    present.map(({ name, initial }) => (initial ? `${name} ${initial}` : name)),
  )
  if ('kind' in read) throw new Refused('No column holds the names. Nothing was imported.')
  if (read.problems.length > 0)
    throw new Refused(
      `Line ${read.problems[0].line} ${lineReasons[read.problems[0].kind]}. Nothing was imported.`,
    )
  if (present.length + read.children.length > 60)
    throw new Refused('A class holds at most 60 children. Nothing was imported.')
  const rows = read.children.map(({ name, initial, year }) => ({
    id: crypto.randomUUID(),
    name,
    initial,
    yearGroup: year ?? scope.classroom.yearGroup,
  }))
  await insertPupils(scope, rows)
  await placeByYear(scope, rows)
  return rows.length
}

/** Why a line of a list can't be taken. */
const lineReasons: Record<LineProblem['kind'], string> = {
  'no-name': 'has no name',
  twice: 'holds a name that stands further up already',
  'in-class': 'holds a name that is in the class already',
  formula: 'holds a formula, not a name',
  'too-long': 'holds a name that is too long',
  'unknown-year': 'holds a year group that is not known',
  unreadable: 'holds something that does not read as a name',
}

async function placeByYear(scope: ClassScope, children: { id: string; yearGroup: YearGroup }[]) {
  const day = todayIn(scope.classroom.timeZone)
  const placements = children.flatMap(({ id, yearGroup }) =>
    placedStrands.map((strand) => ({ pupilId: id, strand, day, ...placementByYear(strand, yearGroup) })),
  )
  await savePlacements(scope, placements)
  await beginEstimates(scope, placements)
}

const nameSchema = z
  .string()
  .trim()
  .min(1, 'Give a first name.')
  .max(longestName, 'That is too long for a first name.')
  .refine(isName, 'That does not read as a name.')

const changeChildSchema = z.object({
  classId: z.uuid(),
  pupilId: z.uuid(),
  name: nameSchema,
  initial: z.string().trim().max(1, 'One letter is enough.').default(''),
  yearGroup: yearGroupSchema,
})

/** A child is called otherwise, or is in another year group; all that was seen of it stays. */
export const changeChild = changingClass(
  'changeChild',
  changeChildSchema,
  async (scope, { pupilId, ...change }) => {
    const present = await pupilsOf(scope)
    const { name, yearGroup } = change
    const initial = change.initial.toUpperCase()
    const called = displayName({ name, initial })
    if (present.some((one) => one.id !== pupilId && displayName(one) === called))
      throw new Refused(`${called} is in the class already. Add an initial to tell them apart.`)
    if (!(await updatePupil(scope, pupilId, { name, initial, yearGroup }))) throw new NotHere()
    await tellOfClass(scope)
  },
)

/** A child leaves the class, or comes back: it stays in the past and is in nothing new while it is away. */
export const setLeft = changingClass(
  'setLeft',
  z.object({ classId: z.uuid(), pupilId: z.uuid(), left: z.boolean() }),
  async (scope, { pupilId, left }) => {
    if (!(await updatePupil(scope, pupilId, { leftAt: left ? now() : null }))) throw new NotHere()
    await tellOfClass(scope)
  },
)

const placementSchema = z
  .object({
    pupilId: z.uuid(),
    strand: z.enum(strandIds),
    /** Id of the step. */
    step: z.string().max(60),
    sureness: z.enum(surenesses),
  })
  .refine(hasStep, { path: ['step'], error: 'The strand has no such step.' })

const placeSchema = z.object({
  classId: z.uuid(),
  placements: z.array(placementSchema).min(1).max(180),
})

/** Places children on steps of strands; their estimates are worked out anew from all evidence, child by child. */
export const place = changingInParts(
  'place',
  placeSchema,
  async (scope, { placements }) => {
    const pupilIds = placements.map(({ pupilId }) => pupilId)
    if (!(await allInClass(scope, pupilIds))) throw new NotHere()
    return placements
  },
  async (scope, placement) => {
    await lockPupils(scope, [placement.pupilId])
    const before = await placementOf(scope, placement.pupilId, placement.strand)
    const placed = { ...placement, day: before?.day ?? todayIn(scope.classroom.timeZone) }
    await savePlacements(scope, [placed])
    await rebuildEstimate(scope, placed)
  },
)

const linkSchema = z
  .object({ kind: z.enum(['apart', 'together']), pupilA: z.uuid(), pupilB: z.uuid() })
  .refine(({ pupilA, pupilB }) => pupilA !== pupilB, 'Choose two different children.')

const linksSchema = z.object({
  classId: z.uuid(),
  links: z.array(linkSchema).max(200),
  /** Children who need an adult near. */
  adultNear: z.array(z.uuid()).max(60).default([]),
})

/** Who is to be kept apart or together, and near an adult; takes the place of what stood before. */
export const saveLinks = changingClass('saveLinks', linksSchema, async (scope, { links, adultNear }) => {
  if (!(await allInClass(scope, [...links.flatMap(({ pupilA, pupilB }) => [pupilA, pupilB]), ...adultNear])))
    throw new NotHere()
  const pairs = new Map(
    links.map((link) => {
      const [pupilA, pupilB] = [link.pupilA, link.pupilB].sort()
      return [`${pupilA} ${pupilB}`, { ...link, pupilA, pupilB }]
    }),
  )
  await replaceLinks(scope, [...pairs.values()])
  await setAdultNear(scope, adultNear)
})

interface StrandCell {
  /** Still to be begun: the rest is what is usual, and says nothing of the child. */
  toCome: boolean
  /** Id of the step; null: every step is secure. */
  workingStep: string | null
  p10: number
  p50: number
  p90: number
  observations: number
  day: string
}

export interface ClassRow {
  id: string
  name: string
  yearGroup: YearGroup
  /** Is grouped only where an adult is near. */
  adultNear: boolean
  /** One for each strand of the set that is shown. */
  cells: Partial<Record<StrandId, StrandCell>>
  /** Newest day with evidence; null: nothing seen yet. */
  lastSeen: string | null
}

export const classIdSchema = z.object({ classId: z.uuid() })

const tableSchema = classIdSchema.extend({
  /** Which strands stand side by side. */
  set: z
    .enum(strandSets.map(({ id }) => id))
    .default('numbers')
    .catch('numbers'),
})

/** The class table: every child with the working step of some strands; where nothing is known, the year group's usual step. */
export const classTable = readingClass('classTable', tableSchema, async (scope, { set }) => {
  const [pupils, gone, estimates, links, placements, style, grouping] = await Promise.all([
    pupilsOf(scope),
    leftPupilsOf(scope),
    estimatesOf(scope),
    linksOf(scope),
    placementsOf(scope),
    houseStyleOf(scope),
    groupingOf(scope),
  ])
  // A set with nothing that the class works on stays out of the way.
  const sets = strandSets.filter(({ strands }) => workedOn(style, strands).length > 0)
  const { id: shownSet, title: _title, strands } = sets.find(({ id }) => id === set) ?? sets[0]
  const shown = workedOn(style, strands)
  const rows: ClassRow[] = pupils.map(({ id, name, initial, yearGroup, adultNear }) => {
    const own = estimates.filter(({ pupilId }) => pupilId === id)
    const seen = own.filter(({ observations }) => observations > 0).map(({ day }) => day)
    return {
      id,
      name: displayName({ name, initial }),
      yearGroup,
      adultNear,
      cells: Object.fromEntries(
        shown.map((strand) => [
          strand,
          {
            ...(own.find((row) => row.strand === strand) ?? estimateByYear(strand, yearGroup)),
            toCome: isToCome(strand, { followed: own.map((row) => row.strand), yearGroup }),
          },
        ]),
      ),
      lastSeen: seen.sort().at(-1) ?? null,
    }
  })
  return {
    classroom: scope.classroom,
    set: shownSet,
    sets: sets.map(({ id, title }) => ({ id, title })),
    strands: shown,
    style,
    rows,
    groups: (grouping?.groups ?? []).map(({ pennant, pupils: members }) => ({
      pennant,
      pupils: members.filter((id) => pupils.some((one) => one.id === id)),
    })),
    left: gone.map((one) => ({ id: one.id, name: displayName(one) })),
    links: links.map(({ kind, pupilA, pupilB }) => ({ kind, pupilA, pupilB })),
    placements: placements.map(({ pupilId, strand, step, sureness }) => ({
      pupilId,
      strand,
      step,
      sureness,
    })),
    today: todayIn(scope.classroom.timeZone),
  }
})

/** First name, with the initial where one was given. */
export function displayName({ name, initial }: { name: string; initial: string }): string {
  return initial ? `${name} ${initial}` : name
}
