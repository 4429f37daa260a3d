'use client'

import { useRouter } from 'next/navigation'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { setLeft } from '@/server/classes'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { many } from '../words'

type SetLeft = Action<typeof setLeft>

/** Children who have left the class, each with the way back. */
export function LeftList({
  classId,
  left,
  setLeft,
}: {
  classId: string
  left: readonly { id: string; name: string }[]
  setLeft: SetLeft
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  if (left.length === 0) return null
  return (
    <details className="small left-list">
      <summary>{many(left.length, 'child has', 'children have')} left the class</summary>
      <Problems problems={problems} />
      <ul className="rows">
        {left.map(({ id, name }) => (
          <li key={id}>
            <span className="grow">{name}</span>
            <Button
              variant="quiet"
              size="sm"
              disabled={busy}
              aria-label={`${name} is back`}
              onClick={() =>
                save(
                  () => setLeft({ classId, pupilId: id, left: false }),
                  () => router.refresh(),
                )
              }
            >
              Is back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  )
}
