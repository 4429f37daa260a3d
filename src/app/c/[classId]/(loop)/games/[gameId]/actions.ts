'use server'

import { answer } from '@/server/answer'
import { stopWaiting } from '@/server/games'
import { currentViewer } from '@/server/viewer'

export async function stopWaitingAction(input: Parameters<typeof stopWaiting>[1]) {
  return answer(stopWaiting(currentViewer(), input))
}
