'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { countOnShelf, letGo, moveToToday, previewPlan, savePlan } from '@/server/plan/plan'
import { currentViewer } from '@/server/viewer'

export async function previewAction(input: Parameters<typeof previewPlan>[1]) {
  return answer(previewPlan(currentViewer(), input))
}

export async function savePlanAction(input: Parameters<typeof savePlan>[1]) {
  const done = await answer(savePlan(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function countOnShelfAction(input: Parameters<typeof countOnShelf>[1]) {
  return answer(countOnShelf(currentViewer(), input))
}

export async function moveToTodayAction(input: Parameters<typeof moveToToday>[1]) {
  const done = await answer(moveToToday(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function letGoAction(input: Parameters<typeof letGo>[1]) {
  const done = await answer(letGo(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
