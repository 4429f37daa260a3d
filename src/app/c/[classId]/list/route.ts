import { exportClassList } from '@/server/keeping/documents'
import { currentViewer } from '@/server/access/who-asks'
import { answered } from '../../../document'

/** The names of a class as a file for a spreadsheet. */
export async function GET(_request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  return answered(
    exportClassList(await currentViewer(), { classId }),
    (text) =>
      new Response(text, {
        headers: {
          'content-type': 'text/csv; charset=utf-8',
          'content-disposition': 'attachment; filename="class-list.csv"',
          'cache-control': 'no-store',
        },
      }),
  )
}
