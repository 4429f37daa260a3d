'use server'

import { acceptInvitation, invitedTo } from '@/server/access/sign-in'
import { rememberAdult } from '@/server/access/who-asks'
import { answer } from '@/server/answer'

export async function invitedToAction(token: string) {
  return answer(invitedTo(String(token)))
}

export async function acceptAction(input: Parameters<typeof acceptInvitation>[0]) {
  const done = await answer(acceptInvitation(input))
  if (!done.ok) return done
  await rememberAdult(done.value.token)
  return { ok: true as const, value: null }
}
