'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { discardDraft } from '@/server/drafts/drafts'
import { currentViewer } from '@/server/access/who-asks'

export async function discardDraftAction(input: Parameters<typeof discardDraft>[1]) {
  const done = await answer(discardDraft(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
