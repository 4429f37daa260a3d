import { and, eq } from 'drizzle-orm'
import { draft, type DraftKind } from '../schema'
import type { ClassScope } from '../scope'

export interface StoredDraft {
  revision: string
  history: unknown
  savedAt: Date
}

const ofKind = (classId: string, kind: DraftKind) => and(eq(draft.classId, classId), eq(draft.kind, kind))

/** The draft that lies on the table of the class, or null. */
export async function draftOf({ db, classId }: ClassScope, kind: DraftKind): Promise<StoredDraft | null> {
  const [row] = await db
    .select({ revision: draft.revision, history: draft.history, savedAt: draft.savedAt })
    .from(draft)
    .where(ofKind(classId, kind))
  return row ?? null
}

export async function saveDraft(
  { db, classId }: ClassScope,
  kind: DraftKind,
  { revision, history, savedAt }: StoredDraft,
) {
  await db
    .insert(draft)
    .values({ classId, kind, revision, history, savedAt })
    .onConflictDoUpdate({ target: [draft.classId, draft.kind], set: { revision, history, savedAt } })
}

/** The draft is in use now, or not wanted any more. */
export async function deleteDraft({ db, classId }: ClassScope, kind: DraftKind) {
  await db.delete(draft).where(ofKind(classId, kind))
}
