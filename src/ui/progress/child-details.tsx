'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { yearGroups, type YearGroup } from '@/core/evidence/prior'
import type { Action } from '@/server/answer'
import type { changeChild, setLeft } from '@/server/classes'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'

export interface ChildActions {
  changeChild: Action<typeof changeChild>
  setLeft: Action<typeof setLeft>
}

/** What a child is called, its year group, and the way out of the class; what was seen of it stays. */
export function ChildDetails({
  classId,
  child: { id, listed },
  changeChild,
  setLeft,
}: ChildActions & {
  classId: string
  child: { id: string; listed: { name: string; initial: string; yearGroup: YearGroup } }
}) {
  const router = useRouter()
  const [edited, setEdited] = useState(listed)
  const { problems, busy, save } = useSaving()
  const changed =
    edited.name !== listed.name || edited.initial !== listed.initial || edited.yearGroup !== listed.yearGroup
  return (
    <details className="small child-details">
      <summary>Name and class</summary>
      <Problems problems={problems} />
      <Form
        onSubmit={(event) => {
          event.preventDefault()
          save(
            () => changeChild({ classId, pupilId: id, ...edited }),
            () => router.refresh(),
          )
        }}
      >
        <Form.Group controlId="child-name">
          <Form.Label>First name</Form.Label>
          <Form.Control
            value={edited.name}
            maxLength={40}
            onChange={({ target }) => setEdited({ ...edited, name: target.value })}
          />
        </Form.Group>
        <Form.Group controlId="child-initial">
          <Form.Label>Initial</Form.Label>
          <Form.Control
            value={edited.initial}
            maxLength={1}
            onChange={({ target }) => setEdited({ ...edited, initial: target.value })}
          />
        </Form.Group>
        <Form.Group controlId="child-year">
          <Form.Label>Year group</Form.Label>
          <Form.Select
            value={edited.yearGroup}
            onChange={({ target }) => setEdited({ ...edited, yearGroup: target.value as YearGroup })}
          >
            {yearGroups.map((year) => (
              <option key={year}>{year}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <div className="buttons">
          <Button type="submit" size="sm" disabled={busy || !changed}>
            {busy ? 'One moment …' : 'Save name'}
          </Button>
          <Button
            variant="quiet"
            size="sm"
            disabled={busy}
            onClick={() =>
              save(
                () => setLeft({ classId, pupilId: id, left: true }),
                () => router.push(`/c/${classId}/class`),
              )
            }
          >
            Has left the class
          </Button>
        </div>
      </Form>
      <p className="muted">
        Who leaves stays in past sessions and is in nothing new; the class keeps the way back.
      </p>
    </details>
  )
}
