'use server'

import { answer } from '@/server/answer'
import { createClass } from '@/server/classes'
import { currentViewer } from '@/server/access/who-asks'

export async function createClassAction(input: Parameters<typeof createClass>[1]) {
  return answer(createClass(await currentViewer(), input))
}
