import { currentLink } from '@/server/access/who-asks'
import { liveSession } from '@/server/room/pages'
import { eventStream } from '../../event-stream'

export async function GET(request: Request) {
  const device = await currentLink()
  if (!device) return new Response(null, { status: 404 })
  const { viewer, classId, sessionId } = device
  return eventStream(request, classId, () => liveSession(viewer, { classId, sessionId }))
}
