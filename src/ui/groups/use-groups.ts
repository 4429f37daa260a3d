'use client'

import { useState } from 'react'
import type { GroupingMode } from '@/core/grouping/mode'
import type { Group, Groups } from '@/core/grouping/groups'
import { childrenInZone, successInGroup } from '@/core/grouping/in-zone'
import type { ClassFit } from '@/core/grouping/request'
import type { GroupsPage } from '@/server/groups/groups'

export const band = [0.7, 0.9] as const

/** The groups on the table: by which game and how they were made, and who is where. */
export interface Arrangement extends Groups {
  gameId: string
  mode: GroupingMode
  fit: ClassFit
  /** Children who stay in their group when groups are made anew. */
  locked: string[]
}

/** The groups on the table: moved by hand, measured at once, not saved until the teacher says so. */
export function useGroups(page: GroupsPage) {
  const [arrangement, setArrangement] = useState<Arrangement>(() => {
    const { gameId, mode, fit, groups, own, pairs, locked } = page
    return { gameId, mode, fit, groups, own, pairs, locked }
  })
  const [changed, setChanged] = useState(page.version === null)
  const { groups, fit, own, pairs, locked } = arrangement

  const set = (part: Partial<Arrangement>) => {
    setArrangement((before) => ({ ...before, ...part }))
    setChanged(true)
  }
  const level = (id: string) => fit.levels.findIndex((one) => one.id === id)
  const successOf = (child: string, group: Group) => successInGroup(fit, child, group, own)
  const change = (pennant: number, part: Partial<Group>) =>
    set({ groups: groups.map((group) => (group.pennant === pennant ? { ...group, ...part } : group)) })
  return {
    ...arrangement,
    changed,
    set,
    successOf,
    /** The child's own range in words; undefined: it plays at its group's level. */
    rangeOf: (child: string) => (own[child] === undefined ? undefined : fit.levels[level(own[child])].title),
    /** Who plays in one pair with the child. */
    partnersOf: (child: string) =>
      pairs[child] === undefined
        ? []
        : Object.keys(pairs).filter((other) => other !== child && pairs[other] === pairs[child]),
    /** Pennant of the child's group. */
    groupOf: (child: string) => groups.find(({ pupils }) => pupils.includes(child))?.pennant,
    inZone: childrenInZone(fit, { groups, own }),
    /** Children who are in no group: they came after the groups were made. */
    waiting: page.children.flatMap(({ id }) =>
      groups.some(({ pupils }) => pupils.includes(id)) ? [] : [id],
    ),
    /** Children who need an adult near and stand where none is. */
    withoutAdult: groups.flatMap(({ withAdult, pupils }) =>
      withAdult ? [] : pupils.filter((child) => page.adultNear.includes(child)),
    ),
    brokenLinks: page.links.filter(({ kind, a, b }) => {
      const together = groups.some(({ pupils }) => pupils.includes(a) && pupils.includes(b))
      return kind === 'apart' ? together : !together
    }),
    move(child: string, to: number) {
      set({
        groups: groups.map((group) => {
          const without = group.pupils.filter((id) => id !== child)
          return { ...group, pupils: group.pennant === to ? [...without, child] : without }
        }),
        // Who leaves a partner behind is in no pair any more, and neither is the partner.
        pairs: Object.fromEntries(Object.entries(pairs).filter(([, pair]) => pair !== pairs[child])),
        locked: locked.filter((id) => id !== child),
      })
    },
    /** Two children change places; neither stays with the partner it had. */
    swap(a: string, b: string) {
      const other = (id: string) => (id === a ? b : id === b ? a : id)
      set({
        groups: groups.map((group) => ({ ...group, pupils: group.pupils.map(other) })),
        pairs: Object.fromEntries(
          Object.entries(pairs).filter(([, pair]) => pair !== pairs[a] && pair !== pairs[b]),
        ),
        locked: locked.filter((id) => id !== a && id !== b),
      })
    },
    lock: (child: string, on: boolean) =>
      set({ locked: [...locked.filter((id) => id !== child), ...(on ? [child] : [])] }),
    setAdult: (pennant: number, withAdult: boolean) => change(pennant, { withAdult }),
    setLevel: (pennant: number, levelId: string) => change(pennant, { levelId }),
    /** Takes proposed groups over. */
    take: (proposed: Groups) => set(proposed),
  }
}
