import Button from 'react-bootstrap/Button'
import { groupNames } from '@/core/grouping/pennants'
import type { RunPage } from '@/server/session-board'
import { Pennant } from '../pennant'

/** Children who came after the groups were made: one tap, and they play along. */
export function Newcomers({
  waiting,
  groups,
  busy,
  onJoin,
}: {
  waiting: RunPage['waiting']
  groups: readonly { groupId: string; pennant: number }[]
  busy: boolean
  onJoin: (pupilId: string, groupId: string) => void
}) {
  if (waiting.length === 0) return null
  return (
    <section className="newcomers" aria-label="Not in a group yet">
      <strong className="small">Not in a group yet</strong>
      <ul>
        {waiting.map(({ id, name }) => (
          <li key={id}>
            <span>{name} joins</span>
            {groups.map(({ groupId, pennant }) => (
              <Button
                key={groupId}
                variant="quiet"
                size="sm"
                disabled={busy}
                aria-label={`${name} joins ${groupNames[pennant]}`}
                onClick={() => onJoin(id, groupId)}
              >
                <Pennant number={pennant} /> {groupNames[pennant]}
              </Button>
            ))}
          </li>
        ))}
      </ul>
    </section>
  )
}
