'use server'

import { revalidatePath } from 'next/cache'
import { saveAccount } from '@/server/access/sign-in'
import { currentViewer } from '@/server/access/who-asks'
import { answer } from '@/server/answer'

export async function saveAccountAction(input: Parameters<typeof saveAccount>[1]) {
  const done = await answer(saveAccount(await currentViewer(), input))
  revalidatePath('/account')
  return done
}
