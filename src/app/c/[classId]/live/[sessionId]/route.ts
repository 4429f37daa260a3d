import { liveSession } from '@/server/room/pages'
import { viewerOnDevice } from '@/server/access/who-asks'
import { eventStream } from '../../../../event-stream'

export async function GET(
  request: Request,
  { params }: { params: Promise<{ classId: string; sessionId: string }> },
) {
  const at = await params
  const viewer = await viewerOnDevice()
  return eventStream(request, at.classId, async () => liveSession(await viewer(), at))
}
