import { NextResponse } from 'next/server'
import { recordMark } from '@/server/marks/marks'
import { currentViewer } from '@/server/viewer'
import { answered, problem } from '../../../document'

/** Takes one mark. It answers only when the mark is stored: what it acknowledged survives a crash. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  let body: unknown
  try {
    body = await request.json()
  } catch {
    return problem(400, 'Not JSON.')
  }
  if (typeof body !== 'object' || body === null || Array.isArray(body)) return problem(400, 'Not a mark.')
  const mark = { ...body, classId } as Parameters<typeof recordMark>[1]
  return answered(recordMark(currentViewer(), mark), (value) => NextResponse.json({ ok: true, value }))
}
