import { NextResponse } from 'next/server'
import { answer } from '@/server/answer'
import { recordMark } from '@/server/run'
import { currentViewer } from '@/server/viewer'

/** Takes one mark. It answers only when the mark is stored: what it acknowledged survives a crash. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const origin = request.headers.get('origin')
  if (origin !== null && new URL(origin).host !== request.headers.get('host'))
    return NextResponse.json({ ok: false, problems: ['Sent from another site.'] }, { status: 403 })
  const text = await request.text()
  if (text.length > 2000)
    return NextResponse.json({ ok: false, problems: ['Too long for one mark.'] }, { status: 413 })
  let body: unknown
  try {
    body = JSON.parse(text)
  } catch {
    return NextResponse.json({ ok: false, problems: ['Not JSON.'] }, { status: 400 })
  }
  const result = await answer(
    recordMark(currentViewer(), { ...(body as object), classId } as Parameters<typeof recordMark>[1]),
  )
  return NextResponse.json(result, { status: result.ok ? 200 : 422 })
}
