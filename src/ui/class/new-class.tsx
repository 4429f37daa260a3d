'use client'

import { useRouter } from 'next/navigation'
import { useState, useTransition } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { yearGroups, type YearGroup } from '@/core/evidence/prior'
import type { Action } from '@/server/answer'
import type { createClass } from '@/server/classes'
import { newId } from '../new-id'
import { Problems } from '../problems'
import { ListInput, type ReadyList } from './list-input'

/** Making a class: its name, its year, its children. */
export function NewClass({ first, create }: { first: boolean; create: Action<typeof createClass> }) {
  const router = useRouter()
  const [name, setName] = useState('')
  const [yearGroup, setYearGroup] = useState<YearGroup>('Year 1')
  const [list, setList] = useState<ReadyList | null>(null)
  const [problems, setProblems] = useState<string[]>([])
  const [busy, start] = useTransition()
  // One id however often it is sent: a class whose answer was lost is made once.
  const [classId] = useState(newId)

  function submit(event: React.FormEvent) {
    event.preventDefault()
    if (!list) return setProblems(['Paste the children’s first names first.'])
    if (name.trim() === '') return setProblems(['Give the class a name.'])
    const { text, columns, hasHeader } = list
    start(async () => {
      const made = await create({
        classId,
        name,
        yearGroup,
        timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
        list: { text, columns, hasHeader },
      })
      if (made.ok) router.push(`/c/${classId}/groups`)
      else setProblems(made.problems)
    })
  }

  return (
    <main className="place">
      <form onSubmit={submit} noValidate>
        <div className="headline">
          <div>
            <h1>{first ? 'Welcome to Islands. Who is in your class?' : 'A new class'}</h1>
            <p>First names, a year group, and the first groups are one step away.</p>
          </div>
          <Button type="submit" disabled={busy}>
            {busy ? 'Creating …' : list ? `Create class of ${list.children.length}` : 'Create class'}
          </Button>
        </div>
        <Problems problems={problems} />
        <div className="form-row">
          <Form.Group controlId="class-name">
            <Form.Label>Name of the class</Form.Label>
            <Form.Control
              value={name}
              maxLength={40}
              autoFocus
              onChange={({ target }) => setName(target.value)}
            />
          </Form.Group>
          <Form.Group controlId="class-year">
            <Form.Label>Year group</Form.Label>
            <Form.Select value={yearGroup} onChange={({ target }) => setYearGroup(target.value as YearGroup)}>
              {yearGroups.map((year) => (
                <option key={year}>{year}</option>
              ))}
            </Form.Select>
            <Form.Text>Places every child until more is seen.</Form.Text>
          </Form.Group>
        </div>
        <ListInput onRead={setList} />
        <p className="muted small">
          Names stay on this computer. Your school’s data-protection policy applies; a nickname will do.
        </p>
      </form>
    </main>
  )
}
