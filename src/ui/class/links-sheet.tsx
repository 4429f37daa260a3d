'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'

export interface PupilLink {
  kind: 'apart' | 'together'
  pupilA: string
  pupilB: string
}

/** Who is kept apart, who works together and who needs an adult near: every grouping keeps to it. */
export function LinksSheet({
  children,
  links,
  adultNear,
  onSave,
  onClose,
}: {
  children: { id: string; name: string }[]
  links: PupilLink[]
  adultNear: string[]
  onSave: (links: PupilLink[], adultNear: string[]) => Promise<Answer<void>>
  onClose: () => void
}) {
  const [edited, setEdited] = useState(links)
  const [near, setNear] = useState(adultNear)
  const [draft, setDraft] = useState<PupilLink>({
    kind: 'apart',
    pupilA: children[0].id,
    pupilB: children[1].id,
  })
  const { problems, busy, save } = useSaving()
  const name = (id: string) => children.find((child) => child.id === id)?.name ?? ''
  const names = children.map(({ id, name: text }) => (
    <option key={id} value={id}>
      {text}
    </option>
  ))
  return (
    <SideSheet title="Apart and together" onClose={onClose}>
      <Problems problems={problems} />
      <div className="link-draft">
        <Form.Select
          aria-label="First child"
          value={draft.pupilA}
          onChange={({ target }) => setDraft({ ...draft, pupilA: target.value })}
        >
          {names}
        </Form.Select>
        <Form.Select
          aria-label="Apart or together"
          value={draft.kind}
          onChange={({ target }) => setDraft({ ...draft, kind: target.value as PupilLink['kind'] })}
        >
          <option value="apart">is kept apart from</option>
          <option value="together">works together with</option>
        </Form.Select>
        <Form.Select
          aria-label="Second child"
          value={draft.pupilB}
          onChange={({ target }) => setDraft({ ...draft, pupilB: target.value })}
        >
          {names}
        </Form.Select>
        <Button
          variant="quiet"
          disabled={draft.pupilA === draft.pupilB}
          onClick={() => setEdited([...edited, draft])}
        >
          Add to the list
        </Button>
      </div>
      {edited.length === 0 && <p className="muted">Nobody yet.</p>}
      <ul className="link-list">
        {edited.map(({ kind, pupilA, pupilB }, index) => (
          <li key={`${pupilA}${pupilB}${kind}`}>
            <span>
              {name(pupilA)} {kind === 'apart' ? 'apart from' : 'together with'} {name(pupilB)}
            </span>
            <Button variant="plain" size="sm" onClick={() => setEdited(edited.toSpliced(index, 1))}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <h3 className="section-small">Needs an adult near</h3>
      <Form.Select
        aria-label="Needs an adult near"
        value=""
        onChange={({ target }) => target.value && setNear([...near, target.value])}
      >
        <option value="">Choose a child</option>
        {children
          .filter(({ id }) => !near.includes(id))
          .map(({ id, name: text }) => (
            <option key={id} value={id}>
              {text}
            </option>
          ))}
      </Form.Select>
      <ul className="link-list">
        {near.map((id) => (
          <li key={id}>
            <span>{name(id)}</span>
            <Button variant="plain" size="sm" onClick={() => setNear(near.filter((other) => other !== id))}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <Button disabled={busy} onClick={() => save(() => onSave(edited, near), onClose)}>
        {busy ? 'Saving …' : 'Save'}
      </Button>
    </SideSheet>
  )
}
