import Button from 'react-bootstrap/Button'
import { judgements, type Judgement } from '@/core/evidence/observation'
import { MarkSign } from '../run/child-row'
import { markNames } from './task-to-ask'

/** What was seen on a child's board; `no board`: it showed none. */
export type BoardMark = Judgement | 'no board'

/** A row a board: the adult marks what is held up. */
export function Boards({
  of,
  marks,
  at,
  onMark,
}: {
  of: readonly { id: string; name: string }[]
  /** By child. */
  marks: ReadonlyMap<string, BoardMark>
  /** The row that keys mark. */
  at: number
  onMark: (id: string, mark: BoardMark) => void
}) {
  return (
    <ul className="check-boards" aria-label="Boards">
      {of.map(({ id, name }, row) => (
        <li key={id} className={row === at ? 'now' : undefined}>
          <span className="grow">{name}</span>
          {judgements.map((judged) => (
            <Button
              key={judged}
              variant="quiet"
              aria-pressed={marks.get(id) === judged}
              aria-label={`${name}: ${markNames[judged]}`}
              onClick={() => onMark(id, judged)}
            >
              <MarkSign judged={judged} /> <span className="word">{markNames[judged]}</span>
            </Button>
          ))}
          <Button
            variant="plain"
            aria-pressed={marks.get(id) === 'no board'}
            aria-label={`${name}: no board`}
            onClick={() => onMark(id, 'no board')}
          >
            no board
          </Button>
        </li>
      ))}
    </ul>
  )
}
