import type { GroupsPage } from '@/server/groups/groups'
import { capital, dayInShort } from '../words'

/** Every version of the groups so far, newest first. */
export function Versions({ versions }: { versions: GroupsPage['versions'] }) {
  if (versions.length === 0) return null
  return (
    <details className="small">
      <summary>{versions.length === 1 ? 'One version' : `${capital(versions.length)} versions`}</summary>
      <ul className="rows">
        {versions.map(({ id, version, day, note }) => (
          <li key={id}>
            <span className="grow">
              {version} · {dayInShort(day)} {note && <span className="muted">{note}</span>}
            </span>
          </li>
        ))}
      </ul>
    </details>
  )
}
