import type { Metadata } from 'next'
import { strandIds } from '@/core/skills'
import { progressPage } from '@/server/progress'
import { ProgressPage } from '@/ui/progress/progress-page'
import { load } from '../../../../load'
import { clockAction } from '../../run/actions'
import { only, type Query } from '../query'

export const metadata: Metadata = { title: 'Progress' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function Progress({ params, searchParams }: Props) {
  const { classId } = await params
  const query = await searchParams
  const asked = only(query.strand)
  const page = await load(progressPage, {
    classId,
    strand: strandIds.find((id) => id === asked),
    ended: only(query.ended),
  })
  return <ProgressPage classId={classId} page={page} tapClock={clockAction} />
}
