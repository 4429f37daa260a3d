import type { Metadata } from 'next'
import { tryPage } from '@/server/show'
import { Trainer } from '@/ui/train/trainer'
import { only, type Query } from '../../(loop)/query'
import { load } from '../../../../load'

export const metadata: Metadata = { title: 'What did the child do?' }

interface Props {
  params: Promise<{ classId: string; gameId: string }>
  searchParams: Promise<Query>
}

export default async function TrainRoute({ params, searchParams }: Props) {
  const { classId, gameId } = await params
  const { level } = await searchParams
  const page = await load(tryPage, { classId, gameId, levelId: only(level) })
  return <Trainer key={page.level.id} classId={classId} page={page} />
}
