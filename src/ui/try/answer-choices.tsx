'use client'

import Button from 'react-bootstrap/Button'
import { faceMarks } from '@/core/drawing/faces'
import { timeInWords, type PracticeItem } from '@/core/skills/item'
import { choicesFor } from '@/core/skills/slips'
import { Marks } from '../board/mark-shape'

/** Answers to choose from where none is typed: clocks, parts of a pattern, the two that are compared. */
export function AnswerChoices({ item, onSay }: { item: PracticeItem; onSay: (answer: number) => void }) {
  return (
    <div className="try-moves" role="group" aria-label="Answers">
      {(choicesFor(item) ?? []).map((answer) => (
        <Button key={answer} variant="quiet" onClick={() => onSay(answer)}>
          {item.op === 'clock' ? <Clock minutes={answer} /> : inWords(item, answer)}
        </Button>
      ))}
    </div>
  )
}

/** A clock whose hands stand so: the time in words is on the card. */
function Clock({ minutes }: { minutes: number }) {
  return (
    <svg
      className="board choice-clock"
      viewBox="-30 -30 60 60"
      role="img"
      aria-label={`A clock at ${timeInWords(Math.floor(minutes / 60), minutes % 60)}`}
    >
      <Marks marks={faceMarks({ kind: 'clock', minutes }, 60, 60)} />
    </svg>
  )
}

function inWords({ op }: PracticeItem, answer: number): string {
  if (op === 'odd-even') return answer === 1 ? 'odd' : 'even'
  return op === 'pattern' ? `a part of ${answer}` : String(answer)
}
