'use client'

import Link from 'next/link'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { seededChance } from '@/core/chance/chance'
import { togetherAfter, type Round } from '@/core/evidence/check-together'
import type { Belief } from '@/core/evidence/estimate'
import { noValue, type MarkValue } from '@/core/evidence/mark'
import { judgements, type Judgement } from '@/core/evidence/observation'
import { strandOf, type StrandId } from '@/core/skills'
import { taskFor } from '@/core/skills/tasks'
import type { CheckTogetherPage } from '@/server/check'
import { KeysButton } from '../keys/keys-button'
import { useShortcuts } from '../keys/use-shortcuts'
import { MarkSign } from '../run/child-row'
import { NotStored } from '../run/not-stored'
import { savedInWords } from '../run/saved-in-words'
import { listed, many } from '../words'
import { ChooseStrands } from './choose-strands'
import { StrandResults } from './strand-results'
import { markNames, TaskToAsk } from './task-to-ask'
import { useRounds } from './use-rounds'

const usualMinutes = 8

/** Several children, one task at a time: all write the answer down and show it, an adult marks by rows. */
export function TogetherScreen({ classId, page }: { classId: string; page: CheckTogetherPage }) {
  const [chosen, setChosen] = useState<readonly StrandId[] | null>(null)
  const { children, usual } = page
  if (chosen) return <Asking classId={classId} page={page} chosen={chosen} />
  const [{ strands }] = children
  const openTo = (strand: StrandId) =>
    children.some((child) => child.strands.some((one) => one.strand === strand && one.open))
  const followedBy = (strand: StrandId) =>
    children.some((child) => child.strands.some((one) => one.strand === strand && one.followed))
  return (
    <ChooseStrands
      title={`Check ${listed(children.map(({ name }) => name))} together`}
      strands={strands.map(({ strand }) => ({ strand, open: openTo(strand), followed: followedBy(strand) }))}
      usual={usual}
      after={[]}
      back={`/c/${classId}/class`}
      onStart={setChosen}
    >
      Everybody with a whiteboard and a pen. Ask what is asked; all write or draw the answer and show it at
      the same moment. Mark each board; the next task is the one that tells most about all of them.
    </ChooseStrands>
  )
}

function Asking({
  classId,
  page: { children, seed },
  chosen,
}: {
  classId: string
  page: CheckTogetherPage
  chosen: readonly StrandId[]
}) {
  const kept = useRounds(classId)
  const [marks, setMarks] = useState<ReadonlyMap<string, Judgement | 'no board'>>(new Map())
  const [at, setAt] = useState(0)
  const [turn, setTurn] = useState(0)
  const [minutes, setMinutes] = useState(usualMinutes)
  const [finished, setFinished] = useState(false)
  const before = useMemo(
    () =>
      new Map(
        children.map(({ id, strands }) => [
          id,
          new Map<StrandId, Belief>(
            strands
              .filter(({ strand }) => chosen.includes(strand))
              .map(({ strand, from, mass }) => [
                strand,
                { ability: { from, mass: Float64Array.from(mass) }, day: 0 },
              ]),
          ),
        ]),
      ),
    [children, chosen],
  )
  const { rounds } = kept
  const asked = rounds.length
  const run = useMemo(
    () => togetherAfter(before, rounds, minutes),
    // The rounds are those of the state: their number tells them apart.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [before, asked, minutes],
  )
  const place = finished ? null : run.next
  const task = useMemo(
    () => place && taskFor(place, seededChance(seed + asked * 101 + turn)),
    [place, seed, asked, turn],
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
  function mark(id: string, judged: Judgement | 'no board') {
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
  return (
    <div className="check">
      <header className="check-bar">
        <strong>{many(children.length, 'child', 'children')}</strong>
        <span className="muted small grow">
          {place ? strandOf(place.strand).title : 'done'} · {many(asked, 'task')}
        </span>
        <span className="small" role="status">
          {savedInWords(kept)}
        </span>
        {place && (
          <Button variant="quiet" onClick={() => setFinished(true)}>
            Finish
          </Button>
        )}
        <KeysButton />
      </header>
      <main className="check-main">
        {kept.aside.length > 0 && (
          <NotStored
            aside={kept.aside}
            names={new Map(children.map(({ id, name }) => [id, name]))}
            onRetry={kept.retry}
            onLetGo={kept.letGo}
          />
        )}
        {place && task ? (
          <TaskToAsk key={`${asked} ${turn}`} place={place} task={task} />
        ) : (
          <>
            <h1>{asked === 0 ? 'All of them are known well enough here' : `After ${many(asked, 'task')}`}</h1>
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
              {(run.next ?? togetherAfter(before, rounds, minutes + 4).next) && (
                <Button
                  variant="quiet"
                  onClick={() => {
                    setFinished(false)
                    if (!run.next) setMinutes(minutes + 4)
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
      </main>
      <footer className="check-foot">
        {place && (
          <ul className="check-boards" aria-label="Boards">
            {children.map(({ id, name }, row) => (
              <li key={id} className={row === at ? 'now' : undefined}>
                <span className="grow">{name}</span>
                {judgements.map((judged) => (
                  <Button
                    key={judged}
                    variant="quiet"
                    aria-pressed={marks.get(id) === judged}
                    aria-label={`${name}: ${markNames[judged]}`}
                    onClick={() => mark(id, judged)}
                  >
                    <MarkSign judged={judged} /> {markNames[judged]}
                  </Button>
                ))}
                <Button
                  variant="plain"
                  aria-pressed={marks.get(id) === 'no board'}
                  aria-label={`${name}: no board`}
                  onClick={() => mark(id, 'no board')}
                >
                  no board
                </Button>
              </li>
            ))}
          </ul>
        )}
        <div className="button-row">
          {place && (
            <Button onClick={goOn}>
              {left === 0
                ? 'Next task'
                : left === children.length
                  ? 'All right: next'
                  : 'The rest right: next'}
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
            <Button variant="plain" onClick={() => next(null)}>
              Skip {strandOf(place.strand).title.toLowerCase()}
            </Button>
          )}
        </div>
      </footer>
    </div>
  )
}
