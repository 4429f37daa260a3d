'use client'

import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { mostGroups } from '@/core/grouping/pennants'
import type { Action } from '@/server/answer'
import type { GroupsPage as Page, proposeGroups, Regrouping, saveGroups, suggestMoves } from '@/server/groups'
import { CountCurve } from '../charts/count-curve'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { capital, dayInShort, lower } from '../words'
import { Lane, laneX } from './lane'
import { Moves } from './moves'
import { SelectedChild } from './selected-child'
import { useGroups } from './use-groups'

interface Props {
  classId: string
  page: Page
  games: { id: string; title: string }[]
  propose: Action<typeof proposeGroups>
  save: Action<typeof saveGroups>
  suggest: Action<typeof suggestMoves>
}

/** Who works with whom at which level, with the fit of it in view while it is changed. */
export function GroupsPage({ classId, page, games, propose, save, suggest }: Props) {
  const router = useRouter()
  const table = useGroups(page)
  const [selected, setSelected] = useState<string | null>(null)
  const [count, setCount] = useState(page.groups.length || 4)
  const [largest, setLargest] = useState<number | undefined>(undefined)
  const [regroupings, setRegroupings] = useState<Regrouping[] | null>(null)
  const { problems, busy, save: run } = useSaving()
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const focusNext = useRef<string | null>(null)
  const names = new Map(page.children.map(({ id, name }) => [id, name]))

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

  const groupOf = (child: string) => table.groups.findIndex(({ children }) => children.includes(child))
  const game = games.find(({ id }) => id === table.gameId)!

  function remake(gameId: string, groups: number, most = largest) {
    setCount(groups)
    setLargest(most)
    setRegroupings(null)
    run(
      () => propose({ classId, gameId, count: groups, largest: most }),
      (made) => table.set({ ...made, oneLevel: made.oneLevel.fitting }),
    )
  }

  function keep(groups = table.groups, note = '') {
    const stored = groups.map(({ pennant, level, children }) => ({
      pennant,
      levelId: table.levels[level].id,
      pupils: children,
    }))
    run(
      () => save({ classId, groupingId: crypto.randomUUID(), gameId: table.gameId, note, groups: stored }),
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
            {game.title} ·{' '}
            {page.version && !table.changed
              ? `version ${page.version.number}, since ${dayInShort(page.version.day)}`
              : page.version
                ? `changed from version ${page.version.number}, not saved`
                : 'a first proposal, not saved yet'}
          </p>
        </div>
        {table.changed ? (
          <Button disabled={busy} onClick={() => keep()}>
            {busy ? 'One moment …' : page.version ? 'Save as new version' : 'Save groups'}
          </Button>
        ) : (
          <>
            <Link className="btn btn-quiet" href={`/c/${classId}/plan`}>
              To the plan
            </Link>
            <Button
              variant={regroupings ? 'quiet' : 'primary'}
              disabled={busy}
              onClick={() => run(() => suggest({ classId }), setRegroupings)}
            >
              {busy ? 'Looking …' : 'Suggest moves'}
            </Button>
          </>
        )}
      </div>
      <Problems
        problems={[
          ...problems,
          ...table.brokenLinks.map(
            ({ kind, a, b }) => `${names.get(a)} and ${names.get(b)} are to be kept ${kind}.`,
          ),
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
              if (over && Number(over.id) !== groupOf(String(active.id)))
                table.move(String(active.id), Number(over.id))
            }}
          >
            {table.groups.map((group, position) => (
              <Lane
                key={group.pennant}
                position={position}
                group={group}
                levels={table.levels}
                selected={selected}
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
                  success: table.success[id][group.level],
                }))}
              </Lane>
            ))}
          </DndContext>
        </div>
        <aside className="groups-side">
          {selected ? (
            <SelectedChild
              name={names.get(selected) ?? ''}
              success={table.success[selected]}
              groups={table.groups}
              own={groupOf(selected)}
              onMove={(to) => table.move(selected, to)}
              onClose={() => setSelected(null)}
            />
          ) : regroupings ? (
            <Moves
              regroupings={regroupings}
              names={names}
              busy={busy}
              onAccept={(made) => keep(made.groups, 'suggested moves')}
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
              <div className="remake">
                <Form.Group controlId="focus-game">
                  <Form.Label className="small">Level by</Form.Label>
                  <Form.Select
                    size="sm"
                    value={table.gameId}
                    disabled={busy}
                    onChange={({ target }) => remake(target.value, count)}
                  >
                    {games.map(({ id, title }) => (
                      <option key={id} value={id}>
                        {title}
                      </option>
                    ))}
                  </Form.Select>
                </Form.Group>
                <Form.Group controlId="group-count">
                  <Form.Label className="small">Groups</Form.Label>
                  <Form.Select
                    size="sm"
                    value={count}
                    disabled={busy}
                    onChange={({ target }) => remake(table.gameId, Number(target.value))}
                  >
                    {Array.from({ length: Math.min(mostGroups, page.children.length) }, (_, i) => i + 1).map(
                      (number) => (
                        <option key={number}>{number}</option>
                      ),
                    )}
                  </Form.Select>
                </Form.Group>
                <Form.Group controlId="group-size">
                  <Form.Label className="small">At most in a group</Form.Label>
                  <Form.Select
                    size="sm"
                    value={largest ?? ''}
                    disabled={busy}
                    onChange={({ target }) => remake(table.gameId, count, Number(target.value) || undefined)}
                  >
                    <option value="">about even</option>
                    {sizesFor(page.children.length, count).map((size) => (
                      <option key={size}>{size}</option>
                    ))}
                  </Form.Select>
                </Form.Group>
                <Button variant="quiet" size="sm" disabled={busy} onClick={() => remake(table.gameId, count)}>
                  Make anew
                </Button>
              </div>
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
}

/** Largest groups to choose from: from a fair share up to four more. */
function sizesFor(children: number, count: number): number[] {
  return Array.from({ length: 5 }, (_, more) => Math.ceil(children / count) + more)
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
