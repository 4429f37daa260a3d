'use client'

import { usePathname, useRouter } from 'next/navigation'
import { useRef } from 'react'
import { groupNames } from '@/core/grouping/pennants'
import { strands } from '@/core/skills'
import type { GamesFilter as Filter } from '@/server/games/list'
import { useShortcuts } from '../keys/use-shortcuts'

type Option = readonly [value: string, words: string]

const minutes = [5, 8, 10, 12, 15, 20, 25]
const ranges = [5, 10, 20, 50, 100]
const numbers = [1, 2, 3, 4, 5, 6, 8, 12, 26]

const needs: Option[] = [
  ['any', 'any materials'],
  ['no-dice', 'no dice'],
  ['no-print', 'nothing to print'],
]
const noise: Option[] = [
  ['3', 'as loud as it gets'],
  ['2', 'talk and dice'],
  ['1', 'quiet talk'],
  ['0', 'near silence'],
]

/** The filter is a sentence. */
export function GamesFilter({ filter, groups }: { filter: Filter; groups: number[] }) {
  const router = useRouter()
  const path = usePathname()
  const first = useRef<HTMLSelectElement>(null)
  useShortcuts([{ keys: '/', title: 'Filter the games', run: () => first.current?.focus() }])
  const now = {
    group: filter.group === null ? '' : String(filter.group),
    slot: String(filter.slotMinutes),
    needs: filter.needs,
    strand: filter.strand ?? '',
    to: filter.to === null ? '' : String(filter.to),
    players: filter.players === null ? '' : String(filter.players),
    adult: filter.adult,
    noise: String(filter.noise),
  }
  const choice = (name: keyof typeof now, label: string, options: readonly Option[]) => (
    <select
      ref={name === 'group' ? first : undefined}
      aria-label={label}
      value={now[name]}
      onChange={({ target }) =>
        router.replace(`${path}?${new URLSearchParams({ ...now, [name]: target.value })}`)
      }
    >
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  )
  const slots = [...new Set([...minutes, filter.slotMinutes])].sort((a, b) => a - b)
  return (
    <p className="sentence">
      Games for{' '}
      {choice('group', 'Group', [
        ['', 'any group'],
        ...groups.map((pennant): Option => [String(pennant), groupNames[pennant]]),
      ])}{' '}
      in{' '}
      {choice(
        'slot',
        'Minutes',
        slots.map((slot) => [String(slot), `${slot} minutes`]),
      )}{' '}
      with {choice('needs', 'Materials', needs)}, practising{' '}
      {choice('strand', 'Strand', [
        ['', 'anything'],
        ...strands.map(({ id, title }): Option => [id, title.toLowerCase()]),
      ])}{' '}
      {choice('to', 'Range', [
        ['', 'with any numbers'],
        ...ranges.map((to): Option => [String(to), `to ${to}`]),
      ])}
      , for{' '}
      {choice('players', 'Children', [
        ['', 'any number'],
        ...numbers.map((number): Option => [String(number), String(number)]),
      ])}{' '}
      playing together,{' '}
      {choice('adult', 'Adult', [
        ['any', 'with or without an adult'],
        ['none', 'without an adult'],
      ])}
      , {choice('noise', 'Noise', noise)}.
    </p>
  )
}
