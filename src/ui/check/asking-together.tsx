'use client'

import Link from 'next/link'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { seededChance } from '@/core/chance/chance'
import { togetherAfter, type Round } from '@/core/evidence/check-together'
import { noValue, type MarkValue } from '@/core/evidence/mark'
import { judgements } from '@/core/evidence/observation'
import type { StrandId } from '@/core/skills'
import { taskFor } from '@/core/skills/tasks'
import type { CheckTogetherPage } from '@/server/check'
import { useShortcuts } from '../keys/use-shortcuts'
import { many } from '../words'
import { beliefsOn } from './beliefs-on'
import { Boards, type BoardMark } from './boards'
import { CheckFrame } from './check-frame'
import { StrandResults } from './strand-results'
import { markNames, TaskToAsk } from './task-to-ask'
import { useRounds } from './use-rounds'

/** As long as children stay with it. */
const usualMinutes = 8
const moreMinutes = 4

/** One task after another for all, and at the end what came of it for each. */
export function AskingTogether({
  classId,
  page: { children, seed, coinage },
  chosen,
}: {
  classId: string
  page: CheckTogetherPage
  chosen: readonly StrandId[]
}) {
  const kept = useRounds(classId)
  const [marks, setMarks] = useState<ReadonlyMap<string, BoardMark>>(new Map())
  const [at, setAt] = useState(0)
  const [turn, setTurn] = useState(0)
  const [minutes, setMinutes] = useState(usualMinutes)
  const [finished, setFinished] = useState(false)
  const before = useMemo(
    () => new Map(children.map(({ id, strands }) => [id, beliefsOn(strands, chosen)])),
    [children, chosen],
  )
  const { rounds } = kept
  const asked = rounds.length
  const run = useMemo(() => togetherAfter(before, rounds, minutes), [before, rounds, minutes])
  const place = finished ? null : run.next
  const task = useMemo(
    () => place && taskFor(place, seededChance(seed + asked * 101 + turn), coinage),
    [place, seed, asked, turn, coinage],
  )

  function next(values: Round['values']) {
    if (!place) return
    kept.give({ place, values })
    setMarks(new Map())
    setAt(0)
    setTurn(0)
  }
  /** Who has no mark yet has it right; who showed no board has nothing recorded. */
  const goOn = () =>
    next(
      new Map(
        children.flatMap(({ id }): [string, MarkValue][] => {
          const judged = marks.get(id) ?? 'own'
          return judged === 'no board' ? [] : [[id, { ...noValue, judged }]]
        }),
      ),
    )
  function mark(id: string, judged: BoardMark) {
    if (!place) return
    setMarks(new Map([...marks, [id, judged]]))
    const row = children.findIndex((child) => child.id === id)
    setAt(Math.min(children.length - 1, row + 1))
  }
  function undo() {
    setFinished(false)
    setMarks(new Map())
    setAt(0)
    kept.undo()
  }
  useShortcuts([
    ...judgements.map((judged, i) => ({
      keys: String(i + 1),
      title: `The board of the child in the frame: ${markNames[judged]}`,
      run: () => mark(children[at].id, judged),
    })),
    { keys: '0', title: 'No board shown', run: () => mark(children[at].id, 'no board') },
    { keys: 'ArrowDown', title: 'Next child', run: () => setAt(Math.min(children.length - 1, at + 1)) },
    { keys: 'ArrowUp', title: 'Child before', run: () => setAt(Math.max(0, at - 1)) },
    { keys: 'n', title: 'Next task; who has no mark has it right', run: goOn },
    { keys: 'u', title: 'Undo the last task', run: undo },
  ])

  const left = children.length - marks.size
  /** Tasks that were asked; a strand that was skipped is none. */
  const tasks = rounds.filter(({ values }) => values !== null).length
  return (
    <CheckFrame
      who={many(children.length, 'child', 'children')}
      strand={place?.strand ?? null}
      count={many(tasks, 'task')}
      kept={kept}
      names={new Map(children.map(({ id, name }) => [id, name]))}
      marking={<Boards of={children} marks={marks} at={at} onMark={mark} />}
      extra={
        <Button onClick={goOn}>
          {left === 0 ? 'Next task' : left === children.length ? 'All right: next' : 'The rest right: next'}
        </Button>
      }
      canUndo={asked > 0}
      onFinish={() => setFinished(true)}
      onOtherNumbers={() => setTurn(turn + 1)}
      onUndo={undo}
      onSkip={() => next(null)}
    >
      {place && task ? (
        <TaskToAsk key={`${asked} ${turn}`} place={place} task={task} />
      ) : (
        <>
          <h1>
            {tasks > 0
              ? `After ${many(tasks, 'task')}`
              : run.next
                ? 'Nothing was asked'
                : 'There is nothing to ask them here'}
          </h1>
          {children.map(({ id, name }) => (
            <section key={id} aria-label={name}>
              <h2 className="check-name">{name}</h2>
              <StrandResults before={before.get(id)!} strands={run.children.get(id)!} />
            </section>
          ))}
          <p className="button-row">
            <Link className="btn btn-primary" href={`/c/${classId}/class`}>
              To the class
            </Link>
            {(run.next ?? togetherAfter(before, rounds, minutes + moreMinutes).next) && (
              <Button
                variant="quiet"
                onClick={() => {
                  setFinished(false)
                  if (!run.next) setMinutes(minutes + moreMinutes)
                }}
              >
                Ask on
              </Button>
            )}
            <Link className="btn btn-plain" href={`/c/${classId}/groups`}>
              To groups
            </Link>
          </p>
        </>
      )}
    </CheckFrame>
  )
}
