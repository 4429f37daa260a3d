'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { hopMarks, ringMarks } from '@/core/drawing/hops'
import { gameOf } from '@/core/games'
import { ImpossibleDevice, type Notable } from '@/core/games/engine/round'
import { slips } from '@/core/skills'
import type { ShowPage } from '@/server/show'
import { Board } from '../board/board'
import { useGlimpse } from '../board/use-glimpse'
import { KeysButton } from '../keys/keys-sheet'
import { useShortcuts } from '../keys/use-shortcuts'
import { again, back, begin, current, deviceOf, isOver, next, withCase, type Film } from './film'
import { caseInWords, oftenInWords, slipInWords } from './in-words'
import { Now, SoFar } from './now'
import { RealDevice } from './real-device'

interface Props {
  classId: string
  page: ShowPage
}

/** A round begun: the one that shows most, as far as it is known. */
function start({ game, level, players, demonstration }: ShowPage): Film {
  const { params } = gameOf(game.id).levels.find(({ id }) => id === level.id)!
  return begin(game.id, params, players, demonstration?.seed ?? 1)
}

/** A game before the class: one go after another, question before answer, for the whole carpet to see. */
export function ShowScreen({ classId, page }: Props) {
  const router = useRouter()
  const { game, level, levels, players, demonstration } = page
  const [film, setFilm] = useState(() => start(page))
  const [counting, setCounting] = useState(0)
  /** How many slips of the open question were shown, and whether the reason of the last one is told. */
  const [slip, setSlip] = useState<{ nth: number; told: boolean } | null>(null)
  const [told, setTold] = useState<string | null>(null)
  const [real, setReal] = useState(false)
  const frame = current(film)
  const { table } = gameOf(game.id)
  const layout = table.layout(frame.round.params, players)
  const glimpse = useGlimpse(frame.round, frame.scene)
  const device = deviceOf(frame.round.params, game.id)
  const address = `/c/${classId}/games/${game.id}?level=${level.id}`

  /** Shows another picture, and forgets what was added to the last one. */
  function show(other: Film) {
    setFilm(other)
    setCounting(0)
    setSlip(null)
    setTold(null)
  }

  function onward() {
    if (real && frame.round.phase === 'roll') return
    show(next(film))
  }

  const wrong = frame.item ? slips(frame.item) : []

  function someoneSlips() {
    if (wrong.length === 0) return
    if (!slip) setSlip({ nth: 0, told: false })
    else if (!slip.told) setSlip({ ...slip, told: true })
    else setSlip({ nth: (slip.nth + 1) % wrong.length, told: false })
  }

  const hops = frame.stage === 'asked' && frame.move?.verb === 'move' && frame.from ? frame.move.spots : []

  function jumpTo(wanted: Notable) {
    const found = withCase(film, wanted)
    if (found) show(found)
    else setTold(`None of 400 rounds showed ${caseInWords[wanted]}.`)
  }

  function playWith(numbers: number[]): boolean {
    try {
      show(again(film, numbers))
      return true
    } catch (error) {
      if (!(error instanceof ImpossibleDevice)) throw error
      setTold(`It can’t show ${numbers.join(' and ')} now.`)
      return false
    }
  }

  const cases = (demonstration?.often ?? []).filter(({ case: one }) => one !== 'ends')

  useShortcuts([
    { keys: 'Space', title: 'Next', run: onward },
    { keys: 'Enter', title: 'Next', run: onward },
    { keys: 'ArrowRight', title: 'Next', run: onward },
    { keys: 'Backspace', title: 'Back', run: () => show(back(film)) },
    { keys: 'ArrowLeft', title: 'Back', run: () => show(back(film)) },
    { keys: 'r', title: 'Roll again', run: () => show(again(film)) },
    { keys: 'c', title: 'Count one hop', run: () => setCounting(Math.min(hops.length, counting + 1)) },
    { keys: 's', title: 'Someone slips', run: someoneSlips },
    ...(cases.some(({ case: one }) => one === 'waits')
      ? [{ keys: 'w', title: 'A go that waits', run: () => jumpTo('waits') }]
      : []),
    ...(device ? [{ keys: 'd', title: `Use real ${device}`, run: () => setReal(!real) }] : []),
    { keys: 'Escape', title: 'Close', run: () => router.push(address) },
  ])

  return (
    <main className="stage">
      <section className="show-table" aria-label="Table">
        <header>
          <h1>{game.title}</h1>
          <p>{level.title}</p>
        </header>
        {/* A tap anywhere on the table is the button “Next” beside it. */}
        <div className="show-board" onClick={onward}>
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
        <Now frame={frame} over={isOver(film)} talk={game.talk} players={players} />
        {glimpse.has && (
          <p className="show-hint">
            {glimpse.shownFor === null
              ? 'Look …'
              : `It was there for ${(glimpse.shownFor / 1000).toFixed(1)} s.`}
          </p>
        )}
        {slip && wrong[slip.nth] && (
          <p className="show-slip" role="status">
            Someone says <strong>{wrong[slip.nth].answer}</strong>.{' '}
            {slip.told ? slipInWords[wrong[slip.nth].reason] : 'What happened?'}
          </p>
        )}
        {told && (
          <p className="show-told" role="alert">
            {told}
          </p>
        )}
        {real && frame.round.phase !== 'choose' && !isOver(film) && <RealDevice onGiven={playWith} />}
        <span className="show-grow" />
        <div className="show-keys">
          <Button
            variant="primary"
            onClick={onward}
            disabled={isOver(film) || (real && frame.round.phase === 'roll')}
          >
            {frame.round.phase === 'roll' ? 'Next go' : frame.item ? 'Answer' : 'Next'}
          </Button>
          <Button variant="plain" onClick={() => show(back(film))} disabled={film.at === 0}>
            Back
          </Button>
          <Button variant="plain" onClick={() => show(again(film))} disabled={isOver(film)}>
            Roll again
          </Button>
          {hops.length > 0 && (
            <Button variant="plain" onClick={() => setCounting(Math.min(hops.length, counting + 1))}>
              Count {counting < hops.length ? counting + 1 : hops.length}
            </Button>
          )}
          {glimpse.has && (
            <Button variant="plain" onClick={glimpse.lookAgain}>
              Look again
            </Button>
          )}
          <Button variant="plain" onClick={someoneSlips} disabled={wrong.length === 0}>
            {slip && !slip.told ? 'Why?' : 'Someone slips'}
          </Button>
          {device && (
            <Button variant="plain" aria-pressed={real} onClick={() => setReal(!real)}>
              Real {device}
            </Button>
          )}
        </div>
        <div className="show-choose">
          <label>
            <span className="visually-hidden">Level</span>
            <select
              value={level.id}
              onChange={({ target }) => router.replace(`/c/${classId}/show/${game.id}?level=${target.value}`)}
            >
              {levels.map(({ id, title }) => (
                <option key={id} value={id}>
                  {title}
                </option>
              ))}
            </select>
          </label>
          {cases.length > 0 && (
            <label>
              <span className="visually-hidden">Show a case</span>
              <select value="" onChange={({ target }) => jumpTo(target.value as Notable)}>
                <option value="" disabled>
                  Show …
                </option>
                {cases.map(({ case: one, share }) => (
                  <option key={one} value={one}>
                    {caseInWords[one]}, {oftenInWords(share)}
                  </option>
                ))}
              </select>
            </label>
          )}
          {page.timed && <Link href={`/c/${classId}/questions?time=yes`}>Rounds against time</Link>}
          <KeysButton />
          <Link href={address}>Close</Link>
        </div>
      </section>
    </main>
  )
}
