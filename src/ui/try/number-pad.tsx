'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useShortcuts } from '../keys/use-shortcuts'

const digits = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0'] as const

/** A number is tapped or typed, and said with Enter. */
export function NumberPad({ onSay }: { onSay: (number: number) => void }) {
  const [text, setText] = useState('')
  const type = (digit: string) => setText((before) => (before.length < 4 ? before + digit : before))

  function say() {
    if (text === '') return
    onSay(Number(text))
    setText('')
  }

  useShortcuts([
    ...digits.map((digit) => ({ keys: digit, title: 'Type the answer', run: () => type(digit) })),
    { keys: 'Backspace', title: 'Take a digit back', run: () => setText(text.slice(0, -1)) },
    { keys: 'Enter', title: 'Say it', run: say },
  ])

  return (
    <div className="pad" role="group" aria-label="Number pad">
      <output className="pad-shown" aria-label="Your answer">
        {text}
      </output>
      {digits.map((digit) => (
        <Button key={digit} variant="quiet" onClick={() => type(digit)}>
          {digit}
        </Button>
      ))}
      <Button variant="quiet" aria-label="Take a digit back" onClick={() => setText(text.slice(0, -1))}>
        ←
      </Button>
      <Button variant="primary" disabled={text === ''} onClick={say}>
        Say
      </Button>
    </div>
  )
}
