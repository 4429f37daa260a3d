'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Sureness } from '@/core/evidence/prior'
import { readPlacingColumn, type NamedChild } from '@/core/formats/placing-column'
import { stepOf, strandOf, type StrandId } from '@/core/skills'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'
import { many } from '../words'
import type { Placed } from './place-sheet'

/** A column out of a spreadsheet, a step for each of the chosen children: read, shown line by line, then placed. */
export function PasteSheet({
  chosen,
  strands,
  sureness,
  onPlace,
  onClose,
  onDone,
}: {
  /** In the order of the list. */
  chosen: readonly NamedChild[]
  strands: readonly StrandId[]
  sureness: Sureness
  onPlace: (placements: Placed[]) => Promise<Answer<unknown>>
  onClose: () => void
  /** It was placed. */
  onDone: () => void
}) {
  const [strand, setStrand] = useState(strands[0])
  const [text, setText] = useState('')
  const { problems, busy, save } = useSaving()
  const lines = readPlacingColumn(text, chosen, strand)
  const placements = lines.flatMap(({ child, step }) =>
    child && step ? [{ pupilId: child.id, strand, step, sureness }] : [],
  )
  return (
    <SideSheet title="Paste a column" onClose={onClose}>
      <p className="muted small">
        One line a child, in the order of the list, or the name and the step side by side. Nothing is placed
        until you say so.
      </p>
      <Problems problems={problems} />
      <Form.Group controlId="paste-strand" className="sheet-field">
        <Form.Label>Strand</Form.Label>
        <Form.Select value={strand} onChange={({ target }) => setStrand(target.value as StrandId)}>
          {strands.map((id) => (
            <option key={id} value={id}>
              {strandOf(id).title}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="paste-column" className="sheet-field">
        <Form.Label>Steps</Form.Label>
        <Form.Control
          as="textarea"
          rows={8}
          value={text}
          placeholder={strandOf(strand)
            .steps.slice(0, 3)
            .map(({ short }) => short)
            .join('\n')}
          onChange={({ target }) => setText(target.value)}
        />
      </Form.Group>
      <ul className="rows small" aria-label="What was read">
        {lines.map((line) => (
          <li key={line.line}>
            <strong>{line.child?.name ?? `Line ${line.line}`}</strong>
            <span className="grow">
              {line.step === null ? line.why : stepOf({ strand, step: line.step }).short}
            </span>
          </li>
        ))}
      </ul>
      <Button
        disabled={busy || placements.length === 0}
        onClick={() => save(() => onPlace(placements), onDone)}
      >
        {busy
          ? 'Placing …'
          : placements.length === 0
            ? 'Place them here'
            : `Place ${many(placements.length, 'child', 'children')}`}
      </Button>
    </SideSheet>
  )
}
