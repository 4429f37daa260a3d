'use server'

import { askedFrom, currentLink, forgetLink, rememberLink } from '@/server/access/who-asks'
import { answer } from '@/server/answer'
import { changeLevelNow, swapSeats } from '@/server/room/at-station'
import { comeIn } from '@/server/room/links'
import { NotHere } from '@/server/use-case'

export async function comeInAction(given: Parameters<typeof comeIn>[1]) {
  const done = await answer(comeIn(await askedFrom(), given))
  if (!done.ok) return done
  await rememberLink(done.value.token)
  return { ok: true as const, value: null }
}

export async function leaveAction() {
  await forgetLink()
}

/** The device’s link; without one there is nothing here. */
async function ownLink() {
  const device = await currentLink()
  if (!device) throw new NotHere()
  return device
}

type AtVisit<U extends (viewer: never, input: never) => unknown> = Omit<Parameters<U>[1], 'classId'>

export async function changeLevelHere(input: AtVisit<typeof changeLevelNow>) {
  return answer(ownLink().then(({ viewer, classId }) => changeLevelNow(viewer, { ...input, classId })))
}

export async function swapSeatsHere(input: AtVisit<typeof swapSeats>) {
  return answer(ownLink().then(({ viewer, classId }) => swapSeats(viewer, { ...input, classId })))
}
