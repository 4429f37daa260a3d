'use client'

import Button from 'react-bootstrap/Button'
import { timeInWords, type PracticeItem } from '@/core/skills/item'
import { choicesFor } from '@/core/skills/slips'

/** Answers to choose from where none is typed: times, parts of a pattern, the two that are compared. */
export function AnswerChoices({ item, onSay }: { item: PracticeItem; onSay: (answer: number) => void }) {
  return (
    <div className="try-moves" role="group" aria-label="Answers">
      {(choicesFor(item) ?? []).map((answer) => (
        <Button key={answer} variant="quiet" onClick={() => onSay(answer)}>
          {inWords(item, answer)}
        </Button>
      ))}
    </div>
  )
}

function inWords(item: PracticeItem, answer: number): string {
  switch (item.op) {
    case 'clock':
      return timeInWords(Math.floor(answer / 60), answer % 60)
    case 'pattern':
      return `a part of ${answer}`
    default:
      return String(answer)
  }
}
