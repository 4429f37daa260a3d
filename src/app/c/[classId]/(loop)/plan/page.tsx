import type { Metadata } from 'next'
import Link from 'next/link'
import { planPage } from '@/server/plan/plan'
import { load } from '../../../../load'
import { only, type Query } from '../query'
import { PlanEditor } from '@/ui/plan/plan-editor'
import { discardDraftAction } from '../../drafts/actions'
import { countOnShelfAction, previewAction, savePlanAction } from './actions'

export const metadata: Metadata = { title: 'Plan' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function Plan({ params, searchParams }: Props) {
  const { classId } = await params
  const add = only((await searchParams).add)
  const page = await load(planPage, { classId, add })
  if (!page.view || !page.standing)
    return (
      <div className="empty">
        <h1>Groups come before the plan</h1>
        <p>The plan gives every group a station in every slot, at the level that fits it.</p>
        <Link className="btn btn-primary" href={`/c/${classId}/groups`}>
          To groups
        </Link>
      </div>
    )
  return (
    <PlanEditor
      key={page.session?.id ?? 'new'}
      classId={classId}
      view={page.view}
      standing={page.standing}
      draft={page.draft}
      session={page.session}
      today={page.today}
      games={page.games}
      others={page.others}
      added={page.added}
      changedSince={page.changedSince}
      waiting={page.waiting}
      preview={previewAction}
      save={savePlanAction}
      count={countOnShelfAction}
      discard={discardDraftAction}
    />
  )
}
