'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { countOnShelf, previewPlan, savePlan } from '@/server/plan/plan'
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
