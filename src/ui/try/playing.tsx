'use client'

import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import { gameOf } from '@/core/games'
import { movesOf, sceneOf, wordsFor } from '@/core/games/engine/round'
import {
  answer,
  chooseMove,
  deviceUsed,
  isOwnGo,
  movesBySpot,
  othersStep,
  pass,
  type Trying,
} from '@/core/games/playing/trying'
import { itemAsked, type PracticeItem } from '@/core/skills/item'
import { choicesFor } from '@/core/skills/slips'
import { Board } from '../board/board'
import { useGlimpse } from '../board/use-glimpse'
import { useShortcuts } from '../keys/use-shortcuts'
import { moveInWords, promptFor } from '../show/in-words'
import { Sentence } from '../show/sentence'
import { AnswerChoices } from './answer-choices'
import { Help } from './help'
import { NumberPad } from './number-pad'

/** Moves listed beside the board; where there are more the board is tapped. */
const mostListed = 12

/** Asked by what lies on the table, not by a sentence with a gap. */
const wordless: readonly PracticeItem['op'][] = ['count', 'see', 'clock', 'pattern']

/** A game on the table and the question beside it: use the device, answer, choose the move. */
export function Playing({
  title,
  level,
  trying,
  over,
  summary,
  children,
  onNext,
}: {
  title: string
  level: ReactNode
  trying: Trying
  over: boolean
  /** Stands in place of the question once it is over. */
  summary: ReactNode
  /** What can be done besides playing. */
  children: ReactNode
  onNext: (next: Trying) => void
}) {
  const { round, open, wrong, company } = trying
  const [item] = open
  const own = isOwnGo(trying)
  const layout = gameOf(round.game).table.layout(round.params, round.state.players)
  const viewer = own && company === 'together' ? round.state.turn : 0
  const glimpse = useGlimpse(round, sceneOf(round, viewer))
  const choosing = own && round.phase === 'choose' && !item && !over
  const moves = choosing ? movesOf(round) : []
  const bySpot = choosing ? movesBySpot(trying) : new Map<string, unknown>()
  const onward = (next: Trying) => next !== trying && onNext(next)

  function go() {
    if (over || item) return
    if (!own) onward(othersStep(trying))
    else if (round.phase === 'roll') onward(deviceUsed(trying))
  }

  useShortcuts([{ keys: 'Space', title: 'Use the device, or watch the next step', run: go }])

  return (
    <main className="stage try">
      <section className="show-table" aria-label="Table">
        <header>
          <h1>{title}</h1>
          <p>{level}</p>
        </header>
        <div className="show-board">
          <Board
            glide
            layout={layout}
            scene={glimpse.scene}
            name={title}
            live={
              choosing
                ? new Map(
                    [...bySpot].map(([spot, move]) => [spot, moveInWords(wordsFor(round, move)) || 'here']),
                  )
                : undefined
            }
            onSpot={(id) => onward(chooseMove(trying, bySpot.get(id)))}
          />
        </div>
      </section>
      <section className="show-words" aria-label="Your go">
        {over ? (
          summary
        ) : (
          <>
            <div className="show-now">
              <h2>
                {own
                  ? company === 'together'
                    ? `Player ${round.state.turn + 1}`
                    : 'Your go'
                  : 'The other’s go'}
              </h2>
              {item ? (
                <Question
                  item={item}
                  verb={trying.move === null ? undefined : wordsFor(round, trying.move).verb}
                />
              ) : (
                <p className="show-prompt">{whatNow(trying)}</p>
              )}
            </div>
            {item && <Help item={item} wrong={wrong.length} />}
            {glimpse.has && (
              <p className="small muted" data-shown-for={glimpse.shownFor ?? undefined}>
                {glimpse.shownFor === null
                  ? 'Look …'
                  : `It was there for ${(glimpse.shownFor / 1000).toFixed(1)} s.`}{' '}
                <Button variant="plain" size="sm" onClick={glimpse.lookAgain}>
                  Look again
                </Button>
              </p>
            )}
            {item &&
              (choicesFor(item) ? (
                <AnswerChoices
                  key={JSON.stringify(item)}
                  item={item}
                  onSay={(said) => onward(answer(trying, said))}
                />
              ) : (
                <NumberPad onSay={(said) => onward(answer(trying, said))} />
              ))}
            {choosing && moves.length <= mostListed && (
              <div className="try-moves" role="group" aria-label="Moves">
                {moves.map((move) => (
                  <Button
                    key={JSON.stringify(move)}
                    variant="quiet"
                    onClick={() => onward(chooseMove(trying, move))}
                  >
                    {moveInWords(wordsFor(round, move)) || 'Go on'}
                  </Button>
                ))}
              </div>
            )}
            {choosing && moves.length > mostListed && <p className="show-hint">Tap a place on the table.</p>}
            <div className="show-keys">
              {!item && !choosing && (
                <Button variant="primary" onClick={go}>
                  {own ? 'Roll, spin or draw' : 'Next'}
                </Button>
              )}
              {choosing && (
                <Button variant="plain" onClick={() => onward(pass(trying))}>
                  Nothing fits
                </Button>
              )}
            </div>
          </>
        )}
        <span className="show-grow" />
        {children}
      </section>
    </main>
  )
}

function Question({ item, verb }: { item: PracticeItem; verb: Parameters<typeof promptFor>[1] }) {
  return (
    <>
      {!wordless.includes(item.op) && <Sentence text={itemAsked(item)} />}
      <p className="show-prompt">{promptFor(item, verb)}</p>
    </>
  )
}

function whatNow(trying: Trying): string {
  if (!isOwnGo(trying)) return 'Watch what happens.'
  if (trying.round.phase === 'roll') return 'Use the device.'
  return trying.lookAgain ? 'Look again: something fits.' : 'What will you do?'
}
