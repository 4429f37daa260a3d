import { Readable } from 'node:stream'
import { NextResponse } from 'next/server'
import { printPdf } from '@/server/print/print'
import { currentViewer } from '@/server/access/who-asks'
import { answered, objectIn } from '../../../document'

/** What is asked for as one PDF, page by page; whoever goes away stops it. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const body = await objectIn(request)
  if (body instanceof Response) return body
  const asked = { ...body, classId } as Parameters<typeof printPdf>[1]
  return answered(printPdf(await currentViewer(), asked), ({ title, pages, pdf }) => {
    const bytes = Readable.toWeb(pdf as unknown as Readable) as ReadableStream<Uint8Array>
    return new NextResponse(bytes, {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${title.replace(/[^\w ,-]+/g, '').trim() || 'print'}.pdf"`,
        'cache-control': 'no-store',
        // How many there will be, so that the progress can be told.
        'x-pages': String(pages),
      },
    })
  })
}
