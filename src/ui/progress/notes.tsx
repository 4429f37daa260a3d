'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import type { NoteTag } from '@/core/evidence/note'
import type { Action } from '@/server/answer'
import type { takeNoteAway } from '@/server/notes'
import { Problems } from '../problems'
import { tagInWords } from '../run/note-form'
import { useSaving } from '../sheets/use-saving'
import { dayInShort } from '../words'

export interface ShownNote {
  id: string
  words: string
  tags: NoteTag[]
  schoolDay: string
}

/** What was written down about a child. */
export function Notes({
  classId,
  notes,
  takeAway,
}: {
  classId: string
  notes: readonly ShownNote[]
  takeAway: Action<typeof takeNoteAway>
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  if (notes.length === 0) return null
  return (
    <section aria-label="Notes">
      <h2 className="section">Notes</h2>
      <Problems problems={problems} />
      <ul className="rows small">
        {notes.map(({ id, words, tags, schoolDay }) => (
          <li key={id}>
            <span className="grow">
              {words}
              <br />
              <span className="muted">
                {[dayInShort(schoolDay), ...tags.map((tag) => tagInWords[tag])].join(' · ')}
              </span>
            </span>
            <Button
              variant="plain"
              size="sm"
              disabled={busy}
              onClick={() => save(() => takeAway({ classId, noteId: id }), router.refresh)}
            >
              Take away
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
