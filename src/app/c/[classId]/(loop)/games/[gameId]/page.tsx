import type { Metadata } from 'next'
import { gameIdSchema, gameOf } from '@/core/games'
import { gamePage, type GameView } from '@/server/games/game'
import { picturesOf } from '@/server/pictures'
import { GamePage } from '@/ui/games/game-page'
import { load } from '../../../../../load'
import { only, wholeFrom, type Query } from '../../query'
import { stopWaitingAction } from './actions'

interface Props {
  params: Promise<{ classId: string; gameId: string }>
  searchParams: Promise<Query>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const id = gameIdSchema.safeParse((await params).gameId)
  return { title: id.success ? gameOf(id.data).title : 'Games' }
}

export default async function GameRoute({ params, searchParams }: Props) {
  const { classId, gameId } = await params
  const { level, players, slot, rules, view } = await searchParams
  const page = await load(gamePage, {
    classId,
    gameId,
    levelId: only(level),
    players: wholeFrom(only(players), 1, 34),
    slotMinutes: wholeFrom(only(slot), 3, 60),
    params: parsed(only(rules)),
    // What no such view is opens the first.
    view: only(view) as GameView | undefined,
  })
  // They follow when they are found: the page does not wait for them.
  const pictures = page.view === 'play' ? picturesOf(page.game.id, page.rules, page.changed === null) : null
  return <GamePage classId={classId} page={page} pictures={pictures} stopWaiting={stopWaitingAction} />
}

function parsed(rules: string | undefined): unknown {
  if (rules === undefined) return undefined
  try {
    return JSON.parse(rules)
  } catch {
    return undefined
  }
}
