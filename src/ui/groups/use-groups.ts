'use client'

import { useState } from 'react'
import type { GroupsDraft } from '@/core/grouping/draft'
import type { Group, Groups } from '@/core/grouping/groups'
import { childrenInZone, successInGroup } from '@/core/grouping/in-zone'
import type { ClassFit } from '@/core/grouping/request'
import type { GroupsPage } from '@/server/groups/groups'
import { useDraft } from '../drafts/use-draft'
import { locked, moved, swapped, withGroup } from './arrangement'

export const band = [0.7, 0.9] as const

/** The groups on the table: a draft that is measured at once, and in use when the teacher says so. */
export function useGroups(classId: string, page: GroupsPage) {
  const draft = useDraft(classId, 'groups', page.standing, page.draft)
  /** What the class can do at the levels of each game that was on the table, by game. */
  const [fits, setFits] = useState(page.fits)
  const { value, take } = draft
  const { gameId, groups, own, pairs } = value
  const fit = fits[gameId]

  /** A change by hand. */
  const change = (to: (now: GroupsDraft) => GroupsDraft) => take({ do: to(draft.latest.current.now) })
  const level = (id: string) => fit.levels.findIndex((one) => one.id === id)
  const proposed = ({ groups, own, pairs }: Groups, part: Partial<GroupsDraft>): GroupsDraft => ({
    ...draft.latest.current.now,
    ...part,
    groups,
    own,
    pairs,
  })
  return {
    ...value,
    fit,
    draft,
    /** True if something is on the table that is not in use. */
    changed: draft.changed || page.version === null,
    /** The fit of a game, where it is known on this page. */
    fitOf: (gameId: string): ClassFit | undefined => fits[gameId],
    learn: (gameId: string, found: ClassFit) => setFits((known) => ({ ...known, [gameId]: found })),
    successOf: (child: string, group: Group) => successInGroup(fit, child, group, own),
    /** Of a child that is not known yet: from what to what share it may well get right alone. */
    spanOf: (child: string, group: Group): [number, number] | null => {
      const span = fit.spans[child]
      const at = Math.max(0, level(own[child] ?? group.levelId))
      return span ? [span.low[at], span.high[at]] : null
    },
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
    move: (child: string, to: number) => change((now) => moved(now, child, to)),
    swap: (a: string, b: string) => change((now) => swapped(now, a, b)),
    lock: (child: string, on: boolean) => change((now) => locked(now, child, on)),
    setAdult: (pennant: number, withAdult: boolean) =>
      change((now) => withGroup(now, pennant, { withAdult })),
    setLevel: (pennant: number, levelId: string) => change((now) => withGroup(now, pennant, { levelId })),
    /** Other groups take the place of those on the table, as one step. */
    put: (groups: Groups, part: Partial<GroupsDraft> = {}) => take({ do: proposed(groups, part) }),
    /** Better ones of the same search: no step of their own. */
    better: (groups: Groups, part: Partial<GroupsDraft> = {}) => take({ amend: proposed(groups, part) }),
  }
}
