import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Suspense } from 'react'
import { gameIdSchema, gameOf } from '@/core/games'
import { adviceFor, type FiguresInput } from '@/server/figures'
import { gamePage } from '@/server/games'
import { currentViewer } from '@/server/viewer'
import { wholeFrom } from '../../query'
import { AdviceList } from '@/ui/games/advice-list'
import { GamePage } from '@/ui/games/game-page'

interface Props {
  params: Promise<{ classId: string; gameId: string }>
  searchParams: Promise<Record<string, string | undefined>>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const id = gameIdSchema.safeParse((await params).gameId)
  return { title: id.success ? gameOf(id.data).title : 'Games' }
}

export default async function GameRoute({ params, searchParams }: Props) {
  const { classId, gameId } = await params
  if (!gameIdSchema.safeParse(gameId).success) notFound()
  const { level, players, slot, rules } = await searchParams
  const page = await gamePage(currentViewer(), {
    classId,
    gameId,
    levelId: level,
    players: wholeFrom(players, 1, 34),
    slotMinutes: wholeFrom(slot, 3, 60),
    params: parsed(rules),
  })
  return (
    <GamePage classId={classId} page={page}>
      <Suspense fallback={<p className="muted small">Trying changes …</p>}>
        <Advised classId={classId} gameId={gameId} level={page.level.id} input={page.input} />
      </Suspense>
    </GamePage>
  )
}

/** Apart, so that the page stands while changes are tried. */
async function Advised({
  classId,
  gameId,
  level,
  input,
}: {
  classId: string
  gameId: string
  level: string
  input: FiguresInput
}) {
  await new Promise((resolve) => setImmediate(resolve))
  return (
    <AdviceList
      advice={adviceFor(input)}
      address={`/c/${classId}/games/${gameId}?level=${level}`}
      slotMinutes={input.slotMinutes ?? 12}
    />
  )
}

function parsed(rules: string | undefined): unknown {
  if (rules === undefined) return undefined
  try {
    return JSON.parse(rules)
  } catch {
    return undefined
  }
}
