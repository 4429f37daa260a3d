import Link from 'next/link'
import type { Action } from '@/server/answer'
import type { HarbourPage } from '@/server/harbour'
import type { tapClock } from '@/server/run'
import { Reopen } from '../run/reopen'
import { dayInWords, many } from '../words'

type TapClock = Action<typeof tapClock>

/** The sessions that were held, newest first; the last one of today can be reopened. */
export function HeldSessions({
  classId,
  held,
  tapClock,
}: {
  classId: string
  held: HarbourPage['held']
  tapClock: TapClock
}) {
  if (held.length === 0) return null
  return (
    <details className="small held" open={held[0].canReopen}>
      <summary>{held.length === 1 ? 'One session held' : `The last ${held.length} sessions`}</summary>
      <ul className="rows">
        {held.map(({ id, day, titles, marks, canReopen }) => (
          <li key={id}>
            <span className="grow">
              <strong>{dayInWords(day)}</strong>{' '}
              <span className="muted">
                {titles.join(', ')} · {many(marks, 'mark')}
              </span>
            </span>
            <Link className="btn btn-plain btn-sm" href={`/c/${classId}/sheets/${id}`} prefetch={false}>
              Type in sheets
            </Link>
            {canReopen && <Reopen classId={classId} sessionId={id} tapClock={tapClock} />}
          </li>
        ))}
      </ul>
    </details>
  )
}
