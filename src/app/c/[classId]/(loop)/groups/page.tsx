import type { Metadata } from 'next'
import { groupsPage } from '@/server/groups/groups'
import { GroupsPage } from '@/ui/groups/groups-page'
import { only, type Query } from '../query'
import { load } from '../../../../load'
import { discardDraftAction } from '../../drafts/actions'
import { earlierGroupsAction, gameFitAction, saveGroupsAction } from './actions'

export const metadata: Metadata = { title: 'Groups' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function Groups({ params, searchParams }: Props) {
  const { classId } = await params
  const { moves } = await searchParams
  const page = await load(groupsPage, { classId })
  return (
    <GroupsPage
      key={`${page.version?.number ?? 0} ${page.children.length}`}
      classId={classId}
      page={page}
      movesAtOnce={only(moves) !== undefined}
      gameFit={gameFitAction}
      earlierGroups={earlierGroupsAction}
      save={saveGroupsAction}
      discard={discardDraftAction}
    />
  )
}
