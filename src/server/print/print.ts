import { setTimeout } from 'node:timers/promises'
import { z } from 'zod'
import { svgOfPage } from '@/core/drawing/svg'
import { gameOf, usualLevel } from '@/core/games'
import { groupNames } from '@/core/grouping/pennants'
import type { PrintItem } from '@/core/printing/item'
import type { Page } from '@/core/printing/pack'
import type { Job } from '@/core/printing/pages'
import { mostCopies } from '@/core/printing/too-much'
import { backsSchema, paperSchema } from '@/core/printing/paper'
import { taskCardForms } from '@/core/printing/sheets/task-card'
import type { PlanView } from '@/core/planning/session/work-out'
import { byHand } from '@/core/printing/by-hand'
import { bagsOf, oneMissing, saveBags, saveInBag, type InBag } from '@/data/queries/bags'
import { draftOf } from '@/data/queries/drafts'
import { houseStyleOf } from '@/data/queries/house-style'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import { nextSession, type StoredSession } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from '../children'
import { classIdSchema } from '../classes'
import { habitsOf } from '../habits'
import { remembered } from '../heavy/remembered'
import { isBusy } from '../heavy/pool'
import { printThread } from '../heavy/threads'
import { workOutSession } from '../plan/context'
import { changingClass, NotHere, readingClass, Refused } from '../use-case'
import { homeGamesFor } from './home-games'
import { languageSchema, pileOf, printForSchema, type PileSource, type PrintFor } from './source'

/** A page takes some milliseconds; a job that takes longer than this has gone wrong. */
const limitMs = 30_000

const itemId = z.string().min(1).max(200)
/** Different things in one job: more than any class has in its bags. */
const mostItems = 500

/** What a job is printed with; counts by item. */
const jobSchema = z.object({
  paper: paperSchema.default('A4'),
  backs: backsSchema.default('none'),
  seed: z.number().int().min(1).max(9999).default(1),
  taskCards: z.enum(taskCardForms).default('small'),
  counts: z
    .record(
      itemId,
      z
        .number('Give a whole number.')
        .int('Give a whole number.')
        .min(0, 'There can’t be fewer than none.')
        .max(mostCopies, `At most ${mostCopies} copies of one thing.`),
    )
    .refine((counts) => Object.keys(counts).length <= mostItems, 'Too many things at once.'),
})

const forSchema = classIdSchema.extend({
  what: printForSchema.default({ kind: 'session' }),
  language: languageSchema.default('en'),
})

/** One line of the list, as the page shows it. */
export interface ShownItem extends Pick<PrintItem, 'id' | 'name' | 'role' | 'count'> {
  inBag: InBag | null
  /** How it is drawn where there is no printer; empty: it is no thing of a game. */
  byHand: readonly string[]
}

export interface PrintPage {
  title: string
  bundles: {
    id: string
    title: string
    isBag: boolean
    items: ShownItem[]
    shelf: readonly { name: string; count: number }[]
  }[]
  /** Children for whom nothing was found that can be played at home. */
  without: string[]
  what: PrintFor
  /** The plan was changed since it was made ready: those changes are not on these pages. */
  changesWait: boolean
  /** Groups whose children may get something for home. */
  groups: { id: string; pennant: number }[]
}

/** Of what there is to print, what the viewer may print; null: there is no session yet. */
async function sourceOf(
  scope: ClassScope,
  what: PrintFor,
  language: z.output<typeof languageSchema>,
): Promise<{ source: PileSource; without: string[] } | null> {
  switch (what.kind) {
    case 'game': {
      const game = gameOf(what.gameId)
      const levelId = what.levelId ?? usualLevel(game).id
      if (!game.levels.some(({ id }) => id === levelId)) throw new NotHere()
      return { source: { kind: 'game', gameId: what.gameId, levelId, children: what.children }, without: [] }
    }
    case 'session':
      return sessionSource(scope)
    case 'child':
    case 'group':
      return kitSource(scope, what, language)
  }
}

async function sessionSource(scope: ClassScope) {
  const session = await nextSession(scope)
  if (!session) return null
  const [grouping, children] = await Promise.all([groupingOf(scope, session.groupingId), childrenOf(scope)])
  if (!grouping) return null
  const view = await workOutSession(session, grouping, children, await habitsOf(scope))
  return { source: pileOfSession(scope, { session, grouping, children, view }), without: [] }
}

/** What the pile of a session is made from. */
interface KnownSession {
  session: StoredSession
  grouping: StoredGrouping
  children: readonly Child[]
  view: PlanView
}

const dayOnPaper = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})

function pileOfSession(scope: ClassScope, { session, grouping, children, view }: KnownSession) {
  const day = dayOnPaper.format(new Date(session.day))
  const grouped = new Set(view.groups.flatMap((group) => group.children.map(({ id }) => id)))
  return {
    kind: 'session' as const,
    title: `${scope.classroom.name}, ${day}`,
    day,
    view,
    focus: grouping.strand,
    near: children.filter(({ id, adultNear }) => adultNear && grouped.has(id)).map(({ name }) => name),
  }
}

async function kitSource(
  scope: ClassScope,
  what: Extract<PrintFor, { kind: 'child' | 'group' }>,
  language: z.output<typeof languageSchema>,
) {
  const [children, grouping] = await Promise.all([childrenOf(scope), groupingOf(scope)])
  const group =
    what.kind === 'group'
      ? grouping?.groups.find(({ id }, i) => (what.groupId ? id === what.groupId : i === 0))
      : null
  if (what.kind === 'group' && !group) throw new NotHere()
  const wanted = children.filter(({ id }) =>
    what.kind === 'child' ? id === what.pupilId : group!.pupils.includes(id),
  )
  if (wanted.length === 0) throw new NotHere()
  const found = await homeGamesFor(scope, wanted)
  return {
    source: {
      kind: 'kits' as const,
      title: what.kind === 'child' ? `${wanted[0].name} at home` : `${groupNames[group!.pennant]} at home`,
      language,
      kits: found.map(({ child: { id, name }, home }) => ({ child: { id, name }, home })),
    },
    without: wanted.filter(({ id }) => !found.some(({ child }) => child.id === id)).map(({ name }) => name),
  }
}

async function sourceOrRefused(scope: ClassScope, { what, language }: z.output<typeof forSchema>) {
  const found = await sourceOf(scope, what, language)
  if (!found) throw new Refused('No session is planned. Plan one first.')
  return found.source
}

/** What there is to print, and what is in the bags already; null: no session is planned. */
export const printPage = readingClass(
  'printPage',
  forSchema,
  async (scope, { what, language }): Promise<PrintPage | null> => {
    const [found, kept, grouping, draft] = await Promise.all([
      sourceOf(scope, what, language),
      bagsOf(scope),
      groupingOf(scope),
      draftOf(scope, 'plan'),
    ])
    if (!found) return null
    const { title, bundles } = pileOf(found.source)
    return {
      title,
      what,
      without: found.without,
      changesWait: what.kind === 'session' && draft !== null,
      groups: grouping?.groups.map(({ id, pennant }) => ({ id, pennant })) ?? [],
      bundles: bundles.map(({ id, title: name, gameId, items, shelf }) => ({
        id,
        title: name,
        isBag: gameId !== null,
        shelf,
        items: items.map(({ id: item, name: words, role, count, thing }) => ({
          id: item,
          name: words,
          role,
          count,
          inBag: kept.get(item) ?? null,
          byHand: thing && role === 'needed' ? byHand(thing) : [],
        })),
      })),
    }
  },
)

const askedSchema = forSchema.extend({ job: jobSchema })

async function pagesFor(scope: ClassScope, source: PileSource, job: Job): Promise<Page[]> {
  const { coinage } = await houseStyleOf(scope)
  const made = await printThread().run('pages', { source, job, coinage }, { limitMs })
  if ('tooMuch' in made) throw new Refused(made.tooMuch)
  return made
}

/** Read when it is needed: with its fonts' tables it takes a fifth of a second, and the harbour only counts pages. */
const pdfMaker = () => import('./pdf')

/** Pages that are sent at once for the preview. */
const pagesAtOnce = 8

/** How many pages a job has, and some of them to look at. */
export const previewPages = readingClass(
  'previewPages',
  askedSchema.extend({ from: z.number().int().min(0).max(1000).default(0) }),
  async (scope, asked) => {
    const pages = await pagesFor(scope, await sourceOrRefused(scope, asked), asked.job)
    const { lettersWithout } = await pdfMaker()
    return {
      total: pages.length,
      from: asked.from,
      pages: pages
        .slice(asked.from, asked.from + pagesAtOnce)
        .map((page) => ({ title: page.title, svg: svgOfPage(page, page.title) })),
      /** Letters, of names mostly, that no font has: they are left out. */
      lettersWithout: lettersWithout(pages),
    }
  },
)

/** How many pages a game still needs for so many children. */
export async function pagesOfGame(
  scope: ClassScope,
  gameId: string,
  levelId: string,
  children: number,
): Promise<number | null> {
  const source: PileSource = { kind: 'game', gameId, levelId, children }
  const kept = [...(await bagsOf(scope))]
  return printThread()
    .run('pagesToPrint', { source, kept }, { limitMs })
    .catch((error: unknown) => {
      // A count that has to wait is left out, not the page that would show it.
      if (isBusy(error)) return null
      throw error
    })
}

/** How many pages a session still needs; null: they are too many, or it takes longer than `waitMs`. */
export async function pagesOfSession(
  scope: ClassScope,
  known: KnownSession,
  waitMs: number,
): Promise<number | null> {
  const kept = await bagsOf(scope)
  const counted = remembered(
    printThread(),
    'pagesToPrint',
    { source: pileOfSession(scope, known), kept: [...kept] },
    limitMs,
    // It goes on meanwhile: to stop a job in hand costs its thread.
  ).catch(() => null)
  return Promise.race([counted, setTimeout(waitMs, null)])
}

/** A job as one PDF, which is written as it is read. */
export const printPdf = readingClass('printPdf', askedSchema, async (scope, asked) => {
  const source = await sourceOrRefused(scope, asked)
  const { title } = pileOf(source)
  const pages = await pagesFor(scope, source, asked.job)
  if (pages.length === 0) throw new Refused('Nothing is chosen to be printed.')
  const { pdfOf } = await pdfMaker()
  return { title, pages: pages.length, pdf: pdfOf(title, pages) }
})

/** What came out of the printer is in the bags from now on: so many copies of each item are there then. */
export const putIntoBags = changingClass(
  'putIntoBags',
  classIdSchema.extend({
    bags: z
      .record(itemId, z.number().int().min(0).max(10_000))
      .refine((bags) => Object.keys(bags).length <= mostItems, 'Too many things at once.'),
  }),
  async (scope, { bags }) => saveBags(scope, new Map(Object.entries(bags))),
)

/** What is in a bag, as somebody has counted it. */
export const countInBag = changingClass(
  'countInBag',
  classIdSchema.extend({
    item: itemId,
    count: z.number().int().min(0).max(10_000),
    missing: z.number().int().min(0).max(10_000),
    laminated: z.boolean(),
  }),
  async (scope, { item, count, missing, laminated }) =>
    saveInBag(scope, item, { count, missing: Math.min(count, missing), laminated }),
)

/** One copy is missing: seen at the station. */
export const missInBag = changingClass(
  'missInBag',
  classIdSchema.extend({ item: itemId }),
  async (scope, { item }) => oneMissing(scope, item),
)
