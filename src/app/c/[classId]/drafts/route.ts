import { NextResponse } from 'next/server'
import { keepDraft } from '@/server/drafts/drafts'
import { currentViewer } from '@/server/access/who-asks'
import { answered, objectIn } from '../../../document'

/** Takes steps of a draft: a route and no action, so that the last ones still go out while a page closes. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const body = await objectIn(request)
  if (body instanceof Response) return body
  const steps = { ...body, classId } as Parameters<typeof keepDraft>[1]
  return answered(keepDraft(await currentViewer(), steps), (value) => NextResponse.json({ ok: true, value }))
}
