import type { Metadata } from 'next'
import { strandIds } from '@/core/skills'
import { progressPage } from '@/server/progress'
import { currentViewer } from '@/server/viewer'
import { ProgressPage } from '@/ui/progress/progress-page'

export const metadata: Metadata = { title: 'Progress' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<{ strand?: string }>
}

export default async function Progress({ params, searchParams }: Props) {
  const { classId } = await params
  const asked = (await searchParams).strand
  const page = await progressPage(currentViewer(), { classId, strand: strandIds.find((id) => id === asked) })
  return <ProgressPage classId={classId} page={page} />
}
