'use client'

import Link from 'next/link'
import { useState, type ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { strandOf, type StrandId } from '@/core/skills'

/** Which strands a check is about, before its first task. */
export function ChooseStrands({
  title,
  children,
  strands,
  usual,
  after,
  back,
  onStart,
}: {
  title: string
  /** What will be done, in a sentence or two. */
  children: ReactNode
  strands: readonly { strand: StrandId; followed: boolean; open: boolean }[]
  usual: readonly StrandId[]
  /** Who comes after. */
  after: readonly string[]
  /** Where to go instead. */
  back: string
  onStart: (chosen: readonly StrandId[]) => void
}) {
  const [ticked, setTicked] = useState<ReadonlySet<StrandId>>(() => new Set(usual))
  const toggle = (strand: StrandId) => {
    const next = new Set(ticked)
    if (!next.delete(strand)) next.add(strand)
    setTicked(next)
  }
  return (
    <main className="check-start">
      <h1>{title}</h1>
      <p>{children}</p>
      <fieldset>
        <legend>What to ask about</legend>
        <div className="check-strands">
          {strands.map(({ strand, followed, open }) => (
            <Form.Check
              key={strand}
              id={`strand ${strand}`}
              label={`${strandOf(strand).title}${!followed ? ' (not begun)' : open ? '' : ' (known well)'}`}
              checked={ticked.has(strand)}
              onChange={() => toggle(strand)}
            />
          ))}
        </div>
      </fieldset>
      <p className="button-row">
        <Button disabled={ticked.size === 0} onClick={() => onStart([...ticked])}>
          Begin
        </Button>
        <Link className="btn btn-plain" href={back}>
          Not now
        </Link>
      </p>
      {after.length > 0 && <p className="small muted">Then {after.join(', ')}.</p>}
    </main>
  )
}
