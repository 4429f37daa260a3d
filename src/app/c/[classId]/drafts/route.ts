import { NextResponse } from 'next/server'
import { keepDraft } from '@/server/drafts/drafts'
import { currentViewer } from '@/server/viewer'
import { answered, problem } from '../../../document'

/** Takes steps of a draft: a route and no action, so that the last ones still go out while a page closes. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  let body: unknown
  try {
    body = await request.json()
  } catch {
    return problem(400, 'Not JSON.')
  }
  if (typeof body !== 'object' || body === null || Array.isArray(body)) return problem(400, 'Not a draft.')
  const steps = { ...body, classId } as Parameters<typeof keepDraft>[1]
  return answered(keepDraft(currentViewer(), steps), (value) => NextResponse.json({ ok: true, value }))
}
