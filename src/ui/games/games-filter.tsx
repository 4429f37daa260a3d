'use client'

import { usePathname, useRouter } from 'next/navigation'
import { groupNames } from '@/core/grouping/pennants'

/** The filter is a sentence. */
export function GamesFilter({
  group,
  groups,
  slotMinutes,
  needs,
}: {
  group: number | null
  groups: number[]
  slotMinutes: number
  needs: string
}) {
  const router = useRouter()
  const path = usePathname()
  function go(change: { group?: string; slot?: string; needs?: string }) {
    const query = new URLSearchParams({
      group: group === null ? '' : String(group),
      slot: String(slotMinutes),
      needs,
      ...change,
    })
    router.replace(`${path}?${query}`)
  }
  return (
    <p className="sentence">
      Games for{' '}
      <select
        data-search
        aria-label="Group"
        value={group ?? ''}
        onChange={({ target }) => go({ group: target.value })}
      >
        <option value="">any group</option>
        {groups.map((pennant, position) => (
          <option key={pennant} value={position}>
            {groupNames[pennant]}
          </option>
        ))}
      </select>{' '}
      in{' '}
      <select aria-label="Minutes" value={slotMinutes} onChange={({ target }) => go({ slot: target.value })}>
        {[...new Set([5, 8, 10, 12, 15, 20, 25, slotMinutes])]
          .sort((a, b) => a - b)
          .map((minutes) => (
            <option key={minutes} value={minutes}>
              {minutes} minutes
            </option>
          ))}
      </select>{' '}
      with{' '}
      <select aria-label="Materials" value={needs} onChange={({ target }) => go({ needs: target.value })}>
        <option value="any">any materials</option>
        <option value="no-dice">no dice</option>
      </select>
    </p>
  )
}
