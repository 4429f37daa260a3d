import type { Metadata } from 'next'
import { currentViewer } from '@/server/viewer'
import { classTable } from '@/server/classes'
import { ClassPage } from '@/ui/class/class-page'
import { addChildrenAction, linksAction, placeAction } from './actions'

export const metadata: Metadata = { title: 'Class' }

export default async function Class({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const table = await classTable(currentViewer(), { classId })
  return (
    <ClassPage
      classId={classId}
      {...table}
      place={placeAction}
      addChildren={addChildrenAction}
      saveLinks={linksAction}
    />
  )
}
