import { seatsWithout } from '@/core/planning/seating/away'
import type { RunVisit } from '@/server/session-board'

type Child = RunVisit['children'][number]

/** The children of a visit by the set they play in, in the order of the rows. */
export function setsOf({ seats, children }: Pick<RunVisit, 'seats' | 'children'>): Child[][] {
  const seated = seats.map((set) => children.filter(({ id }) => set.includes(id)))
  const others = children.filter(({ id }) => !seats.some((set) => set.includes(id)))
  return [...seated, others].filter((set) => set.length > 0)
}

/** “Ada, Ben and Cy” */
export function inWords(children: readonly { name: string }[]): string {
  const names = children.map(({ name }) => name)
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`
}

/** With whom a child plays because others are away; null: with those it was to play with. */
export function movedTo(
  { seats, children }: Pick<RunVisit, 'seats' | 'children'>,
  child: string,
  absent: ReadonlySet<string>,
  players: { min: number; max: number },
): string | null {
  const planned = seats.find((set) => set.includes(child))
  if (!planned || seats.length < 2 || absent.has(child)) return null
  const now = seatsWithout(seats, absent, players).find((set) => set.includes(child))!
  const left = planned.filter((one) => !absent.has(one))
  const least = Math.max(2, players.min)
  const others = children.filter(({ id }) => now.includes(id) && !left.includes(id))
  if (others.length === 0) return now.length < least ? 'needs a partner' : null
  // Who is joined stays where it is; who joins is told with whom.
  const stays = left.length >= least && left.every((one) => now.includes(one))
  if (stays) return null
  return others.length > 2 ? `with ${others[0].name}’s set` : `with ${inWords(others)}`
}
