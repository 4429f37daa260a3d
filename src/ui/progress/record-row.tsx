'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { judgements } from '@/core/evidence/observation'
import { stepOf } from '@/core/skills'
import type { Action } from '@/server/answer'
import type { correctRecord } from '@/server/marks/correct'
import type { childPage } from '@/server/progress'
import { Problems } from '../problems'
import { markWords, MarkSign } from '../run/child-row'
import { useSaving } from '../sheets/use-saving'
import { slipInWords } from '../show/in-words'
import { dayInShort } from '../words'

type Page = Awaited<ReturnType<typeof childPage>>
type ShownRecord = Page['records'][number]
type To = Parameters<typeof correctRecord>[1]['to']
/** Puts a record of the child right. */
export type Correct = (recordId: string, to: To) => ReturnType<Action<typeof correctRecord>>

/** What a record says in words: “with help”, “7 of 9 right”. */
export const saidInWords = ({ judged, right, of }: Pick<ShownRecord, 'judged' | 'right' | 'of'>) =>
  judged ? markWords[judged] : `${right} of ${of} right`

/** One record of a child, with a way to put it right. */
export function RecordRow({ record, correct }: { record: ShownRecord; correct: Correct }) {
  const { id, strand, step, judged, digital, slips, how, byHelper, schoolDay, at, was } = record
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  const [open, setOpen] = useState(false)
  const short = stepOf({ strand, step }).short
  const put = (to: To) =>
    save(
      () => correct(id, to),
      () => {
        setOpen(false)
        router.refresh()
      },
    )
  const beside = [
    how?.strategy,
    how?.objects && 'needed objects',
    how?.explained && 'explained clearly',
  ].filter(Boolean)
  return (
    <li>
      {judged ? <MarkSign judged={judged} /> : <span className="tally-sign" aria-hidden />}
      <span className="grow">
        {short}: {saidInWords(record)}
        {digital && <span className="digital-sign">digital</span>}
        {slips.map(({ reason }) => (
          <span key={reason} className="slip-line muted">
            {slipInWords[reason]}
          </span>
        ))}
        {beside.length > 0 && <span className="slip-line muted">{beside.join(', ')}</span>}
        {byHelper && <span className="muted"> · seen by a helper</span>}
        {at && (
          <span className="muted">
            {' '}
            · {at.game}, slot {at.slot}
          </span>
        )}
        {was && (
          <span className="slip-line muted">
            was <s>{markWords[was.judged]}</s>, put right on {dayInShort(was.corrected)}
          </span>
        )}
        <Problems problems={problems} />
        {open && (
          <span className="put-right" role="group" aria-label={`What ${short} should be`}>
            {judged &&
              judgements
                .filter((one) => one !== judged)
                .map((one) => (
                  <Button key={one} variant="quiet" size="sm" disabled={busy} onClick={() => put(one)}>
                    <MarkSign judged={one} /> {markWords[one]}
                  </Button>
                ))}
            <Button variant="quiet" size="sm" disabled={busy} onClick={() => put('nothing')}>
              does not count
            </Button>
          </span>
        )}
      </span>
      <span className="muted">{dayInShort(schoolDay)}</span>
      <Button
        variant="plain"
        size="sm"
        className="to-put-right"
        aria-expanded={open}
        aria-label={`${open ? 'Leave it' : 'Put right'}: ${short}, ${saidInWords(record)}, ${dayInShort(schoolDay)}`}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Leave it' : 'Put right'}
      </Button>
    </li>
  )
}
