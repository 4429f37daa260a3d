import { NextResponse } from 'next/server'
import { currentLink } from '@/server/access/who-asks'
import type { Viewer } from '@/server/viewer'
import { objectIn } from '../document'

/** What a device sent that came in by a link, in the class of the link; or the answer that it is not let in. */
export async function askedByLink(request: Request): Promise<{ viewer: Viewer; body: object } | Response> {
  const device = await currentLink()
  // Said for now: with another link what the device still holds can go.
  if (!device)
    return NextResponse.json({ ok: false, problems: ['This device’s link is over.'] }, { status: 401 })
  const body = await objectIn(request)
  if (body instanceof Response) return body
  return { viewer: device.viewer, body: { ...body, classId: device.classId } }
}
