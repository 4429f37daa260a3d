'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { countOnShelf, letGo, moveToToday, previewPlan, savePlan } from '@/server/plan/plan'
import { currentViewer } from '@/server/access/who-asks'

export async function previewAction(input: Parameters<typeof previewPlan>[1]) {
  return answer(previewPlan(await currentViewer(), input))
}

export async function savePlanAction(input: Parameters<typeof savePlan>[1]) {
  const done = await answer(savePlan(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function countOnShelfAction(input: Parameters<typeof countOnShelf>[1]) {
  return answer(countOnShelf(await currentViewer(), input))
}

export async function moveToTodayAction(input: Parameters<typeof moveToToday>[1]) {
  const done = await answer(moveToToday(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function letGoAction(input: Parameters<typeof letGo>[1]) {
  const done = await answer(letGo(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
