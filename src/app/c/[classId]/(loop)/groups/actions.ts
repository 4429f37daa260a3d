'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { earlierGroups, gameFit, saveGroups } from '@/server/groups/groups'
import { currentViewer } from '@/server/access/who-asks'

export async function gameFitAction(input: Parameters<typeof gameFit>[1]) {
  return answer(gameFit(await currentViewer(), input))
}

export async function earlierGroupsAction(input: Parameters<typeof earlierGroups>[1]) {
  return answer(earlierGroups(await currentViewer(), input))
}

export async function saveGroupsAction(input: Parameters<typeof saveGroups>[1]) {
  const done = await answer(saveGroups(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
