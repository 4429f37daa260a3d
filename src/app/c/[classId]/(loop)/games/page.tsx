import type { Metadata } from 'next'
import { gamesPage } from '@/server/games'
import { currentViewer } from '@/server/viewer'
import { wholeFrom } from '../query'
import { GamesPage } from '@/ui/games/games-page'

export const metadata: Metadata = { title: 'Games' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Record<string, string | undefined>>
}

export default async function Games({ params, searchParams }: Props) {
  const { classId } = await params
  const { group, slot, needs } = await searchParams
  const page = await gamesPage(currentViewer(), {
    classId,
    group: wholeFrom(group, 0, 20) ?? null,
    slotMinutes: wholeFrom(slot, 3, 60),
    needs: needs === 'no-dice' ? needs : 'any',
  })
  return <GamesPage classId={classId} {...page} />
}
