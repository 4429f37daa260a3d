import { exportChild } from '@/server/keeping/documents'
import { currentViewer } from '@/server/access/who-asks'
import { answered, asFile } from '../../../../document'

/** Everything kept about one child as one document. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ classId: string; pupilId: string }> },
) {
  const input = await params
  return answered(exportChild(await currentViewer(), input), (document) =>
    asFile(`islands-child-${document.madeAt.slice(0, 10)}.json`, document),
  )
}
