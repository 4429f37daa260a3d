import { NextResponse } from 'next/server'
import { answer } from '@/server/answer'
import { DatabaseAway } from '@/data/away'
import { recordMark } from '@/server/marks'
import { currentViewer } from '@/server/viewer'

const problem = (status: number, words: string) =>
  NextResponse.json({ ok: false, problems: [words] }, { status })

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
  try {
    const result = await answer(
      recordMark(currentViewer(), { ...body, classId } as Parameters<typeof recordMark>[1]),
    )
    return NextResponse.json(result, { status: result.ok ? 200 : 422 })
  } catch (error) {
    if (error instanceof DatabaseAway) return problem(503, error.message)
    throw error
  }
}
