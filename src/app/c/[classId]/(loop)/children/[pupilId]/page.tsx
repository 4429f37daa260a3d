import { notFound } from 'next/navigation'
import { childPage } from '@/server/progress'
import { NotHere } from '@/server/use-case'
import { currentViewer } from '@/server/viewer'
import { ChildPage } from '@/ui/progress/child-page'

export const metadata = { title: 'Child' }

export default async function Child({ params }: { params: Promise<{ classId: string; pupilId: string }> }) {
  const { classId, pupilId } = await params
  const page = await childPage(currentViewer(), { classId, pupilId }).catch((error: unknown) => {
    if (error instanceof NotHere) notFound()
    throw error
  })
  return <ChildPage classId={classId} page={page} />
}
