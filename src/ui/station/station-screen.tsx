'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { beginAtStation, goingOn, playedEnough, recordOf } from '@/core/games/playing/digital-station'
import type { StationPage } from '@/server/show'
import { savedInWords } from '../run/saved-in-words'
import { useOutbox } from '../run/use-outbox'
import { Playing } from '../try/playing'
import { keepPlay, keptPlay, newPlay, type Play } from './kept-play'

const seed = () => Math.floor(Math.random() * 2 ** 31)

/** One child plays eight to twelve goes by itself: a big name and the table, no score, no ranking, no clock. */
export function StationScreen({
  page,
  from,
  back: backTo,
}: {
  page: StationPage
  /** Where its answers are sent, and where it leads back to. */
  from: string
  back: string
}) {
  const { classId, visitId, child, game, level, closed } = page
  const [play, setPlay] = useState<Play | null>(null)
  const [ended, setEnded] = useState(false)
  const { add, state } = useOutbox({ classId, from })

  function begin() {
    const kept = keptPlay(visitId, child.id)
    const goesOn = kept?.trying.round.game === game.id
    setPlay(goesOn ? kept : newPlay(beginAtStation(game.id, level.id, seed())))
  }

  /** The record goes to the device at once, and from there to the server when that can be reached. */
  async function end({ id, trying }: Play) {
    setEnded(true)
    for (const { value, digital } of recordOf(trying))
      await add({ visitId, pupilId: child.id, observer: id, digital }, value, null)
    keepPlay(visitId, child.id, null)
  }

  const back = <Link href={backTo}>Back to the session</Link>
  if (closed || !play)
    return (
      <main className="stage station-door">
        <h1>{child.name}</h1>
        {closed ? (
          <p className="show-prompt">{closed}</p>
        ) : (
          <>
            <p className="show-prompt">{game.title}</p>
            <Button size="lg" onClick={begin}>
              Start
            </Button>
          </>
        )}
        {back}
      </main>
    )

  const { trying } = play
  return (
    <Playing
      title={child.name}
      level={game.title}
      trying={trying}
      over={ended}
      summary={
        <div className="show-now">
          <h2>Thank you, {child.name}.</h2>
          <p className="show-prompt">Now call an adult.</p>
          <p role="status" className="small muted">
            {recordOf(trying).length === 0
              ? 'Nothing is kept of this: at a screen its answers can be read.'
              : savedInWords(state)}
          </p>
          {back}
        </div>
      }
      onNext={(next) => {
        const after = { ...play, trying: goingOn(next, seed()) }
        setPlay(after)
        keepPlay(visitId, child.id, after)
        if (playedEnough(after.trying)) void end(after)
      }}
    >
      {!ended && (
        <div className="show-keys">
          <Button variant="plain" onClick={() => void end(play)}>
            Stop
          </Button>
        </div>
      )}
    </Playing>
  )
}
