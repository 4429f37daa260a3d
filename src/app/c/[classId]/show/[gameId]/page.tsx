import type { Metadata } from 'next'
import { gameIdSchema, gameOf } from '@/core/games'
import { showPage } from '@/server/show'
import { ShowScreen } from '@/ui/show/show-screen'
import { only, wholeFrom, type Query } from '../../(loop)/query'
import { load } from '../../../../load'

interface Props {
  params: Promise<{ classId: string; gameId: string }>
  searchParams: Promise<Query>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const id = gameIdSchema.safeParse((await params).gameId)
  return { title: id.success ? `Show ${gameOf(id.data).title}` : 'Show' }
}

export default async function ShowRoute({ params, searchParams }: Props) {
  const { classId, gameId } = await params
  const { level, players } = await searchParams
  const page = await load(showPage, {
    classId,
    gameId,
    levelId: only(level),
    players: wholeFrom(only(players), 1, 34),
  })
  return <ShowScreen key={`${page.level.id} ${page.players}`} classId={classId} page={page} />
}
