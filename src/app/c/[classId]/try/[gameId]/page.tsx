import type { Metadata } from 'next'
import { gameIdSchema, gameOf } from '@/core/games'
import { tryPage } from '@/server/show'
import { TryScreen } from '@/ui/try/try-screen'
import { only, wholeFrom, type Query } from '../../(loop)/query'
import { load } from '../../../../load'

interface Props {
  params: Promise<{ classId: string; gameId: string }>
  searchParams: Promise<Query>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const id = gameIdSchema.safeParse((await params).gameId)
  return { title: id.success ? `Try ${gameOf(id.data).title}` : 'Try' }
}

export default async function TryRoute({ params, searchParams }: Props) {
  const { classId, gameId } = await params
  const { level, seed } = await searchParams
  const page = await load(tryPage, {
    classId,
    gameId,
    levelId: only(level),
    seed: wholeFrom(only(seed), 0, 9999),
  })
  return <TryScreen key={page.level.id} classId={classId} page={page} />
}
