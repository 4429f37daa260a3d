'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { pennantsFor, type Group } from '@/core/grouping/groups'
import { regroupingRequest, type Regrouping } from '@/core/grouping/regrouping'
import { evenSizes, requestFor } from '@/core/grouping/request'
import type { Action } from '@/server/answer'
import type { gameFit, GroupsPage as Page, saveGroups } from '@/server/groups/groups'
import { CountCurve } from '../charts/count-curve'
import { newId } from '../new-id'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { clashInWords } from './clash-words'
import { Headline } from './headline'
import { Lanes } from './lanes'
import { LimitsList } from './limits-list'
import { MakePanel, type Making } from './make-panel'
import { Moves } from './moves'
import { numberFinding } from './number-finding'
import { SelectedChild } from './selected-child'
import { useGroups } from './use-groups'
import { useMaking } from './use-making'
import { useNumberCurve } from './use-number-curve'
import { Versions } from './versions'

interface Props {
  classId: string
  page: Page
  games: { id: string; title: string }[]
  gameFit: Action<typeof gameFit>
  save: Action<typeof saveGroups>
}

/** Who works with whom at which level, with the fit of it in view while it is changed. */
export function GroupsPage({ classId, page, games, gameFit, save }: Props) {
  const router = useRouter()
  const table = useGroups(page)
  const [selected, setSelected] = useState<string | null>(null)
  const [making, setMaking] = useState<Making>({
    mode: page.mode,
    gameId: page.gameId,
    count: page.groups.length || 4,
    smallest: undefined,
    largest: undefined,
  })
  const [regroupings, setRegroupings] = useState<Regrouping[] | null>(null)
  const { problems, busy, save: run, setProblems } = useSaving()
  const names = new Map(page.children.map(({ id, name }) => [id, name]))
  const worker = useMaking(
    ({ contradictions, clash }) => setProblems(clashInWords(contradictions, clash, names)),
    () => setProblems(['The search broke off. The groups stay as they are.']),
  )
  const ids = page.children.map(({ id }) => id)
  const curve = useNumberCurve(ids, table.fit)
  const selectedGroup = table.groups.find(({ pupils }) => selected && pupils.includes(selected))
  if (page.children.length === 0)
    return (
      <div className="empty">
        <h1>No children to group yet</h1>
        <p>Paste first names, and the first groups are made at once.</p>
        <Link className="btn btn-primary" href={`/c/${classId}/class`}>
          To the class
        </Link>
      </div>
    )

  function remake(part: Partial<Making>) {
    const next = { ...making, ...part }
    setMaking(next)
    setRegroupings(null)
    if (next.gameId === table.gameId) return propose(next, table.fit)
    run(
      () => gameFit({ classId, gameId: next.gameId }),
      ({ oneLevel, ...fit }) => {
        table.set({ gameId: next.gameId, fit, oneLevel, own: {} })
        propose(next, fit)
      },
    )
  }

  function propose({ mode, count, largest, smallest }: Making, fit = table.fit) {
    table.set({ mode })
    if (mode === 'hand') return table.set({ own: {}, pairs: {} })
    setProblems([])
    const standing = table.groups.map(({ pennant }) => pennant)
    const pennants = pennantsFor(standing, count)
    const locked = table.locked.flatMap((child) => {
      const group = table.groupOf(child)
      return group !== undefined && pennants.includes(group) ? [[child, group] as const] : []
    })
    const request = requestFor(ids, fit, {
      mode,
      // The groups that stand give the new ones their names, by who is in them.
      current: Object.fromEntries(
        table.groups.flatMap(({ pennant, pupils }) => pupils.map((id) => [id, pennant])),
      ),
      links: page.links,
      met: page.met,
      locked: Object.fromEntries(locked),
      adultNear: page.adultNear,
      pennants,
      withAdult: adultGroups(pennants),
      sizes: evenSizes(ids.length, count, largest, smallest),
    })
    worker.propose(request, table.take)
  }

  /** Of these groups those with an adult near; none chosen yet: the first. */
  function adultGroups(pennants: readonly number[]): number[] {
    const chosen = table.groups.flatMap(({ withAdult, pennant }) => (withAdult ? [pennant] : []))
    const there = chosen.filter((pennant) => pennants.includes(pennant))
    return there.length > 0 ? there : pennants.slice(0, 1)
  }

  /** A change by hand: a search that is under way was about other groups. */
  function hand(change: () => void) {
    worker.stop()
    setRegroupings(null)
    change()
  }
  const byHand: typeof table = {
    ...table,
    move: (child, to) => hand(() => table.move(child, to)),
    lock: (child, on) => hand(() => table.lock(child, on)),
    setAdult: (group, withAdult) => hand(() => table.setAdult(group, withAdult)),
    setLevel: (group, levelId) => hand(() => table.setLevel(group, levelId)),
  }

  function suggest() {
    const request = regroupingRequest(ids, table.fit, table.groups, page.links, page.adultNear)
    setProblems([])
    worker.regroup(request, table.groups, setRegroupings)
  }

  function keep(groups: readonly Group[] = table.groups, note = '') {
    const stored = groups.map((group) => ({
      ...group,
      locked: table.locked.filter((child) => group.pupils.includes(child)),
      pairs: Object.fromEntries(
        Object.entries(table.pairs).filter(([child]) => group.pupils.includes(child)),
      ),
    }))
    const { gameId, mode } = table
    run(
      () => save({ classId, groupingId: newId(), gameId, mode, note, groups: stored }),
      () => router.refresh(),
    )
  }

  return (
    <>
      <Headline
        classId={classId}
        title={`${table.fitting} of ${ids.length} in their zone; one level for all: ${table.oneLevel}`}
        game={games.find(({ id }) => id === table.gameId)!.title}
        mode={table.mode}
        version={page.version}
        changed={table.changed}
        search={worker}
        busy={busy}
        suggested={regroupings !== null}
        onSave={() => keep()}
        onSuggest={suggest}
      />
      <Problems
        problems={[
          ...problems,
          ...table.brokenLinks.map(
            ({ kind, a, b }) => `${names.get(a)} and ${names.get(b)} are to be kept ${kind}.`,
          ),
          ...table.withoutAdult.map((child) => `${names.get(child)} needs an adult near.`),
        ]}
      />
      <div className="columns">
        <Lanes
          table={byHand}
          names={names}
          adultChoice={page.adultNear.length > 0}
          selected={selected}
          onSelect={setSelected}
        />
        <aside className="groups-side">
          {selected && selectedGroup ? (
            <SelectedChild
              name={names.get(selected) ?? ''}
              groups={table.groups}
              successIn={(group) => table.successOf(selected, group)}
              own={selectedGroup}
              locked={table.locked.includes(selected)}
              range={table.rangeOf(selected)}
              partners={table.partnersOf(selected).map((id) => names.get(id) ?? '')}
              onMove={(to) => byHand.move(selected, to)}
              onLock={(on) => byHand.lock(selected, on)}
              onClose={() => setSelected(null)}
            />
          ) : regroupings ? (
            <Moves
              regroupings={regroupings}
              names={names}
              levels={table.fit.levels}
              busy={busy || worker.busy}
              onAccept={({ groups }) => keep(groups, 'suggested moves')}
            />
          ) : (
            <>
              {curve.done ? (
                <CountCurve
                  points={curve.points.map(({ groups, fitting }) => ({ at: groups, fitting }))}
                  mark={table.groups.length}
                  of={ids.length}
                >
                  {numberFinding(curve.points, table.groups.length)}
                </CountCurve>
              ) : (
                <div className="curve-coming" role="status">
                  <span className="small muted">How many groups are worth it? Trying …</span>
                  <progress value={curve.points.length} max={curve.of} aria-label="Numbers of groups tried" />
                </div>
              )}
              <MakePanel
                making={making}
                children={ids.length}
                games={games}
                busy={busy || worker.busy}
                onChange={remake}
              />
              <LimitsList
                classId={classId}
                locked={table.locked}
                adultNear={page.adultNear}
                links={page.links}
                groups={table.groups}
                names={names}
                onRelease={(child) => byHand.lock(child, false)}
              />
              <Versions versions={page.versions} />
            </>
          )}
        </aside>
      </div>
    </>
  )
}
