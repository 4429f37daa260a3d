import type { Metadata } from 'next'
import { questionsPage } from '@/server/show'
import { QuestionsScreen } from '@/ui/questions/questions-screen'
import { load } from '../../../load'
import { only, type Query } from '../(loop)/query'

export const metadata: Metadata = { title: 'Questions' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function QuestionsRoute({ params, searchParams }: Props) {
  const { classId } = await params
  const { time } = await searchParams
  const page = await load(questionsPage, { classId })
  return <QuestionsScreen classId={classId} page={page} timed={only(time) === 'yes'} />
}
