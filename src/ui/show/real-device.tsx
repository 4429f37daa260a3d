'use client'

import { useState } from 'react'

/** What real dice, a wheel or a card showed, typed in: “4 2”. @param onGiven whether the device can show it */
export function RealDevice({ onGiven }: { onGiven: (numbers: number[]) => boolean }) {
  const [text, setText] = useState('')
  const numbers = text.split(/\D+/).filter(Boolean).map(Number)
  return (
    <form
      className="show-real"
      onSubmit={(event) => {
        event.preventDefault()
        if (numbers.length > 0 && onGiven(numbers)) setText('')
      }}
    >
      <label htmlFor="real-device">What did it show?</label>
      <input
        id="real-device"
        inputMode="numeric"
        autoComplete="off"
        autoFocus
        value={text}
        onChange={({ target }) => setText(target.value)}
        placeholder="4 2"
      />
      <button type="submit" className="btn btn-primary" disabled={numbers.length === 0}>
        Play it
      </button>
    </form>
  )
}
