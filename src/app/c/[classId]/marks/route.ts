import { NextResponse } from 'next/server'
import { recordMark } from '@/server/marks/marks'
import { currentViewer } from '@/server/access/who-asks'
import { answered, objectIn } from '../../../document'

/** Takes one mark. It answers only when the mark is stored: what it acknowledged survives a crash. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const body = await objectIn(request)
  if (body instanceof Response) return body
  const mark = { ...body, classId } as Parameters<typeof recordMark>[1]
  return answered(recordMark(await currentViewer(), mark), (value) => NextResponse.json({ ok: true, value }))
}
