import { and, desc, eq } from 'drizzle-orm'
import { note } from '../schema'
import type { ClassScope } from '../scope'

export type NoteRow = typeof note.$inferSelect

export async function insertNote(
  { db, classId }: ClassScope,
  row: Omit<typeof note.$inferInsert, 'classId'>,
) {
  await db
    .insert(note)
    .values({ ...row, classId })
    .onConflictDoNothing()
}

/** What was written down about a child, newest first. */
export async function notesOf({ db, classId }: ClassScope, pupilId: string): Promise<NoteRow[]> {
  return db
    .select()
    .from(note)
    .where(and(eq(note.classId, classId), eq(note.pupilId, pupilId)))
    .orderBy(desc(note.madeAt))
}

export async function deleteNote({ db, classId }: ClassScope, id: string) {
  await db.delete(note).where(and(eq(note.classId, classId), eq(note.id, id)))
}
