import type { GroupsDraft } from '@/core/grouping/draft'
import type { Group } from '@/core/grouping/groups'

/** Changes of the groups on the table by hand: each gives the draft as it is then. */
type Change = GroupsDraft

/** A child goes to a group, from another one or from none. */
export function moved(draft: GroupsDraft, child: string, to: number): Change {
  return {
    ...draft,
    groups: draft.groups.map((group) => {
      const others = group.pupils.filter((id) => id !== child)
      return { ...group, pupils: group.pennant === to ? [...others, child] : others }
    }),
    // Who leaves a partner behind is in no pair any more, and neither is the partner.
    pairs: withoutPairsOf(draft.pairs, [child]),
    locked: draft.locked.filter((id) => id !== child),
  }
}

/** Two children change places; neither stays with the partner it had. */
export function swapped(draft: GroupsDraft, a: string, b: string): Change {
  const other = (id: string) => (id === a ? b : id === b ? a : id)
  return {
    ...draft,
    groups: draft.groups.map((group) => ({ ...group, pupils: group.pupils.map(other) })),
    pairs: withoutPairsOf(draft.pairs, [a, b]),
    locked: draft.locked.filter((id) => id !== a && id !== b),
  }
}

/** A child stays in its group when groups are made anew, or not any more. */
export const locked = (draft: GroupsDraft, child: string, on: boolean): Change => ({
  ...draft,
  locked: [...draft.locked.filter((id) => id !== child), ...(on ? [child] : [])],
})

export const withGroup = (draft: GroupsDraft, pennant: number, part: Partial<Group>): Change => ({
  ...draft,
  groups: draft.groups.map((group) => (group.pennant === pennant ? { ...group, ...part } : group)),
})

function withoutPairsOf(pairs: Record<string, number>, children: readonly string[]): Record<string, number> {
  const left = children.map((child) => pairs[child]).filter((pair) => pair !== undefined)
  return Object.fromEntries(Object.entries(pairs).filter(([, pair]) => !left.includes(pair)))
}
