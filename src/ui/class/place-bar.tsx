'use client'

import { useState } from 'react'
import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { surenesses, type Sureness } from '@/core/evidence/prior'
import type { NamedChild } from '@/core/formats/placing-column'
import { strandOf, type StrandId } from '@/core/skills'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { many } from '../words'
import { PasteSheet } from './paste-sheet'
import { surenessWords, type Placed } from './place-sheet'

/** More boards than an adult can read at one look. */
const mostTogether = 8

/** Several children placed at once: on each strand in view a step, or as they are. */
export function PlaceBar({
  classId,
  chosen,
  strands,
  onPlace,
  onDone,
}: {
  classId: string
  /** In the order of the list. */
  chosen: readonly NamedChild[]
  strands: readonly StrandId[]
  onPlace: (placements: Placed[]) => Promise<Answer<unknown>>
  /** Nobody is to be chosen any more. */
  onDone: () => void
}) {
  const [steps, setSteps] = useState<Partial<Record<StrandId, string>>>({})
  const [sureness, setSureness] = useState<Sureness>('about')
  const [pasting, setPasting] = useState(false)
  const [first, ...others] = chosen.map(({ id }) => id)
  const { problems, busy, save } = useSaving()
  const placements = strands.flatMap((strand) => {
    const step = steps[strand]
    return step === undefined ? [] : chosen.map(({ id }) => ({ pupilId: id, strand, step, sureness }))
  })
  return (
    <section className="place-bar" aria-label="Place the chosen children">
      <strong>{many(chosen.length, 'child', 'children')} chosen</strong>
      {strands.map((strand) => (
        <Form.Select
          key={strand}
          size="sm"
          aria-label={`${strandOf(strand).title} for all chosen`}
          value={steps[strand] ?? ''}
          onChange={({ target }) => setSteps({ ...steps, [strand]: target.value || undefined })}
        >
          <option value="">{strandOf(strand).title}: as it is</option>
          {strandOf(strand).steps.map(({ id, short, sentence }) => (
            <option key={id} value={id} title={sentence}>
              {short}
            </option>
          ))}
        </Form.Select>
      ))}
      <Form.Select
        size="sm"
        aria-label="How sure"
        value={sureness}
        onChange={({ target }) => setSureness(target.value as Sureness)}
      >
        {surenesses.map((one) => (
          <option key={one} value={one}>
            {surenessWords[one]}
          </option>
        ))}
      </Form.Select>
      <Button
        size="sm"
        disabled={busy || placements.length === 0}
        onClick={() => save(() => onPlace(placements), onDone)}
      >
        {busy ? 'Placing …' : 'Place these here'}
      </Button>
      <Button variant="plain" size="sm" disabled={busy} onClick={() => setPasting(true)}>
        Paste a column
      </Button>
      <Link
        className="btn btn-plain btn-sm"
        href={`/c/${classId}/check/${first}${others.length > 0 ? `?then=${others.join(',')}` : ''}`}
        prefetch={false}
      >
        Check one by one
      </Link>
      {chosen.length >= 2 && chosen.length <= mostTogether && (
        <Link
          className="btn btn-plain btn-sm"
          href={`/c/${classId}/check/together?with=${[first, ...others].join(',')}`}
          prefetch={false}
        >
          Check together
        </Link>
      )}
      <Button variant="plain" size="sm" disabled={busy} onClick={onDone}>
        Choose nobody
      </Button>
      <Problems problems={problems} />
      {pasting && (
        <PasteSheet
          chosen={chosen}
          strands={strands}
          sureness={sureness}
          onPlace={onPlace}
          onClose={() => setPasting(false)}
          onDone={onDone}
        />
      )}
    </section>
  )
}
