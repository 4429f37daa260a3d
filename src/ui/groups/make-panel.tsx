'use client'

import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { mostGroups } from '@/core/grouping/pennants'
import type { GroupingMode } from '@/core/grouping/making/mode'

const modeWords: Record<GroupingMode, string> = {
  similar: 'similar level',
  mixed: 'mixed levels',
  pairs: 'pairs within reach',
  hand: 'by hand',
}

/** How groups are to be made: the teacher's choices that a proposal keeps to. */
export interface Making {
  mode: GroupingMode
  gameId: string
  count: number
  /** Undefined: about even. */
  smallest: number | undefined
  largest: number | undefined
}

/** How groups are made: each choice makes them anew at once, save by hand. */
export function MakePanel({
  making,
  children,
  games,
  busy,
  onChange,
}: {
  making: Making
  children: number
  games: { id: string; title: string; fits: number }[]
  busy: boolean
  onChange: (part: Partial<Making>) => void
}) {
  const { mode, gameId, count, smallest, largest } = making
  const fair = children / count
  const select = (
    id: string,
    label: string,
    value: string | number,
    onChoose: (value: string) => void,
    options: React.ReactNode,
  ) => (
    <Form.Group controlId={id}>
      <Form.Label className="small">{label}</Form.Label>
      <Form.Select size="sm" value={value} disabled={busy} onChange={({ target }) => onChoose(target.value)}>
        {options}
      </Form.Select>
    </Form.Group>
  )
  const sizes = (from: number) =>
    Array.from({ length: 5 }, (_, more) => from + more).map((size) => <option key={size}>{size}</option>)
  return (
    <div className="remake">
      {select(
        'focus-mode',
        'Groups of',
        mode,
        (value) => onChange({ mode: value as GroupingMode }),
        Object.entries(modeWords).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        )),
      )}
      {select(
        'focus-game',
        'Level by · children it fits',
        gameId,
        (value) => onChange({ gameId: value }),
        games.map(({ id, title, fits }) => (
          <option key={id} value={id}>
            {title} · {fits}
          </option>
        )),
      )}
      {select(
        'group-count',
        'Groups',
        count,
        (value) => onChange({ count: Number(value), smallest: undefined, largest: undefined }),
        Array.from({ length: Math.min(mostGroups, children) }, (_, i) => i + 1).map((number) => (
          <option key={number}>{number}</option>
        )),
      )}
      <div className="sizes">
        {select(
          'group-least',
          'At least',
          smallest ?? '',
          (value) => onChange({ smallest: Number(value) || undefined }),
          <>
            <option value="">even</option>
            {sizes(Math.max(1, Math.floor(fair) - 4)).filter(
              (_, i) => Math.max(1, Math.floor(fair) - 4) + i <= fair,
            )}
          </>,
        )}
        {select(
          'group-size',
          'At most',
          largest ?? '',
          (value) => onChange({ largest: Number(value) || undefined }),
          <>
            <option value="">even</option>
            {sizes(Math.ceil(fair))}
          </>,
        )}
      </div>
      {mode !== 'hand' && (
        <Button variant="quiet" size="sm" disabled={busy} onClick={() => onChange({})}>
          Make again
        </Button>
      )}
    </div>
  )
}
