'use client'

import { useState } from 'react'
import { inBand } from '@/core/grouping/fit-cost'
import type { GroupsPage, ShownGroup } from '@/server/groups'

export const band = [0.7, 0.9] as const

export interface Arrangement {
  gameId: string
  levels: { id: string; title: string }[]
  success: Record<string, number[]>
  groups: ShownGroup[]
  oneLevel: number
}

/** The groups on the table: moved by hand, measured at once, not saved until the teacher says so. */
export function useGroups(page: GroupsPage) {
  const [arrangement, setArrangement] = useState<Arrangement>(() => ({
    gameId: page.gameId,
    levels: page.levels,
    success: Object.fromEntries(page.children.map(({ id, success }) => [id, success])),
    groups: page.groups,
    oneLevel: page.oneLevel.fitting,
  }))
  const [changed, setChanged] = useState(page.version === null)

  const set = (next: Arrangement) => {
    setArrangement(next)
    setChanged(true)
  }
  const { groups, success } = arrangement
  return {
    ...arrangement,
    changed,
    set,
    fitting: groups.reduce(
      (sum, { level, children }) => sum + children.filter((id) => inBand(success[id][level], band)).length,
      0,
    ),
    brokenLinks: page.links.filter(({ kind, a, b }) => {
      const together = groups.some(({ children }) => children.includes(a) && children.includes(b))
      return kind === 'apart' ? together : !together
    }),
    move(child: string, to: number) {
      set({
        ...arrangement,
        groups: groups.map((group, g) => {
          const without = group.children.filter((id) => id !== child)
          return { ...group, children: g === to ? [...without, child] : without }
        }),
      })
    },
    setLevel: (group: number, level: number) =>
      set({ ...arrangement, groups: groups.map((g, i) => (i === group ? { ...g, level } : g)) }),
    setGroups: (next: ShownGroup[]) => set({ ...arrangement, groups: next }),
  }
}
