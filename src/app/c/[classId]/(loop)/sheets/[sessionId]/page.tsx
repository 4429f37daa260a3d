import type { Metadata } from 'next'
import { sheetsPage } from '@/server/run'
import { TypingIn } from '@/ui/typing/typing-in'
import { load } from '../../../../../load'
import { clockAction } from '../../../run/actions'
import { only, type Query } from '../../query'

export const metadata: Metadata = { title: 'Type in sheets' }

interface Props {
  params: Promise<{ classId: string; sessionId: string }>
  searchParams: Promise<Query>
}

export default async function Sheets({ params, searchParams }: Props) {
  const { classId, sessionId } = await params
  const from = only((await searchParams).from) === 'children' ? 'sheet' : 'seen'
  const board = await load(sheetsPage, { classId, sessionId })
  return <TypingIn key={from} classId={classId} board={board} from={from} tapClock={clockAction} />
}
