'use client'

import { useRouter } from 'next/navigation'
import Link from 'next/link'
import { useEffect, useState } from 'react'
import type { ScreenPage } from '@/server/room/pages'
import { useLive } from '../run/use-live'

/** A screen at a station: whoever is there now finds its name and plays. */
export function ScreenAtStation({ page }: { page: ScreenPage }) {
  const router = useRouter()
  const [clock, setClock] = useState<Pick<ScreenPage['session'], 'state' | 'slot'>>(page.session)
  const [plan, setPlan] = useState(page.plan)
  const line = useLive('/here/live', (change) => {
    if (change.clock) setClock(change.clock)
    if (change.plan !== undefined) setPlan(change.plan)
    // Who is away is not told to this device: it asks for the names anew.
    if (change.full !== true) router.refresh()
  })
  const changed = plan !== page.plan
  useEffect(() => {
    if (changed) router.refresh()
  }, [changed, router])
  const children = page.visits.filter(({ slot }) => slot === clock.slot)
  const closed =
    page.closed ??
    (line === 'over' || clock.state === 'done'
      ? 'The games are over.'
      : clock.state === 'planned'
        ? 'We begin soon.'
        : null)
  return (
    <main className="stage station-door">
      <h1>{page.title}</h1>
      {closed ? (
        <p className="show-prompt">{closed}</p>
      ) : (
        <>
          <p className="show-prompt">Who plays?</p>
          <ul className="who-plays">
            {children.flatMap((visit) =>
              visit.children.map(({ id, name }) => (
                <li key={id}>
                  <Link className="btn btn-quiet" href={`/here/play/${visit.id}/${id}`}>
                    {name}
                  </Link>
                </li>
              )),
            )}
          </ul>
        </>
      )}
    </main>
  )
}
