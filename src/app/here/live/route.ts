import { linkOfDevice } from '@/server/access/who-asks'
import { NotHere } from '@/server/use-case'
import { liveSession } from '@/server/room/pages'
import { eventStream } from '../../event-stream'

export async function GET(request: Request) {
  const askAgain = await linkOfDevice()
  const first = await askAgain()
  if (!first) return new Response(null, { status: 404 })
  const { classId, sessionId } = first
  return eventStream(request, classId, async () => {
    const device = await askAgain()
    if (!device) throw new NotHere()
    return liveSession(device.viewer, { classId, sessionId })
  })
}
