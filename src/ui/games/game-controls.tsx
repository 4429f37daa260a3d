'use client'

import { usePathname, useRouter, useSearchParams } from 'next/navigation'
import { useRef } from 'react'
import { useShortcuts } from '../keys/use-shortcuts'

/** How many play together and how long the slot is. */
export function GameControls({
  players,
  least,
  most,
  slotMinutes,
}: {
  players: number
  least: number
  most: number
  slotMinutes: number
}) {
  const router = useRouter()
  const path = usePathname()
  const query = useSearchParams()
  const first = useRef<HTMLSelectElement>(null)
  useShortcuts([{ keys: '/', title: 'Players and minutes', run: () => first.current?.focus() }])
  function go(name: string, value: string) {
    const next = new URLSearchParams(query)
    next.set(name, value)
    router.replace(`${path}?${next}`, { scroll: false })
  }
  return (
    <p className="sentence">
      <select
        ref={first}
        aria-label="Players in a set"
        value={players}
        onChange={({ target }) => go('players', target.value)}
      >
        {sizes(least, most).map((number) => (
          <option key={number} value={number}>
            {number === 1 ? 'one child alone' : `${number} in a set`}
          </option>
        ))}
      </select>{' '}
      in a slot of{' '}
      <select
        aria-label="Minutes of the slot"
        value={slotMinutes}
        onChange={({ target }) => go('slot', target.value)}
      >
        {[...new Set([5, 8, 10, 12, 15, 20, 25, slotMinutes])]
          .sort((a, b) => a - b)
          .map((minutes) => (
            <option key={minutes} value={minutes}>
              {minutes} minutes
            </option>
          ))}
      </select>
    </p>
  )
}

/** Numbers of players to choose from: every one up to eight, then those of a whole class. */
function sizes(least: number, most: number): number[] {
  const all = [...Array.from({ length: 8 }, (_, i) => i + 1), 10, 12, 16, 20, 24, 26, 30, 34]
  return all.filter((number) => number >= least && number <= most)
}
