'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import type { Action } from '@/server/answer'
import type { tapClock } from '@/server/run'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { HowFar } from '../run/how-far'
import type { Left } from './left-open-in-words'

/** How far it went, and its sheets for what was not marked yet. */
export function LeftOpen({
  classId,
  left,
  tapClock: tap,
}: {
  classId: string
  left: Left
  tapClock: Action<typeof tapClock>
}) {
  const router = useRouter()
  const { problems, busy, save } = useSaving()
  const end = (how: 'finish' | 'all-played') =>
    save(
      () => tap({ classId, sessionId: left.id, tap: how, slot: left.slot }),
      () => {
        router.push(`/c/${classId}`)
        router.refresh()
      },
    )
  return (
    <div className="not-held">
      <Problems problems={problems} />
      <HowFar {...left} busy={busy} onEnd={end} />
      <Link className="btn btn-quiet" href={`/c/${classId}/sheets/${left.id}`}>
        Its sheets
      </Link>
    </div>
  )
}
