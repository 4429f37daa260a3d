import Button from 'react-bootstrap/Button'
import type { SetAside } from './mark-store'

/** Marks that the server can't store, with its reasons: kept on the device until the adult lets them go. */
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
        {aside.map(({ mark, reason }) => (
          <li key={mark.id}>
            A mark for {names.get(mark.pupilId) ?? 'a child'} was not saved: {reason}
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
