'use client'

import { useState } from 'react'
import { inBand } from '@/core/grouping/fit-cost'
import type { GroupingMode } from '@/core/grouping/mode'
import type { Proposal } from '@/core/grouping/propose'
import type { ClassFit } from '@/core/grouping/request'
import type { GroupsPage, ShownGroup } from '@/server/groups/groups'

export const band = [0.7, 0.9] as const

/** The groups on the table: by which game and how they were made, and who is where. */
export interface Arrangement {
  gameId: string
  mode: GroupingMode
  fit: ClassFit
  oneLevel: number
  groups: ShownGroup[]
  own: Record<string, number>
  pairs: Record<string, number>
  /** Children who stay in their group when groups are made anew. */
  locked: string[]
}

/** The groups on the table: moved by hand, measured at once, not saved until the teacher says so. */
export function useGroups(page: GroupsPage) {
  const [arrangement, setArrangement] = useState<Arrangement>(() => {
    const { gameId, mode, fit, oneLevel, groups, own, pairs, locked } = page
    return { gameId, mode, fit, oneLevel, groups, own, pairs, locked }
  })
  const [changed, setChanged] = useState(page.version === null)
  const { groups, fit, own, pairs, locked } = arrangement

  const set = (part: Partial<Arrangement>) => {
    setArrangement((before) => ({ ...before, ...part }))
    setChanged(true)
  }
  const levelOf = (child: string, group: ShownGroup) => own[child] ?? group.level
  const successOf = (child: string, group: ShownGroup) => fit.success[child][levelOf(child, group)]
  return {
    ...arrangement,
    changed,
    set,
    levelOf,
    successOf,
    /** The child's own range in words; undefined: it plays at its group's level. */
    rangeOf: (child: string) => (own[child] === undefined ? undefined : fit.levels[own[child]].title),
    /** Who plays in one pair with the child. */
    partnersOf: (child: string) =>
      pairs[child] === undefined
        ? []
        : Object.keys(pairs).filter((other) => other !== child && pairs[other] === pairs[child]),
    groupOf: (child: string) => groups.findIndex(({ children }) => children.includes(child)),
    fitting: groups.reduce(
      (sum, group) => sum + group.children.filter((child) => inBand(successOf(child, group), band)).length,
      0,
    ),
    /** Children who need an adult near and stand where none is. */
    withoutAdult: groups.flatMap(({ withAdult, children }) =>
      withAdult ? [] : children.filter((child) => page.adultNear.includes(child)),
    ),
    brokenLinks: page.links.filter(({ kind, a, b }) => {
      const together = groups.some(({ children }) => children.includes(a) && children.includes(b))
      return kind === 'apart' ? together : !together
    }),
    move(child: string, to: number) {
      set({
        groups: groups.map((group, g) => {
          const without = group.children.filter((id) => id !== child)
          return { ...group, children: g === to ? [...without, child] : without }
        }),
        // Who leaves a partner behind is in no pair any more, and neither is the partner.
        pairs: Object.fromEntries(Object.entries(pairs).filter(([, pair]) => pair !== pairs[child])),
        locked: locked.filter((id) => id !== child),
      })
    },
    lock: (child: string, on: boolean) =>
      set({ locked: [...locked.filter((id) => id !== child), ...(on ? [child] : [])] }),
    setAdult: (group: number, withAdult: boolean) =>
      set({ groups: groups.map((g, i) => (i === group ? { ...g, withAdult } : g)) }),
    setLevel: (group: number, level: number) =>
      set({ groups: groups.map((g, i) => (i === group ? { ...g, level } : g)) }),
    /** Takes proposed groups over; names, shapes and colours stay with their numbers. */
    take(proposal: Proposal, children: readonly string[], withAdult: readonly number[]) {
      const byChild = (values: number[] | null) =>
        Object.fromEntries((values ?? []).map((value, child) => [children[child], value]))
      set({
        groups: proposal.groups.map(({ level, children: there }, g) => ({
          pennant: groups[g]?.pennant ?? freePennant(groups, g),
          level,
          withAdult: withAdult.includes(g),
          children: there.map((child) => children[child]),
        })),
        own: byChild(proposal.own),
        pairs: byChild(proposal.pairs),
      })
    },
  }
}

/** For a group more than there were: the first pennants that no group carries, in turn. */
function freePennant(groups: readonly ShownGroup[], position: number): number {
  const used = groups.map(({ pennant }) => pennant)
  const free = Array.from({ length: 12 }, (_, pennant) => pennant).filter((one) => !used.includes(one))
  return free[position - groups.length]
}
