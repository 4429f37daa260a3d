'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { addChildren, changeChild, place, saveLinks, setLeft } from '@/server/classes'
import { changeHouseStyle } from '@/server/house-style'
import { currentViewer } from '@/server/access/who-asks'

export async function placeAction(input: Parameters<typeof place>[1]) {
  const done = await answer(place(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function addChildrenAction(input: Parameters<typeof addChildren>[1]) {
  const done = await answer(addChildren(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function linksAction(input: Parameters<typeof saveLinks>[1]) {
  const done = await answer(saveLinks(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function houseStyleAction(input: Parameters<typeof changeHouseStyle>[1]) {
  const done = await answer(changeHouseStyle(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function changeChildAction(input: Parameters<typeof changeChild>[1]) {
  const done = await answer(changeChild(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function setLeftAction(input: Parameters<typeof setLeft>[1]) {
  const done = await answer(setLeft(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
