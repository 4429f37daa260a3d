'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { joinGroup } from '@/server/groups/join'
import { missInBag } from '@/server/print/print'
import { heldOnPaper, markAbsent, tapClock } from '@/server/run'
import { currentViewer } from '@/server/viewer'

export async function clockAction(input: Parameters<typeof tapClock>[1]) {
  const done = await answer(tapClock(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function absentAction(input: Parameters<typeof markAbsent>[1]) {
  return answer(markAbsent(currentViewer(), input))
}

export async function joinAction(input: Parameters<typeof joinGroup>[1]) {
  const done = await answer(joinGroup(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function heldOnPaperAction(input: Parameters<typeof heldOnPaper>[1]) {
  const done = await answer(heldOnPaper(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function missInBagAction(input: Parameters<typeof missInBag>[1]) {
  return answer(missInBag(currentViewer(), input))
}
