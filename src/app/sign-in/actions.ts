'use server'

import { signIn, signOut, signOutEverywhere } from '@/server/access/sign-in'
import { askedFrom, currentViewer, forgetAdult, rememberAdult, tokenOfDevice } from '@/server/access/who-asks'
import { answer } from '@/server/answer'

export async function signInAction(input: { signInName: string; password: string }) {
  const done = await answer(signIn(await askedFrom(), input))
  if (!done.ok) return done
  await rememberAdult(done.value.token)
  return { ok: true as const, value: null }
}

export async function signOutAction() {
  const token = await tokenOfDevice()
  if (token !== null) await signOut(token)
  await forgetAdult()
}

export async function signOutEverywhereAction() {
  const done = await answer(signOutEverywhere(await currentViewer(), {}))
  if (done.ok) await forgetAdult()
  return done
}
