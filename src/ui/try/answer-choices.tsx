'use client'

import Button from 'react-bootstrap/Button'
import { slips, timeInWords, type PracticeItem } from '@/core/skills'

/** Answers to choose from where none is typed: times, parts of a pattern, the two that are compared. */
export function AnswerChoices({ item, onSay }: { item: PracticeItem; onSay: (answer: number) => void }) {
  const answers = [
    item.answer,
    ...slips(item)
      .slice(0, 2)
      .map(({ answer }) => answer),
  ].sort((a, b) => a - b)
  return (
    <div className="try-moves" role="group" aria-label="Answers">
      {answers.map((answer) => (
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
