'use client'

import Link from 'next/link'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { seededChance } from '@/core/chance/chance'
import { checkAfter } from '@/core/evidence/check-run'
import type { Belief } from '@/core/evidence/estimate'
import { noValue } from '@/core/evidence/mark'
import { judgements } from '@/core/evidence/observation'
import { strandOf, stepOf, type StrandId } from '@/core/skills'
import { taskFor } from '@/core/skills/tasks'
import { stimulusFor } from '@/core/teaching/stimulus'
import type { CheckPage } from '@/server/check'
import { KeysButton } from '../keys/keys-sheet'
import { useShortcuts } from '../keys/use-shortcuts'
import { NotStored } from '../run/not-stored'
import { savedInWords } from '../run/saved-in-words'
import { MarkSign } from '../run/child-row'
import { many } from '../words'
import { CheckResult } from './check-result'
import { StimulusView } from './stimulus-view'
import { TallyForm } from './tally-form'
import { useAnswers } from './use-answers'

const markNames = { own: 'own', help: 'help', notYet: 'not yet' } as const
const usualMinutes = 5

/** One child, five minutes: strands chosen, tasks asked one by one, what has come of it. */
export function CheckScreen({ classId, page }: { classId: string; page: CheckPage }) {
  const [chosen, setChosen] = useState<readonly StrandId[] | null>(null)
  if (!chosen) return <ChooseStrands classId={classId} page={page} onStart={setChosen} />
  return <Asking classId={classId} page={page} chosen={chosen} onOther={() => window.location.reload()} />
}

function ChooseStrands({
  classId,
  page: { child, strands, usual, then },
  onStart,
}: {
  classId: string
  page: CheckPage
  onStart: (chosen: readonly StrandId[]) => void
}) {
  const [ticked, setTicked] = useState<ReadonlySet<StrandId>>(() => new Set(usual))
  const toggle = (strand: StrandId) => {
    const next = new Set(ticked)
    if (!next.delete(strand)) next.add(strand)
    setTicked(next)
  }
  return (
    <main className="check-start">
      <h1>Five minutes with {child.name}</h1>
      <p>
        Ask what is asked, tap what you see. The next question depends on the answer, and most of them can be
        done. Stop whenever you like: every answer counts.
      </p>
      <fieldset>
        <legend>What to ask about</legend>
        <div className="check-strands">
          {strands.map(({ strand, followed, open }) => (
            <Form.Check
              key={strand}
              id={`strand ${strand}`}
              label={`${strandOf(strand).title}${!followed ? ' (not begun)' : open ? '' : ' (known well)'}`}
              checked={ticked.has(strand)}
              onChange={() => toggle(strand)}
            />
          ))}
        </div>
      </fieldset>
      <p className="button-row">
        <Button disabled={ticked.size === 0} onClick={() => onStart([...ticked])}>
          Begin
        </Button>
        <Link className="btn btn-plain" href={`/c/${classId}/children/${child.id}`}>
          Not now
        </Link>
      </p>
      {then.length > 0 && <p className="small muted">Then {then.map(({ name }) => name).join(', ')}.</p>}
    </main>
  )
}

function Asking({
  classId,
  page: { child, strands, then, seed },
  chosen,
  onOther,
}: {
  classId: string
  page: CheckPage
  chosen: readonly StrandId[]
  /** Begins anew with other strands, from what is believed then. */
  onOther: () => void
}) {
  const answers = useAnswers(classId, child.id)
  const [minutes, setMinutes] = useState(usualMinutes)
  const [finished, setFinished] = useState(false)
  const [tallying, setTallying] = useState(false)
  /** Other numbers of the same task. */
  const [turn, setTurn] = useState(0)
  const before = useMemo(
    () =>
      new Map<StrandId, Belief>(
        strands
          .filter(({ strand }) => chosen.includes(strand))
          .map(({ strand, from, mass }) => [
            strand,
            { ability: { from, mass: Float64Array.from(mass) }, day: 0 },
          ]),
      ),
    [strands, chosen],
  )
  const run = useMemo(() => checkAfter(before, answers.answers, minutes), [before, answers.answers, minutes])
  const place = finished ? null : run.next
  const task = useMemo(
    () => place && taskFor(place, seededChance(seed + answers.answers.length * 101 + turn)),
    [place, seed, answers.answers.length, turn],
  )
  const stimulus = task && stimulusFor(task.item)

  function give(value: Parameters<typeof answers.give>[0]['value']) {
    if (!place) return
    setTurn(0)
    setTallying(false)
    answers.give({ place, value })
  }
  function undo() {
    setFinished(false)
    setTallying(false)
    answers.undo()
  }
  useShortcuts([
    ...judgements.map((judged, i) => ({
      keys: String(i + 1),
      title: `The answer: ${markNames[judged]}`,
      run: () => give({ ...noValue, judged }),
    })),
    { keys: 'u', title: 'Undo the last answer', run: undo },
    { keys: 's', title: 'Leave this strand alone', run: () => give(null) },
  ])

  /** Tasks so far, and those of them that were answered. */
  const asked = answers.answers.length
  const answered = answers.answers.filter(({ value }) => value !== null).length
  return (
    <div className="check">
      <header className="check-bar">
        <strong>{child.name}</strong>
        <span className="muted small grow">
          {place ? strandOf(place.strand).title : 'done'} · {many(answered, 'answer')}
        </span>
        <span className="small" role="status">
          {savedInWords(answers)}
        </span>
        {place && (
          <Button variant="quiet" onClick={() => setFinished(true)}>
            Finish
          </Button>
        )}
        <KeysButton />
      </header>
      <main className="check-main">
        {answers.aside.length > 0 && (
          <NotStored
            aside={answers.aside}
            names={new Map([[child.id, child.name]])}
            onRetry={answers.retry}
            onLetGo={answers.letGo}
          />
        )}
        {place && task ? (
          <>
            {stimulus && <StimulusView key={`${asked} ${turn}`} stimulus={stimulus} />}
            {task.do && <p className="check-do">{task.do}</p>}
            <h1 className="check-say" data-step={place.step}>
              “{task.say}”
            </h1>
            <dl className="check-look small">
              {judgements.map((judged) => (
                <div key={judged}>
                  <dt>
                    <MarkSign judged={judged} /> {markNames[judged]}
                  </dt>
                  <dd>{stepOf(place).marks[judged]}</dd>
                </div>
              ))}
            </dl>
          </>
        ) : (
          <CheckResult
            classId={classId}
            child={child}
            before={before}
            run={run}
            asked={answered}
            then={then}
            onMore={
              run.next || checkAfter(before, answers.answers, minutes + 3).next
                ? () => {
                    setFinished(false)
                    if (!run.next) setMinutes(minutes + 3)
                  }
                : null
            }
            onOther={onOther}
          />
        )}
      </main>
      <footer className="check-foot">
        {place && (
          <div className="check-marks">
            {judgements.map((judged) => (
              <Button key={judged} variant="quiet" size="lg" onClick={() => give({ ...noValue, judged })}>
                <MarkSign judged={judged} /> {markNames[judged]}
              </Button>
            ))}
          </div>
        )}
        {place && tallying && (
          <TallyForm
            onTally={(right, of) => give({ judged: null, right, of })}
            onClose={() => setTallying(false)}
          />
        )}
        <div className="button-row">
          {place && !tallying && (
            <Button variant="plain" onClick={() => setTallying(true)}>
              Count right answers
            </Button>
          )}
          {place && (
            <Button variant="plain" onClick={() => setTurn(turn + 1)}>
              Other numbers
            </Button>
          )}
          <span className="grow" />
          <Button variant="plain" disabled={asked === 0} onClick={undo}>
            Undo
          </Button>
          {place && (
            <Button variant="plain" onClick={() => give(null)}>
              Skip {strandOf(place.strand).title.toLowerCase()}
            </Button>
          )}
        </div>
      </footer>
    </div>
  )
}
