'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { GroupsDraft } from '@/core/grouping/draft'
import { pennantsFor, type Group } from '@/core/grouping/groups'
import { regroupingRequest, type Regrouping } from '@/core/grouping/regrouping/regrouping'
import { atLevelsOf, atOneLevel } from '@/core/grouping/in-zone'
import { evenSizes, requestFor, type ClassFit } from '@/core/grouping/request'
import type { Action } from '@/server/answer'
import type { earlierGroups, gameFit, GroupsPage as Page, saveGroups } from '@/server/groups/groups'
import type { discardDraft } from '@/server/drafts/drafts'
import { DraftLine } from '../drafts/draft-line'
import { newId } from '../new-id'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { clashInWords, unevenInWords } from './clash-words'
import { Headline } from './headline'
import { titleOf } from './headline-words'
import { Lanes } from './lanes'
import { LimitsList } from './limits-list'
import { MakePanel, type Making } from './make-panel'
import { Moves } from './moves'
import { NumberCurve } from './number-curve'
import { SelectedChild } from './selected-child'
import { useGroups } from './use-groups'
import { useMaking } from './use-making'
import { useNumberCurve } from './use-number-curve'
import { Versions } from './versions'

interface Props {
  classId: string
  page: Page
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

/** Who works with whom at which level, with the fit of it in view while it is changed. */
export function GroupsPage({ classId, page, gameFit, earlierGroups, save, discard }: Props) {
  const router = useRouter()
  const table = useGroups(classId, page)
  const [selected, setSelected] = useState<string | null>(null)
  const [making, setMaking] = useState<Making>(makingOf(table))
  const [regroupings, setRegroupings] = useState<Regrouping[] | null>(null)
  const [uneven, setUneven] = useState<string | null>(null)
  const { problems, busy, save: run, setProblems } = useSaving()
  const names = new Map(page.children.map(({ id, name }) => [id, name]))
  const worker = useMaking(
    ({ contradictions, clash }) => setProblems(clashInWords(contradictions, clash, names)),
    () => setProblems(['The search broke off. The groups stay as they are.']),
  )
  const ids = page.children.map(({ id }) => id)
  // As it would be proposed with so many groups, whoever is in which now.
  const curve = useNumberCurve(ids, table.fit, (count) =>
    requestFor(ids, table.fit, {
      links: page.links,
      pennants: pennantsFor([], count),
      sizes: evenSizes(ids.length, count),
      evenly: true,
    }),
  )
  const oneLevel = atOneLevel(table.fit, ids)
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
      evenly: largest === undefined && smallest === undefined,
    })
    let first = true
    worker.propose(request, ({ uneven, ...made }) => {
      setUneven(uneven ? unevenInWords(uneven, names) : null)
      if (first) table.put(made, how)
      else table.better(made, how)
      first = false
    })
  }

  /** Puts an earlier version on the table, to be kept as a new one. */
  function takeBack({ id, version }: Page['versions'][number]) {
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
    const request = regroupingRequest(ids, table.fit, table.groups, page.links, page.adultNear)
    setProblems([])
    worker.regroup(request, table.groups, setRegroupings)
  }

  /** One step back or forth, with the choices they were made by. */
  function travel(step: 'undo' | 'redo') {
    const to = step === 'undo' ? table.draft.before : table.draft.next
    if (!to) return
    hand(() =>
      withFit(to.gameId, () => {
        table.draft.take(step)
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
    const stored = groups.map((group) => ({
      ...group,
      locked: table.locked.filter((child) => group.pupils.includes(child)),
      pairs: Object.fromEntries(
        Object.entries(table.pairs).filter(([child]) => group.pupils.includes(child)),
      ),
    }))
    const { gameId, mode } = table
    run(
      () => save({ classId, groupingId: newId(), gameId, mode, note: how, groups: stored }),
      () => router.refresh(),
    )
  }

  return (
    <>
      <Headline
        classId={classId}
        title={titleOf(table.inZone, oneLevel)}
        game={page.games.find(({ id }) => id === table.gameId)!.title}
        mode={table.mode}
        version={page.version}
        changed={table.changed}
        search={worker}
        busy={busy}
        suggested={regroupings !== null}
        onSave={() => keep()}
        onSuggest={suggest}
      >
        <DraftLine
          draft={table.draft}
          what="groups"
          busy={busy || worker.busy}
          onUndo={() => travel('undo')}
          onRedo={() => travel('redo')}
          onDiscard={throwAway}
        />
      </Headline>
      <Problems
        problems={[
          ...problems,
          ...(uneven ? [uneven] : []),
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
          {selected ? (
            <SelectedChild
              name={names.get(selected) ?? ''}
              groups={table.groups}
              successIn={(group) => table.successOf(selected, group)}
              own={selectedGroup ?? null}
              locked={table.locked.includes(selected)}
              range={table.rangeOf(selected)}
              others={table.groups
                .filter(({ pupils }) => !pupils.includes(selected))
                .flatMap(({ pupils }) => pupils.map((id) => ({ id, name: names.get(id) ?? '' })))}
              onSwap={(other) => byHand.swap(selected, other)}
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
              onTry={({ groups }) =>
                hand(() => table.put({ groups, own: {}, pairs: {} }, { note: 'suggested moves' }))
              }
              onDismiss={() => setRegroupings(null)}
            />
          ) : (
            <>
              {table.mode === 'mixed' || table.mode === 'pairs' ? (
                <p className="small muted">
                  Each plays at an own range: how many groups there are changes nothing for who is in their
                  zone.
                </p>
              ) : curve.done ? (
                <NumberCurve
                  points={curve.points}
                  now={{ groups: table.groups.length, fitting: table.inZone.fitting }}
                  oneLevel={oneLevel.fitting}
                  of={table.inZone.known}
                />
              ) : (
                <div className="curve-coming" role="status">
                  <span className="small muted">How many groups are worth it? Trying …</span>
                  <progress value={curve.tried} max={curve.of} aria-label="Numbers of groups tried" />
                </div>
              )}
              <MakePanel
                making={making}
                children={ids.length}
                games={page.games}
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
              <Versions
                versions={page.versions}
                now={page.version?.number ?? null}
                busy={busy}
                onTakeBack={takeBack}
              />
            </>
          )}
        </aside>
      </div>
    </>
  )
}
