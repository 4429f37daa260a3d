'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { gameOf } from '@/core/games'
import { movesOf, sceneOf, wordsFor } from '@/core/games/round'
import {
  answer,
  beginTrying,
  chooseMove,
  isOwnGo,
  movesBySpot,
  othersStep,
  pass,
  deviceUsed,
  type Company,
  type Trying,
} from '@/core/games/trying'
import { itemAsked } from '@/core/skills'
import type { TryPage } from '@/server/show'
import { Board } from '../board/board'
import { useGlimpse } from '../board/use-glimpse'
import { KeysButton } from '../keys/keys-sheet'
import { useShortcuts } from '../keys/use-shortcuts'
import { moveInWords, promptFor, roundTheGap } from '../show/in-words'
import { AnswerChoices } from './answer-choices'
import { Help } from './help'
import { NumberPad } from './number-pad'
import { Summary } from './summary'

const companies: readonly [Company, string][] = [
  ['alone', 'alone'],
  ['planner', 'against one that plans'],
  ['novice', 'against a beginner'],
  ['together', 'two in turn'],
]

/** Moves listed beside the board; where there are more the board is tapped. */
const mostListed = 12

function start({ game, level }: TryPage, company: Company): Trying {
  const found = gameOf(game.id)
  const { params } = found.levels.find(({ id }) => id === level.id)!
  const players = Math.max(found.players.min, company === 'alone' ? 1 : Math.min(2, found.players.max))
  return beginTrying(game.id, params, players, company, Math.floor(Math.random() * 2 ** 31))
}

/** A game that a person plays: use the device, answer, choose the move. */
export function TryScreen({ classId, page }: { classId: string; page: TryPage }) {
  const router = useRouter()
  const { game, level, levels } = page
  // Where nobody can play alone one that plays as a beginner joins.
  const usual: Company = game.players.min > 1 ? 'novice' : 'alone'
  const [company, setCompany] = useState<Company>(usual)
  const [past, setPast] = useState<readonly Trying[]>(() => [start(page, usual)])
  const [ended, setEnded] = useState(false)
  const trying = past.at(-1)!
  const { round, open, wrong } = trying
  const [item] = open
  const own = isOwnGo(trying)
  const over = round.phase === 'over' || ended
  const layout = gameOf(game.id).table.layout(round.params, round.state.players)
  const viewer = own && company === 'together' ? round.state.turn : 0
  const glimpse = useGlimpse(round, sceneOf(round, viewer))
  const choosing = own && round.phase === 'choose' && !item && !over
  const moves = choosing ? movesOf(round) : []
  const bySpot = choosing ? movesBySpot(trying) : new Map<string, unknown>()
  const onward = (next: Trying) => next !== trying && setPast([...past, next])

  function again(other: Company) {
    setCompany(other)
    setPast([start(page, other)])
    setEnded(false)
  }

  function go() {
    if (over || item) return
    if (!own) onward(othersStep(trying))
    else if (round.phase === 'roll') onward(deviceUsed(trying))
  }

  useShortcuts([
    { keys: 'Space', title: 'Use the device, or watch the next step', run: go },
    { keys: 'u', title: 'Undo', run: () => past.length > 1 && setPast(past.slice(0, -1)) },
    {
      keys: 'Escape',
      title: 'Close',
      run: () => router.push(`/c/${classId}/games/${game.id}?level=${level.id}`),
    },
  ])

  const prompt = item && promptFor(item, trying.move === null ? undefined : wordsFor(round, trying.move).verb)
  const [before, after] = item ? roundTheGap(itemAsked(item)) : ['', '']

  return (
    <main className="stage try">
      <section className="show-table" aria-label="Table">
        <header>
          <h1>{game.title}</h1>
          <p>{level.title}</p>
        </header>
        <div className="show-board">
          <Board
            glide
            layout={layout}
            scene={glimpse.scene}
            name={`${game.title}, ${level.title}`}
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
          <Summary trying={trying} />
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
                <>
                  {!['count', 'see', 'clock', 'pattern'].includes(item.op) && (
                    <p className="show-sentence">
                      {before.trim()} <span className="show-gap" role="img" aria-label="gap" /> {after.trim()}
                    </p>
                  )}
                  <p className="show-prompt">{prompt}</p>
                </>
              ) : (
                <p className="show-prompt">
                  {own
                    ? round.phase === 'roll'
                      ? 'Use the device.'
                      : trying.lookAgain
                        ? 'Look again: something fits.'
                        : 'What will you do?'
                    : 'Watch what happens.'}
                </p>
              )}
            </div>
            {item && <Help item={item} wrong={wrong.length} />}
            {glimpse.has && (
              <p className="small muted">
                {glimpse.shownFor === null
                  ? 'Look …'
                  : `It was there for ${(glimpse.shownFor / 1000).toFixed(1)} s.`}{' '}
                <Button variant="plain" size="sm" onClick={glimpse.lookAgain}>
                  Look again
                </Button>
              </p>
            )}
            {item &&
              (item.op === 'clock' || item.op === 'pattern' || item.op === 'compare' ? (
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
        <div className="show-keys">
          <Button variant="plain" disabled={past.length < 2} onClick={() => setPast(past.slice(0, -1))}>
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
          <label>
            <span className="visually-hidden">Level</span>
            <select
              value={level.id}
              onChange={({ target }) => router.replace(`/c/${classId}/try/${game.id}?level=${target.value}`)}
            >
              {levels.map(({ id, title }) => (
                <option key={id} value={id}>
                  {title}
                </option>
              ))}
            </select>
          </label>
          <KeysButton />
          <Link href={`/c/${classId}/games/${game.id}?level=${level.id}`}>Close</Link>
        </div>
      </section>
    </main>
  )
}
