import { z } from 'zod'
import { after, beginning, historySchema, stepSchema, type History } from '@/core/drafting/history'
import { groupsDraftSchema, pupilsIn, withOnly, type GroupsDraft } from '@/core/grouping/draft'
import { planDraftSchema, type PlanDraft } from '@/core/planning/session/draft'
import { lockClass } from '@/data/queries/classes'
import { deleteDraft, draftOf, saveDraft, type StoredDraft } from '@/data/queries/drafts'
import { groupsOfGroupings } from '@/data/queries/groupings'
import { allInClass } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { classIdSchema } from '../classes'
import { momentInWords, now } from '../clock'
import { changingClass, NotHere } from '../use-case'

const savedInWords = ({ classroom }: ClassScope, at: Date) => momentInWords(classroom.timeZone, at)

/** A draft as a page shows it. */
export interface Draft<T> {
  history: History<T>
  revision: string
  /** “10:02”, where the school is; with the day if it is another one. */
  savedAt: string
}

export type Drafts = { groups: GroupsDraft; plan: PlanDraft }

const valueSchemas = { groups: groupsDraftSchema, plan: planDraftSchema }

const asked = <Kind extends keyof Drafts>(kind: Kind) =>
  classIdSchema.extend({
    kind: z.literal(kind),
    /** The revision that the steps follow; null: there was no draft. */
    follows: z.uuid().nullable(),
    /** The revision that they make. */
    revision: z.uuid(),
    /** What was on the table before them: the beginning where there is no draft yet. */
    before: valueSchemas[kind],
    steps: z.array(stepSchema(valueSchemas[kind])).min(1).max(40),
  })

const keepDraftSchema = z.discriminatedUnion('kind', [asked('groups'), asked('plan')])

/** Steps were kept, or they followed another draft than the one that lies here: nothing was changed then. */
export type Kept<T = unknown> = { kept: true; savedAt: string } | { kept: false; there: Draft<T> | null }

/** Keeps the steps of a draft as they are taken; those that follow another draft than the one here are left out. */
export const keepDraft = changingClass('keepDraft', keepDraftSchema, async (scope, input): Promise<Kept> => {
  const { kind, follows, revision, steps } = input
  if (input.kind === 'groups') await refuseStrangers(scope, valuesOf(input).flatMap(pupilsIn))
  else await refuseOtherGroups(scope, valuesOf(input))
  await lockClass(scope)
  const stored = await draftOf(scope, kind)
  // Sent again because its answer was lost: kept already.
  if (stored?.revision === revision) return { kept: true, savedAt: savedInWords(scope, stored.savedAt) }
  const there = shown<Drafts[typeof kind]>(scope, kind, stored)
  if ((there?.revision ?? null) !== follows) return { kept: false, there }
  const history = (steps as never[]).reduce(
    (history: History<unknown>, step) => after(history, step),
    there?.history ?? beginning<unknown>(input.before),
  )
  const savedAt = now()
  await saveDraft(scope, kind, { revision, history, savedAt })
  return { kept: true, savedAt: savedInWords(scope, savedAt) }
})

/** What lies on the table goes back to what is in use. */
export const discardDraft = changingClass(
  'discardDraft',
  classIdSchema.extend({ kind: z.enum(['groups', 'plan']) }),
  async (scope, { kind }) => deleteDraft(scope, kind),
)

/** The groups on the table, without who has left since. */
export async function groupsDraft(
  scope: ClassScope,
  children: readonly string[],
): Promise<Draft<GroupsDraft> | null> {
  const draft = shown<GroupsDraft>(scope, 'groups', await draftOf(scope, 'groups'))
  if (!draft) return null
  const here = new Set(children)
  const only = (one: GroupsDraft) => withOnly(one, here)
  const { past, now, future } = draft.history
  return { ...draft, history: { past: past.map(only), now: only(now), future: future.map(only) } }
}

/** The plan on the table. */
export const planDraft = async (scope: ClassScope): Promise<Draft<PlanDraft> | null> =>
  shown<PlanDraft>(scope, 'plan', await draftOf(scope, 'plan'))

/** A stored draft as it may be shown; one that an earlier version kept and this one can't read counts as none. */
function shown<T>(scope: ClassScope, kind: keyof Drafts, stored: StoredDraft | null): Draft<T> | null {
  const parsed = historySchema<z.ZodType>(valueSchemas[kind]).safeParse(stored?.history)
  if (!stored || !parsed.success) return null
  return {
    history: parsed.data as History<T>,
    revision: stored.revision,
    savedAt: savedInWords(scope, stored.savedAt),
  }
}

/** Every value that is to be kept. */
function valuesOf<T>({ before, steps }: { before: T; steps: readonly unknown[] }): T[] {
  return [
    before,
    ...steps.flatMap((step) => (typeof step === 'string' ? [] : (Object.values(step as object) as T[]))),
  ]
}

/** @throws {NotHere} for a child of another class */
async function refuseStrangers(scope: ClassScope, pupils: readonly string[]) {
  if (!(await allInClass(scope, [...new Set(pupils)]))) throw new NotHere()
}

/** @throws {NotHere} for a plan whose groups are not those it says it was made for */
async function refuseOtherGroups(scope: ClassScope, plans: readonly PlanDraft[]) {
  const groups = await groupsOfGroupings(
    scope,
    plans.map(({ groupingId }) => groupingId),
  )
  for (const { groupingId, plan } of plans) {
    const own = groups.get(groupingId)
    if (!own || (plan.cells ?? []).some(({ groupId }) => !own.has(groupId))) throw new NotHere()
  }
}
