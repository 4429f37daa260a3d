import { NextResponse } from 'next/server'
import { tell } from '@/server/room/tell'
import { answered } from '../../document'
import { askedByLink } from '../asked-by-link'

/** Takes one entry beside marks, of a device that came in by a link. */
export async function POST(request: Request) {
  const asked = await askedByLink(request)
  if (asked instanceof Response) return asked
  const told = asked.body as Parameters<typeof tell>[1]
  return answered(tell(asked.viewer, told), () => NextResponse.json({ ok: true }))
}
