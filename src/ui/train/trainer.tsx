'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { judgements, type Judgement } from '@/core/evidence/observation'
import { gameOf } from '@/core/games'
import { lesson, type Seen } from '@/core/games/playing/training'
import { itemAsked, sentenceOf, type SlipReason } from '@/core/skills'
import type { TryPage } from '@/server/show'
import { useShortcuts } from '../keys/use-shortcuts'
import { markWords } from '../run/child-row'
import { slipInWords } from '../show/in-words'

interface Given {
  judged: Judgement
  reason: SlipReason | null
}

const agrees = (seen: Seen, given: Given) => given.judged === seen.judged && given.reason === seen.reason

/** Ten goes of children: what would you mark, and why? So that marks mean the same for every adult. Nothing is kept. */
export function Trainer({ classId, page }: { classId: string; page: TryPage }) {
  const { game, level } = page
  const [seed, setSeed] = useState(1)
  const { params } = gameOf(game.id).levels.find(({ id }) => id === level.id)!
  const goes = lesson(game.id, params, Math.max(1, game.players.min), seed)
  const [given, setGiven] = useState<readonly Given[]>([])
  const [judged, setJudged] = useState<Judgement | null>(null)
  const [told, setTold] = useState(false)
  const seen = goes[given.length - (told ? 1 : 0)] as Seen | undefined
  const last = told ? given.at(-1) : undefined

  function give(reason: SlipReason | null, as = judged) {
    if (!seen || as === null || told) return
    setGiven([...given, { judged: as, reason }])
    setJudged(null)
    setTold(true)
  }

  function judge(as: Judgement) {
    if (told) return
    // Right at once, or a mark that needs no reason here: then that is all.
    if (as === 'own' || seen?.reasons.length === 0) give(null, as)
    else setJudged(as)
  }

  useShortcuts([
    ...judgements.map((one, i) => ({ keys: String(i + 1), title: markWords[one], run: () => judge(one) })),
    { keys: 'Space', title: 'Next', run: () => told && setTold(false) },
  ])

  const right = given.filter((one, i) => agrees(goes[i], one)).length
  return (
    <main className="place trainer">
      <div className="headline">
        <div>
          <p className="kicker">
            {game.title} · {level.title}
          </p>
          <h1>{seen || told ? 'What did the child do?' : `You agree on ${right} of ${goes.length}`}</h1>
          <p>
            {seen
              ? `Go ${given.length + (told ? 0 : 1)} of ${goes.length}. Nothing of this is kept.`
              : goes.length === 0
                ? 'What is asked at this level has to be seen: it can’t be practised in words.'
                : 'Nothing of this is kept. The more adults agree, the more their marks say.'}
          </p>
        </div>
        <Link className="btn btn-quiet" href={`/c/${classId}/games/${game.id}?level=${level.id}`}>
          Close
        </Link>
      </div>
      {seen && (
        <section className="trainer-go" aria-live="polite">
          <p className="trainer-asked">{itemAsked(seen.item)}</p>
          <ol className="trainer-said">
            <li>
              The child says <strong>{seen.said[0]}</strong>.
            </li>
            {seen.said.length > 1 && (
              <li>
                You say “look again”. The child says <strong>{seen.said[1]}</strong>.
              </li>
            )}
          </ol>
          {!told && judged === null && (
            <div className="trainer-marks" role="group" aria-label="Mark">
              {judgements.map((one) => (
                <Button key={one} variant="quiet" onClick={() => judge(one)}>
                  {markWords[one]}
                </Button>
              ))}
            </div>
          )}
          {!told && judged !== null && (
            <div className="trainer-marks" role="group" aria-label="Reason">
              {seen.reasons.map((reason) => (
                <Button key={reason} variant="quiet" onClick={() => give(reason)}>
                  {slipInWords[reason]}
                </Button>
              ))}
            </div>
          )}
          {told && last && (
            <div role="status">
              <p>
                {agrees(seen, last) ? 'That is how it is marked here:' : 'Here it is marked'}{' '}
                <strong>{markWords[seen.judged]}</strong>. {seen.reason && slipInWords[seen.reason]}{' '}
                {sentenceOf(seen.item)}.
              </p>
              <Button variant="primary" onClick={() => setTold(false)}>
                Next
              </Button>
            </div>
          )}
        </section>
      )}
      {!seen && goes.length > 0 && (
        <Button
          variant="primary"
          onClick={() => {
            setSeed(seed + 1)
            setGiven([])
          }}
        >
          Ten more
        </Button>
      )}
    </main>
  )
}
