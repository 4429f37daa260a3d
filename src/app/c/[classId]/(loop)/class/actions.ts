'use server'

import { revalidatePath } from 'next/cache'
import { answer } from '@/server/answer'
import { addChildren, changeChild, place, saveLinks, setLeft } from '@/server/classes'
import { changeHouseStyle } from '@/server/house-style'
import { currentViewer } from '@/server/viewer'

export async function placeAction(input: Parameters<typeof place>[1]) {
  const done = await answer(place(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function addChildrenAction(input: Parameters<typeof addChildren>[1]) {
  const done = await answer(addChildren(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function linksAction(input: Parameters<typeof saveLinks>[1]) {
  const done = await answer(saveLinks(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function houseStyleAction(input: Parameters<typeof changeHouseStyle>[1]) {
  const done = await answer(changeHouseStyle(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function changeChildAction(input: Parameters<typeof changeChild>[1]) {
  const done = await answer(changeChild(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}

export async function setLeftAction(input: Parameters<typeof setLeft>[1]) {
  const done = await answer(setLeft(currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
