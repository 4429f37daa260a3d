import Button from 'react-bootstrap/Button'
import type { GroupsPage } from '@/server/groups/groups'
import { spelledAtStart, dayInShort } from '../words'

type Version = GroupsPage['versions'][number]

/** Every version of the groups so far, newest first; an earlier one can be put on the table again. */
export function Versions({
  versions,
  now,
  busy,
  onTakeBack,
}: {
  versions: readonly Version[]
  /** Number of the version that stands. */
  now: number | null
  busy: boolean
  onTakeBack: (version: Version) => void
}) {
  if (versions.length === 0) return null
  return (
    <details className="small">
      <summary>
        {versions.length === 1 ? 'One version' : `${spelledAtStart(versions.length)} versions`}
      </summary>
      <ul className="rows">
        {versions.map((one) => (
          <li key={one.id}>
            <span className="grow">
              {one.version} · {dayInShort(one.day)} {one.note && <span className="muted">{one.note}</span>}
            </span>
            {one.version !== now && (
              <Button
                variant="quiet"
                size="sm"
                disabled={busy}
                aria-label={`Take back version ${one.version}`}
                onClick={() => onTakeBack(one)}
              >
                Take back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}
