'use server'

import { answer } from '@/server/answer'
import { stopWaiting } from '@/server/games/game'
import { currentViewer } from '@/server/access/who-asks'

export async function stopWaitingAction(input: Parameters<typeof stopWaiting>[1]) {
  return answer(stopWaiting(await currentViewer(), input))
}
