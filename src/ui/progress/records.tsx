'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import { stepOf } from '@/core/skills'
import type { Action } from '@/server/answer'
import type { correctRecord } from '@/server/marks/correct'
import type { childPage } from '@/server/progress'
import { newId } from '../new-id'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { dayInShort } from '../words'
import { RecordRow, saidInWords, type Correct } from './record-row'

type Page = Awaited<ReturnType<typeof childPage>>

/** Records that count no longer; each can count again. */
function TakenBack({ records, correct }: { records: Page['takenBack']; correct: Correct }) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  if (records.length === 0) return null
  return (
    <details className="small">
      <summary>Taken back: {records.length}</summary>
      <Problems problems={problems} />
      <ul className="rows">
        {records.map((record) => (
          <li key={record.id}>
            <s className="grow muted">
              {stepOf(record).short}: {saidInWords(record)}
            </s>
            <span className="muted">{dayInShort(record.schoolDay)}</span>
            <Button
              variant="plain"
              size="sm"
              disabled={busy}
              onClick={() => save(() => correct(record.id, 'as-it-was'), router.refresh)}
            >
              Count again
            </Button>
          </li>
        ))}
      </ul>
    </details>
  )
}

/** What was seen of a child, the newest first. */
export function Records({
  classId,
  pupilId,
  records,
  takenBack,
  more,
  correctRecord: put,
}: Pick<Page, 'records' | 'takenBack' | 'more'> & {
  classId: string
  pupilId: string
  correctRecord: Action<typeof correctRecord>
}) {
  const correct: Correct = (recordId, to) => put({ classId, pupilId, recordId, to, id: newId() })
  return (
    <section className="evidence" aria-label="Evidence">
      <h2 className="section">What was seen</h2>
      {records.length === 0 && (
        <p className="muted">Nothing yet. Marks of a session stand here with their day.</p>
      )}
      <ul className="rows small">
        {records.map((record) => (
          <RecordRow key={record.id} record={record} correct={correct} />
        ))}
      </ul>
      {more && <p className="muted small">and older ones</p>}
      <TakenBack records={takenBack} correct={correct} />
    </section>
  )
}
