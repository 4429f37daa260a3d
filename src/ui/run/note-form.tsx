'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { mostLetters, noteTags, type NoteTag } from '@/core/evidence/note'

export const tagInWords: Record<NoteTag, string> = {
  maths: 'the maths',
  talk: 'talking about it',
  together: 'playing together',
  'keeping-at-it': 'keeping at it',
  home: 'for home',
}

/** A sentence about a child, with what it is about. */
export function NoteForm({ onNote }: { onNote: (words: string, tags: NoteTag[]) => void }) {
  const [words, setWords] = useState('')
  const [tags, setTags] = useState<NoteTag[]>([])
  return (
    <Form
      className="note-form"
      onSubmit={(event) => {
        event.preventDefault()
        onNote(words.trim(), tags)
        setWords('')
        setTags([])
      }}
    >
      <Form.Control
        as="textarea"
        rows={2}
        aria-label="Note"
        placeholder="What was seen or said"
        maxLength={mostLetters}
        value={words}
        onChange={({ target }) => setWords(target.value)}
      />
      <div className="taps" role="group" aria-label="What it is about">
        {noteTags.map((tag) => (
          <Button
            key={tag}
            variant="quiet"
            size="sm"
            aria-pressed={tags.includes(tag)}
            onClick={() => setTags(tags.includes(tag) ? tags.filter((one) => one !== tag) : [...tags, tag])}
          >
            {tagInWords[tag]}
          </Button>
        ))}
      </div>
      <Button type="submit" variant="quiet" size="sm" disabled={words.trim() === ''}>
        Keep the note
      </Button>
    </Form>
  )
}
