import type { Metadata } from 'next'
import { strandIds } from '@/core/skills'
import { gamesPage } from '@/server/games/list'
import { GamesPage } from '@/ui/games/games-page'
import { load } from '../../../../load'
import { only, wholeFrom, type Query } from '../query'

export const metadata: Metadata = { title: 'Games' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

export default async function Games({ params, searchParams }: Props) {
  const { classId } = await params
  const query = await searchParams
  const [needs, strand] = [only(query.needs), only(query.strand)]
  const whole = (name: string, least: number, most: number) => wholeFrom(only(query[name]), least, most)
  const page = await load(gamesPage, {
    classId,
    group: whole('group', 0, 20) ?? null,
    slotMinutes: whole('slot', 3, 60),
    needs: needs === 'no-dice' || needs === 'no-print' ? needs : 'any',
    strand: strandIds.find((id) => id === strand) ?? null,
    to: whole('to', 5, 1000) ?? null,
    players: whole('players', 1, 34) ?? null,
    adult: only(query.adult) === 'none' ? 'none' : 'any',
    noise: whole('noise', 0, 3),
  })
  return <GamesPage classId={classId} {...page} />
}
