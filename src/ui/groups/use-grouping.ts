'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { GroupsDraft } from '@/core/grouping/draft'
import type { Group } from '@/core/grouping/groups'
import { atLevelsOf } from '@/core/grouping/in-zone'
import type { Regrouping } from '@/core/grouping/regrouping/regrouping'
import { regroupingRequest } from '@/core/grouping/regrouping/request'
import type { ClassFit } from '@/core/grouping/request'
import type { Action } from '@/server/answer'
import type { discardDraft } from '@/server/drafts/drafts'
import type { earlierGroups, gameFit, GroupsPage, saveGroups } from '@/server/groups/groups'
import { newId } from '../new-id'
import { useSaving } from '../sheets/use-saving'
import { clashInWords, unevenInWords } from './clash-words'
import type { Making } from './make-panel'
import { asKept, requestOf } from './proposal'
import { useGroups } from './use-groups'
import { useMaking } from './use-making'

export interface GroupsActions {
  gameFit: Action<typeof gameFit>
  earlierGroups: Action<typeof earlierGroups>
  save: Action<typeof saveGroups>
  discard: Action<typeof discardDraft>
}

/** The choices that groups were made by; sizes are chosen anew each time. */
const makingOf = ({ mode, gameId, groups }: Pick<GroupsDraft, 'mode' | 'gameId' | 'groups'>): Making => ({
  mode,
  gameId,
  count: groups.length || 4,
  smallest: undefined,
  largest: undefined,
})

/** What can be done with the groups on the table: made anew, moved, taken back, taken into use. */
export function useGrouping(
  classId: string,
  page: GroupsPage,
  { gameFit, earlierGroups, save, discard }: GroupsActions,
) {
  const router = useRouter()
  const table = useGroups(classId, page)
  const [making, setMaking] = useState<Making>(makingOf(table))
  const [regroupings, setRegroupings] = useState<Regrouping[] | null>(null)
  const [uneven, setUneven] = useState<string | null>(null)
  const { problems, busy, save: run, setProblems } = useSaving()
  const ids = page.children.map(({ id }) => id)
  const names = new Map(page.children.map(({ id, name }) => [id, name]))
  const worker = useMaking(
    ({ contradictions, clash }) => setProblems(clashInWords(contradictions, clash, names)),
    () => setProblems(['The search broke off. The groups stay as they are.']),
  )

  function remake(part: Partial<Making>) {
    const next = { ...making, ...part }
    setMaking(next)
    setRegroupings(null)
    withFit(next.gameId, (fit) => propose(next, fit))
  }

  /** Does something once it is known what the class can do at the levels of a game. */
  function withFit(gameId: string, then: (fit: ClassFit) => void) {
    const known = table.fitOf(gameId)
    if (known) return then(known)
    run(
      () => gameFit({ classId, gameId }),
      (fit) => {
        table.learn(gameId, fit)
        then(fit)
      },
    )
  }

  function propose({ mode, gameId, count, largest, smallest }: Making, fit: ClassFit) {
    const how = { mode, gameId, note: '' }
    if (mode === 'hand') return table.put({ groups: atLevelsOf(fit, table.groups), own: {}, pairs: {} }, how)
    setProblems([])
    const request = requestOf(ids, fit, table, page, { mode, gameId, count, largest, smallest })
    let first = true
    worker.propose(request, ({ uneven, ...made }) => {
      setUneven(uneven ? unevenInWords(uneven, names, page.links) : null)
      if (first) table.put(made, how)
      else table.better(made, how)
      first = false
    })
  }

  /** Puts an earlier version on the table, to be kept as a new one. */
  function takeBack({ id, version }: GroupsPage['versions'][number]) {
    hand(() =>
      run(
        () => earlierGroups({ classId, groupingId: id }),
        ({ fit, ...earlier }) => {
          table.learn(earlier.gameId, fit)
          table.put(earlier, { ...earlier, note: `version ${version} taken back` })
          setMaking(makingOf(earlier))
        },
      ),
    )
  }

  /** A change by hand: a search that is under way was about other groups. */
  function hand(change: () => void) {
    worker.stop()
    setRegroupings(null)
    setUneven(null)
    change()
  }
  const byHand: typeof table = {
    ...table,
    move: (child, to) => hand(() => table.move(child, to)),
    swap: (a, b) => hand(() => table.swap(a, b)),
    lock: (child, on) => hand(() => table.lock(child, on)),
    setAdult: (group, withAdult) => hand(() => table.setAdult(group, withAdult)),
    setLevel: (group, levelId) => hand(() => table.setLevel(group, levelId)),
  }

  function suggest() {
    if (table.groups.every(({ pupils }) => pupils.length === 0))
      return setProblems(['Nobody is in these groups, so nobody can be moved. Make them anew.'])
    const request = regroupingRequest(ids, table.fit, table.groups, page.links, page.adultNear)
    setProblems([])
    worker.regroup(request, table.groups, setRegroupings)
  }

  /** One step back or forth, or to the other of two drafts that met, with the choices they were made by. */
  function travel(step: 'undo' | 'redo' | 'other') {
    const { before, next, other } = table.draft
    const to = { undo: before, redo: next, other }[step]
    if (!to) return
    hand(() =>
      withFit(to.gameId, () => {
        if (step === 'other') table.draft.showOther()
        else table.draft.take(step)
        setMaking(makingOf(to))
      }),
    )
  }

  function throwAway() {
    run(
      () => discard({ classId, kind: 'groups' }),
      () =>
        hand(() => {
          table.draft.cleared()
          setMaking(makingOf(page.standing))
        }),
    )
  }

  function keep(groups: readonly Group[] = table.groups, how = table.note) {
    const stored = asKept(groups, table)
    const { gameId, mode } = table
    run(
      async () => {
        await table.draft.idle()
        return save({ classId, groupingId: newId(), gameId, mode, note: how, groups: stored })
      },
      () => router.refresh(),
    )
  }

  return {
    table: byHand,
    names,
    making,
    worker,
    busy,
    regroupings,
    problems: [...problems, ...(uneven ? [uneven] : [])],
    remake,
    takeBack,
    suggest,
    travel,
    throwAway,
    keep,
    /** Suggested moves are put on the table, to be looked at there. */
    tryOut: ({ groups }: Regrouping) =>
      hand(() => table.put({ groups, own: {}, pairs: {} }, { note: 'suggested moves' })),
    dismiss: () => setRegroupings(null),
  }
}
