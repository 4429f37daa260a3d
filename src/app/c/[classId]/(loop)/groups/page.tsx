import type { Metadata } from 'next'
import { groupsPage } from '@/server/groups/groups'
import { GroupsPage } from '@/ui/groups/groups-page'
import { load } from '../../../../load'
import { discardDraftAction } from '../../drafts/actions'
import { earlierGroupsAction, gameFitAction, saveGroupsAction } from './actions'

export const metadata: Metadata = { title: 'Groups' }

export default async function Groups({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const page = await load(groupsPage, { classId })
  return (
    <GroupsPage
      key={`${page.version?.number ?? 0} ${page.children.length}`}
      classId={classId}
      page={page}
      gameFit={gameFitAction}
      earlierGroups={earlierGroupsAction}
      save={saveGroupsAction}
      discard={discardDraftAction}
    />
  )
}
