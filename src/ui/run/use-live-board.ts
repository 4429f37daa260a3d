'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { Told } from '@/core/evidence/told'
import { noteServerTime } from './lateness'
import { applied, livePartOf, withTold, type LivePart } from '@/core/live/board'
import { useLive, type Line } from './use-live'

/**
 * A board as it stands now: as the page was made, then by what all devices of the session do.
 * @param at where the session can be listened to
 */
export function useLiveBoard(at: string, page: LivePart) {
  const router = useRouter()
  const [state, setState] = useState(() => ({ page, now: livePartOf(page), version: 0 }))
  const [told, setTold] = useState<{ version: number; all: readonly Told[] }>({ version: 0, all: [] })
  const line: Line = useLive(at, (change) => {
    if (change.clock) noteServerTime(change.clock.at)
    setState(({ page: from, now, version }) => ({
      page: from,
      now: applied(now, change),
      version: version + 1,
    }))
  })
  // Read anew: what came over the line since is newer than the page, but for what only a page tells.
  if (state.page !== page)
    setState(({ now, version }) => ({
      page,
      now: line === 'live' ? { ...now, plan: page.plan } : livePartOf(page),
      version: version + 1,
    }))

  const changed = state.now.plan !== page.plan
  useEffect(() => {
    if (changed) router.refresh()
  }, [changed, router])

  return {
    line,
    version: state.version,
    /** @param waiting what this device has told and the server has not acknowledged */
    boardWith(waiting: readonly Told[]): LivePart {
      // What was acknowledged stays on the screen until the server has spoken since.
      const own = told.version === state.version ? told.all : []
      const ids = new Set(waiting.map(({ id }) => id))
      return withTold(state.now, [...own.filter(({ id }) => !ids.has(id)), ...waiting])
    },
    /** Something was told on this page. */
    noteTold: (entry: Told) =>
      setTold(({ version, all }) => ({
        version: state.version,
        all: version === state.version ? [...all, entry] : [entry],
      })),
  }
}
