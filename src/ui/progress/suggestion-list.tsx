'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { ChildSuggestion } from '@/server/suggestions'
import { Pennant } from '../pennant'
import { fitInWords, reasonInWords } from '../words'

/** More names than this are no list to act on. */
const mostShown = 5

/** Whom to act on, those first whom it would help most. */
export function SuggestionList({
  classId,
  suggestions,
}: {
  classId: string
  suggestions: readonly ChildSuggestion[]
}) {
  const [all, setAll] = useState(false)
  const shown = all ? suggestions : suggestions.slice(0, mostShown)
  return (
    <>
      <ul className="rows">
        {shown.map(({ id, name, pennant, suggestion, fits, strand, step }) => (
          <li key={id}>
            {pennant !== null && <Pennant number={pennant} label />}
            <span className="grow small">
              <strong>{name}</strong> {reasonInWords(suggestion, strand, step)}.
              {fits && <span className="muted"> {fitInWords(fits)}</span>}
            </span>
            <Link
              className="btn btn-quiet btn-sm"
              href={`/c/${classId}/children/${id}`}
              aria-label={`Why ${name}`}
              prefetch={false}
            >
              Why
            </Link>
          </li>
        ))}
      </ul>
      {suggestions.length > mostShown && (
        <Button variant="quiet" size="sm" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Only the first five' : `All ${suggestions.length}`}
        </Button>
      )}
    </>
  )
}
