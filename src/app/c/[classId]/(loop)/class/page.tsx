import type { Metadata } from 'next'
import type { StrandSetId } from '@/core/skills'
import { classTable } from '@/server/classes'
import { load } from '../../../../load'
import { only, type Query } from '../query'
import { ClassPage } from '@/ui/class/class-page'
import { addChildrenAction, houseStyleAction, linksAction, placeAction, setLeftAction } from './actions'

export const metadata: Metadata = { title: 'Class' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function Class({ params, searchParams }: Props) {
  const { classId } = await params
  const { strands } = await searchParams
  const table = await load(classTable, { classId, set: only(strands) as StrandSetId | undefined })
  return (
    <ClassPage
      classId={classId}
      {...table}
      place={placeAction}
      addChildren={addChildrenAction}
      saveLinks={linksAction}
      changeStyle={houseStyleAction}
      setLeft={setLeftAction}
    />
  )
}
