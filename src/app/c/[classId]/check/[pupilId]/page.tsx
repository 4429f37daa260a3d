import type { Metadata } from 'next'
import { z } from 'zod'
import { checkPage } from '@/server/check'
import { CheckScreen } from '@/ui/check/check-screen'
import { load } from '../../../../load'
import { only, type Query } from '../../(loop)/query'

export const metadata: Metadata = { title: 'Quick check' }

interface Props {
  params: Promise<{ classId: string; pupilId: string }>
  searchParams: Promise<Query>
}

export default async function Check({ params, searchParams }: Props) {
  const { classId, pupilId } = await params
  const listed = (only((await searchParams).then) ?? '')
    .split(',')
    .filter((id) => z.uuid().safeParse(id).success)
  const page = await load(checkPage, { classId, pupilId, then: listed.slice(0, 60) })
  return <CheckScreen key={pupilId} classId={classId} page={page} />
}
