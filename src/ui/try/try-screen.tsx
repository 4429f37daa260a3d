'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { lazy, Suspense, useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { beginTrying, type Company, type Trying } from '@/core/games/playing/trying'
import { gameOf } from '@/core/games'
import type { TryPage } from '@/server/show'
import { KeysButton } from '../keys/keys-button'
import { LevelChoice } from '../show/level-choice'
import { useShortcuts } from '../keys/use-shortcuts'
import { Playing } from './playing'

const loadSummary = () => import('./summary').catch(() => ({ default: NotThere }))
const Summary = lazy(loadSummary)

const companies: readonly [Company, string][] = [
  ['alone', 'alone'],
  ['planner', 'against one that plans'],
  ['novice', 'against a beginner'],
  ['together', 'two in turn'],
]

function start({ game, level }: TryPage, company: Company, seed: number): Trying {
  const { levels, players } = gameOf(game.id)
  const { params } = levels.find(({ id }) => id === level.id)!
  const playing = Math.max(players.min, company === 'alone' ? 1 : Math.min(2, players.max))
  return beginTrying(game.id, params, playing, company, seed)
}

/** A game that a person tries: with whom, at which level, any step taken back. */
export function TryScreen({ classId, page }: { classId: string; page: TryPage }) {
  const router = useRouter()
  const { game, level, levels } = page
  // Where nobody can play alone one that plays as a beginner joins.
  const usual: Company = game.players.min > 1 ? 'novice' : 'alone'
  const [company, setCompany] = useState<Company>(usual)
  const [past, setPast] = useState<readonly Trying[]>(() => [start(page, usual, page.seed)])
  const [ended, setEnded] = useState(false)
  const trying = past.at(-1)!
  const over = trying.round.phase === 'over' || ended
  const undo = () => past.length > 1 && setPast(past.slice(0, -1))

  function again(other: Company) {
    setCompany(other)
    setPast([start(page, other, Math.floor(Math.random() * 10_000))])
    setEnded(false)
  }

  // What is needed at the end is fetched while it is played.
  const begun = past.length > 1
  useEffect(() => {
    if (begun) void loadSummary()
  }, [begun])

  useShortcuts([
    { keys: 'u', title: 'Undo', run: undo },
    {
      keys: 'Escape',
      title: 'Close',
      run: () => router.push(`/c/${classId}/games/${game.id}?level=${level.id}`),
    },
  ])

  return (
    <Playing
      title={game.title}
      level={level.title}
      trying={trying}
      over={over}
      summary={
        <Suspense fallback={<p className="show-prompt">The game is over.</p>}>
          <Summary trying={trying} />
        </Suspense>
      }
      onNext={(next) => setPast([...past, next])}
    >
      <div className="show-keys">
        <Button variant="plain" disabled={past.length < 2} onClick={undo}>
          Undo
        </Button>
        <Button variant="plain" onClick={() => again(company)}>
          New game
        </Button>
        {!over && (
          <Button variant="plain" disabled={trying.done.length === 0} onClick={() => setEnded(true)}>
            Stop here
          </Button>
        )}
      </div>
      <div className="show-choose">
        <label>
          <span className="visually-hidden">Who plays</span>
          <select value={company} onChange={({ target }) => again(target.value as Company)}>
            {companies
              .filter(([id]) => (id === 'alone' ? game.players.min === 1 : game.players.max > 1))
              .map(([id, title]) => (
                <option key={id} value={id}>
                  {title}
                </option>
              ))}
          </select>
        </label>
        <LevelChoice level={level.id} levels={levels} at={`/c/${classId}/try/${game.id}`} />
        <KeysButton />
        <Link href={`/c/${classId}/games/${game.id}?level=${level.id}`}>Close</Link>
      </div>
    </Playing>
  )
}

function NotThere() {
  return <p role="alert">What was practised can’t be fetched without a network.</p>
}
