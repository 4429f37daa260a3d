'use client'

import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { judgements } from '@/core/evidence/observation'
import type { Action } from '@/server/answer'
import type { NotedChild, quickNotePage } from '@/server/notes'
import { Problems } from '../problems'
import { MarkSign, markWords } from '../run/child-row'
import { NoteForm } from '../run/note-form'
import { NotStored } from '../run/not-stored'
import { savedInWords } from '../run/saved-in-words'
import { ofClass, useOutbox } from '../run/use-outbox'
import { SideSheet } from '../sheets/side-sheet'

/** Who it is about, then a mark or a word. What is told is kept on the device until it is stored. */
export function QuickNoteSheet({
  classId,
  load,
  onClose,
}: {
  classId: string
  load: Action<typeof quickNotePage>
  onClose: () => void
}) {
  const [children, setChildren] = useState<NotedChild[] | null>(null)
  const [problems, setProblems] = useState<string[]>([])
  const [wanted, setWanted] = useState('')
  const [child, setChild] = useState<NotedChild | null>(null)
  const [step, setStep] = useState(0)
  const [said, setSaid] = useState<string | null>(null)
  const outbox = useOutbox(ofClass(classId))

  useEffect(() => {
    let gone = false
    load({ classId }).then(
      (answer) => {
        if (gone) return
        if (answer.ok) setChildren(answer.value)
        else setProblems(answer.problems)
      },
      () => setProblems(['The server did not answer. Close this, and try again.']),
    )
    return () => {
      gone = true
    }
  }, [classId, load])

  const found = (children ?? []).filter(({ name }) =>
    name.toLowerCase().startsWith(wanted.trim().toLowerCase()),
  )
  const names = new Map((children ?? []).map(({ id, name }) => [id, name]))
  const choose = (one: NotedChild) => {
    setChild(one)
    setStep(0)
    setSaid(null)
  }
  return (
    <SideSheet title={child ? child.name : 'About whom?'} onClose={onClose}>
      <Problems problems={problems} />
      {outbox.state.aside.length > 0 && (
        <NotStored aside={outbox.state.aside} names={names} onRetry={outbox.retry} onLetGo={outbox.letGo} />
      )}
      {child === null ? (
        <>
          <Form.Control
            aria-label="Name"
            placeholder="Name"
            autoFocus
            value={wanted}
            onChange={({ target }) => setWanted(target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && found.length > 0) choose(found[0])
            }}
          />
          {children === null && problems.length === 0 && <p role="status">One moment …</p>}
          <ul className="names">
            {found.map((one) => (
              <li key={one.id}>
                <Button variant="quiet" onClick={() => choose(one)}>
                  {one.name}
                </Button>
              </li>
            ))}
          </ul>
        </>
      ) : (
        <>
          <h3 className="section-small">A word</h3>
          <NoteForm
            onNote={(words, tags) => {
              void outbox.tell({ kind: 'note', pupilId: child.id, visitId: null, words, tags })
              setSaid('The note')
            }}
          />
          {child.steps.length > 0 && (
            <>
              <h3 className="section-small">Or a mark</h3>
              <Form.Select
                aria-label="What was seen"
                value={step}
                onChange={({ target }) => setStep(Number(target.value))}
              >
                {child.steps.map(({ place, short }, i) => (
                  <option key={place.strand} value={i}>
                    {short}
                  </option>
                ))}
              </Form.Select>
              <div className="taps quick-marks">
                {judgements.map((judged) => (
                  <Button
                    key={judged}
                    variant="quiet"
                    onClick={() => {
                      const { place } = child.steps[step]
                      const value = { judged, right: null, of: null }
                      void outbox.add({ visitId: null, at: place, pupilId: child.id }, value, null)
                      setSaid(`${child.steps[step].short}, ${markWords[judged]}:`)
                    }}
                  >
                    <MarkSign judged={judged} /> {markWords[judged]}
                  </Button>
                ))}
              </div>
            </>
          )}
          {said !== null && (
            <p role="status" className="small">
              {said} is kept. <strong className="saved">{savedInWords(outbox.state)}</strong>
            </p>
          )}
          <Button variant="plain" size="sm" onClick={() => setChild(null)}>
            Another child
          </Button>
        </>
      )}
    </SideSheet>
  )
}
