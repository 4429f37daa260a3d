'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { joinGroup } from '@/server/groups/join'
import { changeLevelNow, swapSeats } from '@/server/room/at-station'
import { takeWay, undoReplan, waysToGoOn } from '@/server/room/replan'
import { endLinks, makeLink } from '@/server/room/links'
import { missInBag } from '@/server/print/print'
import { heldOnPaper, tapClock } from '@/server/run'
import { currentViewer } from '@/server/access/who-asks'

export async function clockAction(input: Parameters<typeof tapClock>[1]) {
  const done = await answer(tapClock(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function joinAction(input: Parameters<typeof joinGroup>[1]) {
  const done = await answer(joinGroup(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function heldOnPaperAction(input: Parameters<typeof heldOnPaper>[1]) {
  const done = await answer(heldOnPaper(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function missInBagAction(input: Parameters<typeof missInBag>[1]) {
  return answer(missInBag(await currentViewer(), input))
}

export async function makeLinkAction(input: Parameters<typeof makeLink>[1]) {
  return answer(makeLink(await currentViewer(), input))
}

export async function endLinksAction(input: Parameters<typeof endLinks>[1]) {
  return answer(endLinks(await currentViewer(), input))
}

export async function changeLevelAction(input: Parameters<typeof changeLevelNow>[1]) {
  return answer(changeLevelNow(await currentViewer(), input))
}

export async function swapSeatsAction(input: Parameters<typeof swapSeats>[1]) {
  return answer(swapSeats(await currentViewer(), input))
}

export async function findWaysAction(input: Parameters<typeof waysToGoOn>[1]) {
  return answer(waysToGoOn(await currentViewer(), input))
}

export async function takeWayAction(input: Parameters<typeof takeWay>[1]) {
  const done = await answer(takeWay(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function undoReplanAction(input: Parameters<typeof undoReplan>[1]) {
  const done = await answer(undoReplan(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
