import { NextResponse } from 'next/server'
import { currentViewer } from '@/server/access/who-asks'
import { tell } from '@/server/room/tell'
import { answered, objectIn } from '../../../document'

/** Takes one entry beside marks. It answers only when the entry is stored. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const body = await objectIn(request)
  if (body instanceof Response) return body
  const told = { ...body, classId } as Parameters<typeof tell>[1]
  return answered(tell(await currentViewer(), told), () => NextResponse.json({ ok: true }))
}
