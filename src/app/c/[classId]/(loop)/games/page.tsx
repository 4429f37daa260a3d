import type { Metadata } from 'next'
import { strandIds } from '@/core/skills'
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
  const { group, slot, needs, strand, to, players, adult, noise } = await searchParams
  const page = await gamesPage(currentViewer(), {
    classId,
    group: wholeFrom(group, 0, 20) ?? null,
    slotMinutes: wholeFrom(slot, 3, 60),
    needs: needs === 'no-dice' || needs === 'no-print' ? needs : 'any',
    strand: strandIds.find((id) => id === strand) ?? null,
    to: wholeFrom(to, 5, 1000) ?? null,
    players: wholeFrom(players, 1, 34) ?? null,
    adult: adult === 'none' ? adult : 'any',
    noise: wholeFrom(noise, 0, 3),
  })
  return <GamesPage classId={classId} {...page} />
}
