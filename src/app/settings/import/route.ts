import { NextResponse } from 'next/server'
import { importClass, mayImport } from '@/server/keeping/documents'
import { currentViewer } from '@/server/access/who-asks'
import { answered } from '../../document'

/** Brings in the document of a class; `?mode=preview` says what it holds and changes nothing. */
export async function POST(request: Request) {
  const mode = new URL(request.url).searchParams.get('mode') as 'preview' | 'merge' | 'replace'
  const viewer = await currentViewer()
  return answered(
    // Forty megabytes are read of nobody who may not bring in a class.
    mayImport(viewer, {}).then(async () => importClass(viewer, { text: await request.text(), mode })),
    (value) => NextResponse.json({ ok: true, value }),
  )
}
