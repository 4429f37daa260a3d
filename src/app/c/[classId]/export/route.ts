import { exportClass } from '@/server/keeping/documents'
import { currentViewer } from '@/server/access/who-asks'
import { answered, asFile } from '../../../document'

/** Everything of a class as one document. */
export async function GET(_request: Request, { params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  return answered(exportClass(await currentViewer(), { classId }), (document) =>
    asFile(`islands-class-${document.madeAt.slice(0, 10)}.json`, document),
  )
}
