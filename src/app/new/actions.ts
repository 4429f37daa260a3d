'use server'

import { answer } from '@/server/answer'
import { createClass } from '@/server/classes'
import { currentViewer } from '@/server/viewer'

export async function createClassAction(input: Parameters<typeof createClass>[1]) {
  return answer(createClass(currentViewer(), input))
}
