'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { backUpNow, lookIntoBackup, restoreBackup } from '@/server/keeping/backups'
import { eraseChild } from '@/server/keeping/erase'
import { currentViewer } from '@/server/viewer'

export async function backUpAction(input: Parameters<typeof backUpNow>[1]) {
  const done = await answer(backUpNow(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function lookIntoAction(input: Parameters<typeof lookIntoBackup>[1]) {
  return answer(lookIntoBackup(currentViewer(), input))
}

export async function restoreAction(input: Parameters<typeof restoreBackup>[1]) {
  const done = await answer(restoreBackup(currentViewer(), input))
  revalidatePath('/', 'layout')
  return done
}

export async function eraseAction(input: Parameters<typeof eraseChild>[1]) {
  const done = await answer(eraseChild(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
