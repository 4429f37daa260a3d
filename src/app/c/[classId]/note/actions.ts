'use server'

import { revalidatePath } from 'next/cache'
import { currentViewer } from '@/server/access/who-asks'
import { answer } from '@/server/answer'
import { quickNotePage, takeNoteAway } from '@/server/notes'

export async function quickNoteAction(input: Parameters<typeof quickNotePage>[1]) {
  return answer(quickNotePage(await currentViewer(), input))
}

export async function takeNoteAwayAction(input: Parameters<typeof takeNoteAway>[1]) {
  const done = await answer(takeNoteAway(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
