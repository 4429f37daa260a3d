'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { forgetLikings, forgetPace } from '@/server/habits'
import { backUpNow, lookIntoBackup, restoreBackup } from '@/server/keeping/backups'
import { eraseChild } from '@/server/keeping/erase'
import { currentViewer } from '@/server/access/who-asks'

export async function backUpAction(input: Parameters<typeof backUpNow>[1]) {
  const done = await answer(backUpNow(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function lookIntoAction(input: Parameters<typeof lookIntoBackup>[1]) {
  return answer(lookIntoBackup(await currentViewer(), input))
}

export async function restoreAction(input: Parameters<typeof restoreBackup>[1]) {
  const done = await answer(restoreBackup(await currentViewer(), input))
  revalidatePath('/', 'layout')
  return done
}

export async function eraseAction(input: Parameters<typeof eraseChild>[1]) {
  const done = await answer(eraseChild(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function forgetPaceAction(input: Parameters<typeof forgetPace>[1]) {
  const done = await answer(forgetPace(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function forgetLikingsAction(input: Parameters<typeof forgetLikings>[1]) {
  const done = await answer(forgetLikings(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
