'use client'

import { dequal } from 'dequal'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { copiesToPrint } from '@/core/printing/to-print'
import type { ShownItem } from '@/server/print/print'

type InBag = NonNullable<ShownItem['inBag']>

const emptyBag: InBag = { count: 0, missing: 0, laminated: false }

/** One thing to print: how many are needed, what the bag holds, how many come out now. */
export function ItemLine({
  item,
  count,
  isBag,
  onCount,
  onInBag,
}: {
  item: ShownItem
  count: number
  isBag: boolean
  onCount: (count: number) => void
  onInBag: (inBag: InBag) => void
}) {
  const { name, role, inBag, byHand } = item
  const kept = inBag ?? emptyBag
  /** Leaving a field as it was says nothing new. */
  function note(part: Partial<InBag>) {
    const now = { ...kept, ...part }
    if (!dequal(now, kept)) onInBag(now)
  }
  return (
    <li className={count > 0 ? 'print-item' : 'print-item none'}>
      <div className="grow">
        <div>{name}</div>
        {!isBag && byHand.length === 0 ? (
          <div className="tiny muted">{inWords(item)}</div>
        ) : (
          <details className="tiny">
            <summary>{inWords(item)}</summary>
            {isBag && (
              <div className="print-bag">
                <label>
                  printed
                  <Form.Control
                    size="sm"
                    type="number"
                    min={0}
                    max={10000}
                    key={`count ${kept.count}`}
                    defaultValue={kept.count}
                    aria-label={`${name}: copies in the bag`}
                    onBlur={({ target }) => note({ count: wholeOf(target.value, kept.count) })}
                  />
                </label>
                <label>
                  missing
                  <Form.Control
                    size="sm"
                    type="number"
                    min={0}
                    max={kept.count}
                    key={`missing ${kept.missing}`}
                    defaultValue={kept.missing}
                    disabled={kept.count === 0}
                    aria-label={`${name}: copies missing`}
                    onBlur={({ target }) => note({ missing: wholeOf(target.value, kept.missing) })}
                  />
                </label>
                <Form.Check
                  id={`laminated ${item.id}`}
                  label="laminated"
                  checked={kept.laminated}
                  disabled={kept.count === 0}
                  onChange={({ target }) => note({ laminated: target.checked })}
                />
              </div>
            )}
            {byHand.length > 0 && (
              <>
                {isBag && <div className="print-by-hand">No printer?</div>}
                <ol>
                  {byHand.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ol>
              </>
            )}
          </details>
        )}
      </div>
      <div className="stepper">
        <Button
          variant="quiet"
          size="sm"
          aria-label={`${name}: one fewer`}
          disabled={count === 0}
          onClick={() => onCount(count - 1)}
        >
          −
        </Button>
        <Form.Control
          size="sm"
          inputMode="numeric"
          aria-label={`${name}: copies to print`}
          value={count}
          onChange={({ target }) => onCount(wholeOf(target.value, count))}
          onFocus={({ target }) => target.select()}
        />
        <Button variant="quiet" size="sm" aria-label={`${name}: one more`} onClick={() => onCount(count + 1)}>
          +
        </Button>
      </div>
    </li>
  )

  function inWords({ count: needed }: ShownItem): string {
    const there = inBag
      ? `${inBag.count - inBag.missing} in the bag${inBag.laminated ? ', laminated' : ''}${inBag.missing > 0 ? `, ${inBag.missing} missing` : ''}`
      : null
    if (role === 'instead') return ['instead of the shelf’s', there].filter(Boolean).join(' · ')
    if (role === 'more') return there ?? 'if you want it'
    const left = copiesToPrint(item, inBag)
    return [`${needed} needed`, there, left === 0 ? 'nothing to print' : null].filter(Boolean).join(' · ')
  }
}

/** What was typed as a whole number; what is none changes nothing. */
function wholeOf(text: string, before: number): number {
  const n = text.trim() === '' ? 0 : Number(text)
  return Number.isInteger(n) && n >= 0 && n <= 10_000 ? n : before
}
