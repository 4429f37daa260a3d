import type { Metadata } from 'next'
import type { StrandSetId } from '@/core/skills'
import { currentViewer } from '@/server/viewer'
import { classTable } from '@/server/classes'
import { ClassPage } from '@/ui/class/class-page'
import { addChildrenAction, houseStyleAction, linksAction, placeAction } from './actions'

export const metadata: Metadata = { title: 'Class' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<{ strands?: string }>
}

export default async function Class({ params, searchParams }: Props) {
  const { classId } = await params
  const { strands } = await searchParams
  const table = await classTable(currentViewer(), { classId, set: strands as StrandSetId | undefined })
  return (
    <ClassPage
      classId={classId}
      {...table}
      place={placeAction}
      addChildren={addChildrenAction}
      saveLinks={linksAction}
      changeStyle={houseStyleAction}
    />
  )
}
