'use server'

import { answer } from '@/server/answer'
import { countInBag, previewPages, putIntoBags } from '@/server/print/print'
import { currentViewer } from '@/server/access/who-asks'

export async function previewPagesAction(input: Parameters<typeof previewPages>[1]) {
  return answer(previewPages(await currentViewer(), input))
}

export async function putIntoBagsAction(input: Parameters<typeof putIntoBags>[1]) {
  return answer(putIntoBags(await currentViewer(), input))
}

export async function countInBagAction(input: Parameters<typeof countInBag>[1]) {
  return answer(countInBag(await currentViewer(), input))
}
