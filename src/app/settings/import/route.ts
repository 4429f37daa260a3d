import { NextResponse } from 'next/server'
import { importClass } from '@/server/keeping/documents'
import { currentViewer } from '@/server/access/who-asks'
import { answered } from '../../document'

/** Brings in the document of a class; `?mode=preview` says what it holds and changes nothing. */
export async function POST(request: Request) {
  const mode = new URL(request.url).searchParams.get('mode') as 'preview' | 'merge' | 'replace'
  const text = await request.text()
  return answered(importClass(await currentViewer(), { text, mode }), (value) =>
    NextResponse.json({ ok: true, value }),
  )
}
