import { printGame } from '@/server/print/game'
import { currentViewer } from '@/server/viewer'
import { answered } from '../../../../document'

/** The pages of a level as a PDF, opened in the browser. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ classId: string; gameId: string }> },
) {
  const { classId, gameId } = await params
  const query = Object.fromEntries(new URL(request.url).searchParams)
  const asked = {
    classId,
    gameId,
    ...(query.level === undefined ? {} : { levelId: query.level }),
    ...(query.children === undefined ? {} : { children: query.children }),
    ...(query.paper === undefined ? {} : { paper: query.paper as 'A4' }),
  }
  return answered(
    printGame(currentViewer(), asked),
    ({ pdf, title }) =>
      new Response(new Uint8Array(pdf), {
        headers: {
          'content-type': 'application/pdf',
          'content-disposition': `inline; filename="${title.replace(/[^\w ,-]+/g, '').trim()}.pdf"`,
          'cache-control': 'no-store',
        },
      }),
  )
}
