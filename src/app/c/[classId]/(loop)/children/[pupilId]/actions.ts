'use server'

import { revalidatePath } from 'next/cache'
import { currentViewer } from '@/server/access/who-asks'
import { answer } from '@/server/answer'
import { correctRecord } from '@/server/marks/correct'

export async function correctRecordAction(input: Parameters<typeof correctRecord>[1]) {
  const done = await answer(correctRecord(await currentViewer(), input))
  revalidatePath('/c/[classId]', 'layout')
  return done
}
