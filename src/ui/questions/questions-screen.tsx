'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { seededChance } from '@/core/chance/chance'
import { questionRound, type ClassQuestion } from '@/core/games/playing/class-questions'
import { itemAsked, sentenceOf, strandOf, timeInWords, type PracticeItem } from '@/core/skills'
import { onTable, place } from '@/core/table'
import type { QuestionsPage } from '@/server/show'
import { Board } from '../board/board'
import { KeysButton } from '../keys/keys-button'
import { useShortcuts } from '../keys/use-shortcuts'
import { promptFor } from '../show/in-words'
import { Sentence } from '../show/sentence'
import { TimeLeft } from './time-left'

const perRound = 10
/** Seconds of the first round; each round has a fifth less, never under three. */
const paces = [
  [null, 'no time'],
  [15, '15 seconds'],
  [10, '10 seconds'],
] as const

const secondsIn = (first: number, round: number) => Math.max(3, Math.round(first * 0.8 ** round))

const newSeed = () => Math.floor(Math.random() * 2 ** 31)

interface Asking {
  strand: string
  /** Seconds of the first round; null: as long as it takes. */
  first: number | null
  round: number
  questions: readonly ClassQuestion[]
  at: number
  answered: boolean
}

const card = onTable(place('card', [36, 44]))

/** Questions for the carpet, at the steps the class works at; nobody is named and nothing is kept. */
export function QuestionsScreen({
  classId,
  page: { strands, seed },
  timed,
}: {
  classId: string
  page: QuestionsPage
  /** Opened for rounds against time. */
  timed: boolean
}) {
  const router = useRouter()
  const [asking, setAsking] = useState<Asking>(() => begin('all', timed ? 15 : null, 0, seed))

  function begin(strand: string, first: number | null, round: number, from = newSeed()): Asking {
    const steps = strands
      .filter((one) => strand === 'all' || one.strand === strand)
      .flatMap((one) => one.steps)
    const questions = questionRound(steps, perRound, seededChance(from))
    return { strand, first, round, questions, at: 0, answered: false }
  }

  const { strand, first, round, questions, at, answered } = asking
  const question = questions[at]
  const through = questions.length > 0 && at >= questions.length
  const onward = () => {
    if (through) setAsking(begin(strand, first, round + 1))
    else if (question)
      setAsking(answered ? { ...asking, at: at + 1, answered: false } : { ...asking, answered: true })
  }
  const back = () => {
    if (answered) setAsking({ ...asking, answered: false })
    else if (at > 0) setAsking({ ...asking, at: at - 1, answered: true })
  }

  useShortcuts([
    { keys: 'Space', title: 'Next', run: onward },
    { keys: 'ArrowRight', title: 'Next', run: onward },
    { keys: 'Backspace', title: 'Back', run: back },
    { keys: 'ArrowLeft', title: 'Back', run: back },
    { keys: 'Escape', title: 'Close', run: () => router.push(`/c/${classId}`) },
  ])

  return (
    <main className="stage questions">
      <section className="show-table" aria-label="Question">
        <header>
          <h1>Questions</h1>
          <p>
            {questions.length > 0 &&
              `Round ${round + 1}, ${through ? 'all asked' : `question ${at + 1} of ${questions.length}`}`}
          </p>
        </header>
        <div className="question-card" onClick={onward}>
          {question && <Question key={`${round} ${at}`} question={question} answered={answered} />}
          {through && <p className="show-prompt">Which one was hardest? How did you work it out?</p>}
          {questions.length === 0 && (
            <p className="show-prompt">Nobody has been placed on a step that can be asked on a screen yet.</p>
          )}
        </div>
      </section>
      <section className="show-words" aria-label="What to do">
        <div className="show-now">
          {question && !answered && first !== null && (
            <TimeLeft key={`${round} ${at}`} seconds={secondsIn(first, round)} />
          )}
          {question && (
            <p className="show-prompt">
              {answered
                ? 'Hands up: how did you know?'
                : first === null
                  ? 'Tell a partner.'
                  : 'Write it down.'}
            </p>
          )}
          {first !== null && (
            <p className="show-hint">
              {secondsIn(first, round)} seconds in this round. Time worries some children: let them answer
              with a partner, or without time.
            </p>
          )}
        </div>
        <span className="show-grow" />
        <div className="show-keys">
          <Button variant="primary" onClick={onward} disabled={questions.length === 0}>
            {through ? 'Next round' : answered ? 'Next question' : 'Answer'}
          </Button>
          <Button variant="plain" onClick={back} disabled={at === 0 && !answered}>
            Back
          </Button>
        </div>
        <div className="show-choose">
          <label>
            <span className="visually-hidden">About</span>
            <select value={strand} onChange={({ target }) => setAsking(begin(target.value, first, 0))}>
              <option value="all">of all</option>
              {strands.map((one) => (
                <option key={one.strand} value={one.strand}>
                  {strandOf(one.strand).title}
                </option>
              ))}
            </select>
          </label>
          <label>
            <span className="visually-hidden">Time</span>
            <select
              value={first ?? ''}
              onChange={({ target }) =>
                setAsking(begin(strand, target.value === '' ? null : Number(target.value), 0))
              }
            >
              {paces.map(([seconds, title]) => (
                <option key={title} value={seconds ?? ''}>
                  {title}
                </option>
              ))}
            </select>
          </label>
          <KeysButton />
          <Link href={`/c/${classId}/tools`}>Tools</Link>
          <Link href={`/c/${classId}`}>Close</Link>
        </div>
      </section>
    </main>
  )
}

/** The question as large as it goes: a sentence with a gap, or what is looked at. */
function Question({ question: { item, shows }, answered }: { question: ClassQuestion; answered: boolean }) {
  return (
    <>
      {shows ? (
        <Board
          layout={card}
          scene={{ things: [{ id: 'shown', kind: 'picture cards', owner: null, at: 'card', face: shows }] }}
          name={promptFor(item, undefined)}
        />
      ) : (
        !answered && (
          <Sentence className="question-sentence" text={itemAsked(item)} data-asked={itemAsked(item)} />
        )
      )}
      {answered ? (
        <p className="question-sentence" role="status">
          {answerOf(item, shows !== null)}
        </p>
      ) : (
        <p className="show-prompt">{promptFor(item, undefined)}</p>
      )}
    </>
  )
}

/** The sentence with its gap filled; of what is looked at the answer alone. */
function answerOf(item: PracticeItem, looked: boolean): string {
  if (item.op === 'clock') return timeInWords(item.hour, item.minute)
  return looked ? String(item.answer) : sentenceOf(item)
}
