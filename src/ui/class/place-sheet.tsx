'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { placementByYear, type Sureness } from '@/core/evidence/prior'
import { strandOf, type StrandId } from '@/core/skills'
import type { Answer } from '@/server/answer'
import type { ClassRow } from '@/server/classes'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'

export interface Placed {
  pupilId: string
  strand: StrandId
  /** Id of the step. */
  step: string
  sureness: Sureness
}

export const surenessWords: Record<Sureness, string> = {
  about: 'about here',
  sure: 'sure',
  unknown: 'don’t know',
}

/** Where the teacher would place a child on each strand before much has been seen. */
export function PlaceSheet({
  row,
  strands,
  placements,
  onSave,
  onClose,
}: {
  row: ClassRow
  strands: readonly StrandId[]
  placements: Placed[]
  onSave: (changed: Placed[]) => Promise<Answer<void>>
  onClose: () => void
}) {
  const [edited, setEdited] = useState(() =>
    strands.map(
      (strand): Placed =>
        placements.find((placed) => placed.strand === strand) ?? {
          pupilId: row.id,
          strand,
          ...placementByYear(strand, row.yearGroup),
        },
    ),
  )
  const { problems, busy, save } = useSaving()
  const changed = edited.filter((now) => {
    const before =
      placements.find(({ strand }) => strand === now.strand) ?? placementByYear(now.strand, row.yearGroup)
    return before.step !== now.step || before.sureness !== now.sureness
  })
  const change = (strand: string, part: Partial<Placed>) =>
    setEdited(edited.map((placed) => (placed.strand === strand ? { ...placed, ...part } : placed)))

  return (
    <SideSheet title={`Which step is ${row.name} working on?`} onClose={onClose}>
      <p className="muted small">What was seen since counts on top of this; it is never lost.</p>
      <Problems problems={problems} />
      {edited.map((placed) => {
        const id = placed.strand
        const { title, steps } = strandOf(id)
        return (
          <fieldset key={id} className="place-strand">
            <legend>{title}</legend>
            <Form.Select
              aria-label={`${title}: step`}
              value={placed.step}
              onChange={({ target }) =>
                change(id, {
                  step: target.value,
                  sureness: placed.sureness === 'unknown' ? 'about' : placed.sureness,
                })
              }
            >
              {steps.map((step) => (
                <option key={step.id} value={step.id}>
                  {step.sentence}
                </option>
              ))}
            </Form.Select>
            <div className="radios">
              {(['about', 'sure', 'unknown'] as const).map((sureness) => (
                <Form.Check
                  key={sureness}
                  type="radio"
                  id={`${id}-${sureness}`}
                  name={`${id}-sureness`}
                  label={surenessWords[sureness]}
                  checked={placed.sureness === sureness}
                  onChange={() => change(id, { sureness })}
                />
              ))}
            </div>
          </fieldset>
        )
      })}
      <Button
        variant="primary"
        disabled={busy || changed.length === 0}
        onClick={() => save(() => onSave(changed), onClose)}
      >
        {busy ? 'Placing …' : 'Place'}
      </Button>
    </SideSheet>
  )
}
