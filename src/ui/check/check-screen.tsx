'use client'

import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { seededChance } from '@/core/chance/chance'
import { checkAfter } from '@/core/evidence/check-run'
import { noValue } from '@/core/evidence/mark'
import { judgements } from '@/core/evidence/observation'
import type { StrandId } from '@/core/skills'
import { taskFor } from '@/core/skills/tasks'
import type { CheckPage } from '@/server/check'
import { useShortcuts } from '../keys/use-shortcuts'
import { MarkSign } from '../run/child-row'
import { many } from '../words'
import { beliefsOn } from './beliefs-on'
import { CheckFrame } from './check-frame'
import { CheckResult } from './check-result'
import { ChooseStrands } from './choose-strands'
import { markNames, TaskToAsk } from './task-to-ask'
import { TallyForm } from './tally-form'
import { useAnswers } from './use-answers'

const usualMinutes = 5

/** One child, five minutes: strands chosen, tasks asked one by one, what has come of it. */
export function CheckScreen({ classId, page }: { classId: string; page: CheckPage }) {
  const [chosen, setChosen] = useState<readonly StrandId[] | null>(null)
  const { child, strands, usual, then } = page
  if (!chosen)
    return (
      <ChooseStrands
        title={`Five minutes with ${child.name}`}
        strands={strands}
        usual={usual}
        after={then.map(({ name }) => name)}
        back={`/c/${classId}/children/${child.id}`}
        onStart={setChosen}
      >
        Ask what is asked, tap what you see. The next question depends on the answer, and most of them can be
        done. Stop whenever you like: every answer counts.
      </ChooseStrands>
    )
  return <Asking classId={classId} page={page} chosen={chosen} onOther={() => window.location.reload()} />
}

function Asking({
  classId,
  page: { child, strands, then, seed, coinage },
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
  const before = useMemo(() => beliefsOn(strands, chosen), [strands, chosen])
  const run = useMemo(() => checkAfter(before, answers.answers, minutes), [before, answers.answers, minutes])
  const place = finished ? null : run.next
  const task = useMemo(
    () => place && taskFor(place, seededChance(seed + answers.answers.length * 101 + turn), coinage),
    [place, seed, answers.answers.length, turn, coinage],
  )

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
    <CheckFrame
      who={child.name}
      strand={place?.strand ?? null}
      count={many(answered, 'answer')}
      kept={answers}
      names={new Map([[child.id, child.name]])}
      marking={
        <>
          <div className="check-marks">
            {judgements.map((judged) => (
              <Button key={judged} variant="quiet" size="lg" onClick={() => give({ ...noValue, judged })}>
                <MarkSign judged={judged} /> {markNames[judged]}
              </Button>
            ))}
          </div>
          {tallying && (
            <TallyForm
              onTally={(right, of) => give({ judged: null, right, of })}
              onClose={() => setTallying(false)}
            />
          )}
        </>
      }
      extra={
        !tallying && (
          <Button variant="plain" onClick={() => setTallying(true)}>
            Count right answers
          </Button>
        )
      }
      canUndo={asked > 0}
      onFinish={() => setFinished(true)}
      onOtherNumbers={() => setTurn(turn + 1)}
      onUndo={undo}
      onSkip={() => give(null)}
    >
      {place && task ? (
        <TaskToAsk key={`${asked} ${turn}`} place={place} task={task} />
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
    </CheckFrame>
  )
}
