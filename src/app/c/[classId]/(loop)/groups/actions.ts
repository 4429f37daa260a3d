'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { proposeGroups, saveGroups, suggestMoves } from '@/server/groups'
import { currentViewer } from '@/server/viewer'

export async function proposeAction(input: Parameters<typeof proposeGroups>[1]) {
  return answer(proposeGroups(currentViewer(), input))
}

export async function saveGroupsAction(input: Parameters<typeof saveGroups>[1]) {
  const done = await answer(saveGroups(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function suggestMovesAction(input: Parameters<typeof suggestMoves>[1]) {
  return answer(suggestMoves(currentViewer(), input))
}
