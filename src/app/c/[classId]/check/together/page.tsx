import type { Metadata } from 'next'
import { z } from 'zod'
import { checkTogetherPage } from '@/server/check'
import { TogetherScreen } from '@/ui/check/together-screen'
import { load } from '../../../../load'
import { only, type Query } from '../../(loop)/query'

export const metadata: Metadata = { title: 'Check together' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function CheckTogether({ params, searchParams }: Props) {
  const { classId } = await params
  const pupilIds = (only((await searchParams).with) ?? '')
    .split(',')
    .filter((id) => z.uuid().safeParse(id).success)
  const page = await load(checkTogetherPage, { classId, pupilIds })
  return <TogetherScreen key={pupilIds.join()} classId={classId} page={page} />
}
