'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'

/** Several like questions were asked: so many right of so many. */
export function TallyForm({
  onTally,
  onClose,
}: {
  onTally: (right: number, of: number) => void
  onClose: () => void
}) {
  const [right, setRight] = useState('')
  const [of, setOf] = useState('5')
  const [r, o] = [Number(right), Number(of)]
  const fits =
    right !== '' && Number.isInteger(r) && Number.isInteger(o) && r >= 0 && o >= 1 && o <= 100 && r <= o
  return (
    <form
      className="button-row check-tally"
      onSubmit={(event) => {
        event.preventDefault()
        if (fits) onTally(r, o)
      }}
    >
      <Form.Control
        autoFocus
        type="number"
        min={0}
        max={100}
        aria-label="right answers"
        value={right}
        onChange={({ target }) => setRight(target.value)}
      />
      right of
      <Form.Control
        type="number"
        min={1}
        max={100}
        aria-label="questions asked"
        value={of}
        onChange={({ target }) => setOf(target.value)}
      />
      <Button type="submit" variant="quiet" disabled={!fits}>
        Keep
      </Button>
      <Button variant="plain" onClick={onClose}>
        No
      </Button>
    </form>
  )
}
