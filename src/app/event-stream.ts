import { z } from 'zod'
import { NotHere } from '@/server/use-case'
import { listenTo } from '@/server/live/hub'
import type { LiveChange } from '@/core/live/change'
import type { liveSession } from '@/server/room/pages'

/**
 * A line that says nothing now and then, so that a broken connection is noticed at both ends; and so long at most may
 * somebody go on listening whose right to it has ended.
 */
const heartbeatMs = 4_000
/** After a broken line a browser comes again after so long. */
const againMs = 800
/** Messages that wait for a device at the most. */
const mostWaiting = 500

type Asked = Awaited<ReturnType<typeof liveSession>>

/**
 * What happens in a session, as it happens: server-sent events with `LiveChange`s; `over` when there is nothing more.
 * @param ask what whoever asks may be told: asked anew at each heartbeat, from the device's token on, so that a right
 *   that has ended ends here too
 */
export async function eventStream(
  request: Request,
  classId: string,
  ask: () => Promise<Asked>,
): Promise<Response> {
  let asked: Asked
  try {
    asked = await ask()
  } catch (error) {
    return new Response(null, { status: error instanceof NotHere || error instanceof z.ZodError ? 404 : 503 })
  }
  const encoder = new TextEncoder()
  let stop = () => undefined as void
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      let closed = false
      const write = (text: string) => {
        if (closed) return
        // A device that takes nothing any more comes again, and is told everything anew.
        if ((controller.desiredSize ?? 0) < -mostWaiting) return close()
        controller.enqueue(encoder.encode(text))
      }
      const send = (change: LiveChange) => write(`data: ${JSON.stringify(change)}\n\n`)
      const timer = setInterval(() => {
        write(': still here\n\n')
        ask().catch((error: unknown) => {
          if (error instanceof NotHere) over()
        })
      }, heartbeatMs)
      const close = () => {
        if (closed) return
        closed = true
        clearInterval(timer)
        leave()
        controller.close()
      }
      const over = () => {
        write('event: over\ndata: {}\n\n')
        close()
      }
      let leave = () => undefined as void
      stop = () => {
        closed = true
        clearInterval(timer)
        leave()
      }
      request.signal.addEventListener('abort', stop)
      write(`retry: ${againMs}\n\n`)
      const { sees, sessionId } = asked
      // Ending without a word: the server stops, and the device comes again.
      const gone = (why: 'over' | 'stopping') => (why === 'over' ? over() : close())
      try {
        leave = await listenTo(classId, sessionId, { ...sees, tell: send, end: gone })
        if (closed) leave()
      } catch {
        // The database is away for the moment: the device comes again.
        close()
      }
    },
    cancel: () => stop(),
  })
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      'cache-control': 'no-store, no-transform',
      // A server in front is not to keep it back.
      'x-accel-buffering': 'no',
    },
  })
}
