'use client'

import { useRouter } from 'next/navigation'
import { hopMarks, ringMarks } from '@/core/drawing/hops'
import { gameOf } from '@/core/games'
import type { ShowPage } from '@/server/show'
import { Board } from '../board/board'
import { useGlimpse } from '../board/use-glimpse'
import { useShortcuts } from '../keys/use-shortcuts'
import { slipInWords } from './in-words'
import { Now, SoFar } from './now'
import { RealDevice } from './real-device'
import { ShowChoices, ShowKeys } from './show-controls'
import { useShowing } from './use-showing'

interface Props {
  classId: string
  page: ShowPage
}

/** A game before the class: one go after another, question before answer, for the whole carpet to see. */
export function ShowScreen({ classId, page }: Props) {
  const router = useRouter()
  const { game, level, players } = page
  const showing = useShowing(page)
  const { frame, over, counting, hops, slip, told, real, device, cases } = showing
  const layout = gameOf(game.id).table.layout(frame.round.params, players)
  const glimpse = useGlimpse(frame.round, frame.scene)
  const wayOut = `/c/${classId}/games/${game.id}?level=${level.id}`

  useShortcuts([
    { keys: 'Space', title: 'Next', run: showing.onward },
    { keys: 'Enter', title: 'Next', run: showing.onward },
    { keys: 'ArrowRight', title: 'Next', run: showing.onward },
    { keys: 'Backspace', title: 'Back', run: showing.back },
    { keys: 'ArrowLeft', title: 'Back', run: showing.back },
    { keys: 'r', title: 'Roll again', run: showing.rollAgain },
    { keys: 'c', title: 'Count one hop', run: showing.countOne },
    { keys: 's', title: 'Someone slips', run: showing.someoneSlips },
    ...(cases.some(({ case: one }) => one === 'waits')
      ? [{ keys: 'w', title: 'A go that waits', run: () => showing.jumpTo('waits') }]
      : []),
    ...(device ? [{ keys: 'd', title: `Use real ${device}`, run: showing.useReal }] : []),
    { keys: 'Escape', title: 'Close', run: () => router.push(wayOut) },
  ])

  return (
    <main className="stage">
      <section className="show-table" aria-label="Table">
        <header>
          <h1>{game.title}</h1>
          <p>{level.title}</p>
        </header>
        {/* A tap anywhere on the table is the button “Next” beside it. */}
        <div className="show-board" onClick={showing.onward}>
          <Board
            glide
            layout={layout}
            scene={glimpse.scene}
            name={`${game.title}, ${level.title}`}
            over={[
              ...(counting > 0 && frame.from ? hopMarks(layout, frame.from, hops, counting) : []),
              ...(frame.stage === 'moved' && frame.move ? ringMarks(layout, frame.move.spots.slice(-1)) : []),
            ]}
          />
        </div>
      </section>
      <section className="show-words" aria-label="What is asked">
        <SoFar answered={frame.answered} />
        <Now frame={frame} over={over} talk={game.talk} players={players} />
        {glimpse.has && (
          <p className="show-hint">
            {glimpse.shownFor === null
              ? 'Look …'
              : `It was there for ${(glimpse.shownFor / 1000).toFixed(1)} s.`}
          </p>
        )}
        {slip && (
          <p className="show-slip" role="status">
            Someone says <strong>{slip.answer}</strong>.{' '}
            {slip.told ? slipInWords[slip.reason] : 'What happened?'}
          </p>
        )}
        {told && (
          <p className="show-told" role="alert">
            {told}
          </p>
        )}
        {real && frame.round.phase !== 'choose' && !over && <RealDevice onGiven={showing.playWith} />}
        <span className="show-grow" />
        <ShowKeys showing={showing} onLookAgain={glimpse.has ? glimpse.lookAgain : null} />
        <ShowChoices classId={classId} page={page} showing={showing} wayOut={wayOut} />
      </section>
    </main>
  )
}
