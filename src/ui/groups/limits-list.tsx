import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import type { Group } from '@/core/grouping/groups'
import { groupNames } from '@/core/grouping/pennants'
import type { Link as PupilLink } from '@/core/grouping/request'

/** What every proposal keeps to: who stays where, who is kept apart or together. */
export function LimitsList({
  classId,
  locked,
  adultNear,
  links,
  groups,
  names,
  onRelease,
}: {
  classId: string
  locked: readonly string[]
  adultNear: readonly string[]
  links: readonly PupilLink[]
  groups: readonly Group[]
  names: ReadonlyMap<string, string>
  onRelease: (child: string) => void
}) {
  const count = locked.length + adultNear.length + links.length
  return (
    <details className="small limits">
      <summary>{count === 0 ? 'No limits' : `${count} ${count === 1 ? 'limit' : 'limits'} kept`}</summary>
      <ul className="rows">
        {locked.map((child) => {
          const group = groups.find(({ pupils }) => pupils.includes(child))
          return (
            <li key={child}>
              <span className="grow">
                {names.get(child)} stays in {group ? groupNames[group.pennant] : 'the group'}
              </span>
              <Button variant="plain" size="sm" onClick={() => onRelease(child)}>
                Release
              </Button>
            </li>
          )
        })}
        {adultNear.map((child) => (
          <li key={`near ${child}`}>
            <span className="grow">{names.get(child)} where an adult is near</span>
          </li>
        ))}
        {links.map(({ kind, a, b }) => (
          <li key={`${kind} ${a} ${b}`}>
            <span className="grow">
              {names.get(a)} {kind === 'apart' ? 'apart from' : 'together with'} {names.get(b)}
            </span>
          </li>
        ))}
      </ul>
      <p className="muted tiny">
        Choose a name to keep a child in its group.{' '}
        <Link href={`/c/${classId}/class`}>Apart and together</Link> are set with the class.
      </p>
    </details>
  )
}
