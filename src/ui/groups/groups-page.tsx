'use client'

import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import ProgressBar from 'react-bootstrap/ProgressBar'
import { regroupingOf, type Regrouping } from '@/core/grouping/regrouping'
import { evenSizes, requestFor } from '@/core/grouping/request'
import type { Action } from '@/server/answer'
import type { gameFit, GroupsPage as Page, saveGroups, ShownGroup } from '@/server/groups/groups'
import { CountCurve } from '../charts/count-curve'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { capital, dayInShort, lower } from '../words'
import { clashInWords } from './clash-words'
import { Lane, laneX } from './lane'
import { LimitsList } from './limits-list'
import { MakePanel, type Making } from './make-panel'
import { Moves } from './moves'
import { SelectedChild } from './selected-child'
import { useGroups } from './use-groups'
import { useMaking } from './use-making'

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
  const pennants = table.groups.map(({ pennant }) => pennant)
  const worker = useMaking(({ contradictions, clash }) =>
    setProblems(clashInWords(contradictions, clash, names, pennants)),
  )
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const focusNext = useRef<string | null>(null)

  useEffect(() => {
    // A child moved by keyboard is drawn anew in another lane: the focus goes along.
    if (!focusNext.current) return
    document.querySelector<HTMLElement>(`[data-child="${focusNext.current}"]`)?.focus()
    focusNext.current = null
  })

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

  const ids = page.children.map(({ id }) => id)
  const game = games.find(({ id }) => id === table.gameId)!
  const similar = table.mode === 'similar' || table.mode === 'hand'

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
    const locked = Object.fromEntries(
      table.locked.map((child) => [child, table.groupOf(child)]).filter(([, group]) => Number(group) < count),
    ) as Record<string, number>
    const request = requestFor(ids, fit, {
      mode,
      links: page.links,
      met: page.met,
      locked,
      adultNear: page.adultNear,
      withAdult: adultGroups(count),
      sizes: evenSizes(ids.length, count, largest, smallest),
    })
    worker.propose(request, (proposal) => table.take(proposal, ids))
  }

  /** Groups with an adult near, of so many; none chosen yet: the first. */
  function adultGroups(count: number): number[] {
    const chosen = table.groups.flatMap(({ withAdult }, g) => (withAdult && g < count ? [g] : []))
    return chosen.length > 0 ? chosen : [0]
  }

  function suggest() {
    const { request, present } = regroupingOf(ids, table.fit, table.groups, page.links, page.adultNear)
    setProblems([])
    worker.regroup(request, present, setRegroupings)
  }

  function keep(groups: readonly ShownGroup[] = table.groups, note = '') {
    const stored = groups.map(({ pennant, level, children, withAdult }) => ({
      pennant,
      withAdult,
      levelId: table.fit.levels[level].id,
      pupils: children,
      locked: table.locked.filter((child) => children.includes(child)),
      pairs: Object.fromEntries(
        children.flatMap((child) => (table.pairs[child] === undefined ? [] : [[child, table.pairs[child]]])),
      ),
    }))
    const { gameId, mode } = table
    run(
      () => save({ classId, groupingId: crypto.randomUUID(), gameId, mode, note, groups: stored }),
      () => router.refresh(),
    )
  }

  return (
    <>
      <div className="headline">
        <div>
          <h1>
            {table.fitting} of {page.children.length} in their zone; one level for all: {table.oneLevel}
          </h1>
          <p>
            {game.title}
            {!similar && (table.mode === 'pairs' ? ', in pairs' : ', own ranges in mixed groups')} ·{' '}
            {page.version && !table.changed
              ? `version ${page.version.number}, since ${dayInShort(page.version.day)}`
              : page.version
                ? `changed from version ${page.version.number}, not saved`
                : 'a first proposal, not saved yet'}
          </p>
        </div>
        {worker.busy ? (
          <div className="filling" role="status">
            <span className="small muted">
              {worker.doing === 'moves' ? 'Looking for moves …' : 'Trying groups …'}
            </span>
            <ProgressBar
              now={worker.doing === 'moves' ? 100 * worker.done : 100}
              animated={worker.doing === 'groups'}
              aria-label="Search"
            />
            <Button variant="quiet" size="sm" onClick={worker.stop}>
              Stop
            </Button>
          </div>
        ) : table.changed ? (
          <Button disabled={busy} onClick={() => keep()}>
            {busy ? 'One moment …' : page.version ? 'Save as new version' : 'Save groups'}
          </Button>
        ) : (
          <>
            <Link className={similar ? 'btn btn-quiet' : 'btn btn-primary'} href={`/c/${classId}/plan`}>
              To the plan
            </Link>
            {similar && (
              <Button variant={regroupings ? 'quiet' : 'primary'} disabled={busy} onClick={suggest}>
                Suggest moves
              </Button>
            )}
          </>
        )}
      </div>
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
        <div className="lanes">
          <div className="lane-scale" aria-hidden>
            {[
              [0.4, 'needs help'],
              [0.7, 'fitting zone, 70 to 90 % right alone'],
              [0.91, 'easy'],
            ].map(([at, word]) => (
              <span key={word} style={{ left: 216 + laneX(at as number) }}>
                {word}
              </span>
            ))}
          </div>
          <DndContext
            id="lanes"
            sensors={sensors}
            onDragEnd={({ active, over }) => {
              if (over && Number(over.id) !== table.groupOf(String(active.id)))
                table.move(String(active.id), Number(over.id))
            }}
          >
            {table.groups.map((group, position) => (
              <Lane
                key={group.pennant}
                position={position}
                group={group}
                levels={table.fit.levels}
                ownRanges={Object.keys(table.own).length > 0}
                selected={selected}
                adultChoice={page.adultNear.length > 0}
                onAdult={(withAdult) => table.setAdult(position, withAdult)}
                onLevel={(level) => table.setLevel(position, level)}
                onSelect={setSelected}
                onMove={(child, by) => {
                  const to = position + by
                  if (to < 0 || to >= table.groups.length) return
                  focusNext.current = child
                  table.move(child, to)
                }}
              >
                {group.children.map((id) => ({
                  id,
                  name: names.get(id) ?? '',
                  success: table.successOf(id, group),
                  locked: table.locked.includes(id),
                  ...(table.own[id] === undefined ? {} : { range: table.fit.levels[table.own[id]].title }),
                }))}
              </Lane>
            ))}
          </DndContext>
        </div>
        <aside className="groups-side">
          {selected ? (
            <SelectedChild
              name={names.get(selected) ?? ''}
              groups={table.groups}
              successIn={(group) => table.successOf(selected, group)}
              own={table.groupOf(selected)}
              locked={table.locked.includes(selected)}
              range={
                table.own[selected] === undefined ? undefined : table.fit.levels[table.own[selected]].title
              }
              partners={partnersOf(selected)}
              onMove={(to) => table.move(selected, to)}
              onLock={(on) => table.lock(selected, on)}
              onClose={() => setSelected(null)}
            />
          ) : regroupings ? (
            <Moves
              regroupings={regroupings}
              children={ids}
              pennants={pennants}
              names={names}
              busy={busy || worker.busy}
              onAccept={({ groups }) =>
                keep(
                  groups.map(({ level, children }, g) => ({
                    ...table.groups[g],
                    level,
                    children: children.map((child) => ids[child]),
                  })),
                  'suggested moves',
                )
              }
            />
          ) : (
            <>
              <CountCurve
                points={page.byNumber.map(({ groups, fitting }) => ({ at: groups, fitting }))}
                mark={table.groups.length}
                of={page.children.length}
              >
                {numberFinding(page.byNumber, table.groups.length)}
              </CountCurve>
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
                onRelease={(child) => table.lock(child, false)}
              />
              {page.versions.length > 0 && (
                <details className="small">
                  <summary>
                    {page.versions.length === 1 ? 'One version' : `${capital(page.versions.length)} versions`}
                  </summary>
                  <ul className="rows">
                    {page.versions.map(({ id, version, day, note }) => (
                      <li key={id}>
                        <span className="grow">
                          {version} · {dayInShort(day)} {note && <span className="muted">{note}</span>}
                        </span>
                      </li>
                    ))}
                  </ul>
                </details>
              )}
            </>
          )}
        </aside>
      </div>
    </>
  )

  /** Who plays in one pair with a child. */
  function partnersOf(child: string): string[] {
    const pair = table.pairs[child]
    return pair === undefined
      ? []
      : ids.filter((id) => id !== child && table.pairs[id] === pair).map((id) => names.get(id) ?? '')
  }
}

/** What the curve shows, in the words of its finding. */
function numberFinding(points: Page['byNumber'], now: number): string {
  const here = points.find(({ groups }) => groups === now)
  const fewer = points.find(({ groups, fitting }) => groups < now && fitting >= (here?.fitting ?? Infinity))
  if (fewer)
    return `${capital(fewer.groups)} ${fewer.groups === 1 ? 'group fits' : 'groups fit'} as well as ${lower(now)}`
  const more = points.find(({ groups, fitting }) => groups > now && fitting > (here?.fitting ?? 0))
  if (more && here)
    return `${capital(more.groups)} groups would bring ${lower(more.fitting - here.fitting)} more in`
  return 'More groups would not fit better'
}
