'use server'

import { revalidatePath } from 'next/cache'
import { invite, inviteToClass, letAdultGo } from '@/server/access/adults'
import { currentViewer } from '@/server/access/who-asks'
import { answer } from '@/server/answer'

export async function inviteAction(input: Parameters<typeof invite>[1]) {
  return answer(invite(await currentViewer(), input))
}

export async function inviteToClassAction(input: Parameters<typeof inviteToClass>[1]) {
  return answer(inviteToClass(await currentViewer(), input))
}

export async function letAdultGoAction(input: Parameters<typeof letAdultGo>[1]) {
  const done = await answer(letAdultGo(await currentViewer(), input))
  revalidatePath('/adults')
  return done
}
