import { NextResponse } from 'next/server'
import { recordMark } from '@/server/marks/marks'
import { answered } from '../../document'
import { askedByLink } from '../asked-by-link'

/** Takes one mark of a device that came in by a link. */
export async function POST(request: Request) {
  const asked = await askedByLink(request)
  if (asked instanceof Response) return asked
  const mark = asked.body as Parameters<typeof recordMark>[1]
  return answered(recordMark(asked.viewer, mark), (value) => NextResponse.json({ ok: true, value }))
}
