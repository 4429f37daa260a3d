import Button from 'react-bootstrap/Button'
import { isMark, type Entry, type SetAside } from './outbox-store'

function what(entry: Entry, names: ReadonlyMap<string, string>): string {
  const child = 'pupilId' in entry ? (names.get(entry.pupilId) ?? 'a child') : ''
  if (isMark(entry)) return `A mark for ${child}`
  switch (entry.kind) {
    case 'absent':
      return `That ${child} is ${entry.absent ? 'away' : 'here'}`
    case 'note':
      return `A note on ${child}`
    case 'finished':
      return 'A finished game'
    case 'unfinished':
      return 'That a game was not finished'
    case 'liked':
      return 'Whether a game was liked'
  }
}

/** Entries that the server can't store, with its reasons: kept on the device until the adult lets them go. */
export function NotStored({
  aside,
  names,
  onRetry,
  onLetGo,
}: {
  aside: readonly SetAside[]
  names: ReadonlyMap<string, string>
  onRetry: () => void
  onLetGo: () => void
}) {
  return (
    <div className="problem not-stored" role="alert">
      <ul className="plain-list grow">
        {aside.map(({ entry, reason }) => (
          <li key={entry.id}>
            {what(entry, names)} was not saved: {reason}
          </li>
        ))}
      </ul>
      <Button variant="quiet" size="sm" onClick={onRetry}>
        Try again
      </Button>
      <Button variant="quiet" size="sm" onClick={onLetGo}>
        Let go
      </Button>
    </div>
  )
}
