'use client'

import Link from 'next/link'
import { useState } from 'react'
import { pennantsFor } from '@/core/grouping/groups'
import { eachItsOwn } from '@/core/grouping/making/mode'
import { atOneLevel } from '@/core/grouping/in-zone'
import { evenSizes, requestFor } from '@/core/grouping/request'
import type { GroupsPage as Page } from '@/server/groups/groups'
import { DraftLine } from '../drafts/draft-line'
import { Problems } from '../problems'
import { Headline } from './headline'
import { titleOf } from './headline-words'
import { Lanes } from './lanes'
import { LimitsList } from './limits-list'
import { MakePanel } from './make-panel'
import { Moves } from './moves'
import { NumberCurve } from './number-curve'
import { SelectedChild } from './selected-child'
import { useGrouping, type GroupsActions } from './use-grouping'
import { useMovesAtOnce } from './use-moves-at-once'
import { useNumberCurve } from './use-number-curve'
import { Versions } from './versions'

interface Props extends GroupsActions {
  classId: string
  page: Page
  /** Who comes to review moves has them looked for at once. */
  movesAtOnce: boolean
}

/** Who works with whom at which level, with the fit of it in view while it is changed. */
export function GroupsPage({ classId, page, movesAtOnce, ...actions }: Props) {
  const grouping = useGrouping(classId, page, actions)
  const { table, names, worker, busy, regroupings } = grouping
  const [selected, setSelected] = useState<string | null>(null)
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
  useMovesAtOnce(movesAtOnce, classId, () => {
    if (page.version && !table.changed && !eachItsOwn(table.mode)) grouping.suggest()
  })
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
        onSave={() => grouping.keep()}
        onSuggest={grouping.suggest}
      >
        <DraftLine
          draft={table.draft}
          what="groups"
          busy={busy || worker.busy}
          onShowOther={() => grouping.travel('other')}
          onUndo={() => grouping.travel('undo')}
          onRedo={() => grouping.travel('redo')}
          onDiscard={grouping.throwAway}
        />
      </Headline>
      <Problems
        problems={[
          ...grouping.problems,
          ...table.brokenLinks.map(
            ({ kind, a, b }) => `${names.get(a)} and ${names.get(b)} are to be kept ${kind}.`,
          ),
          ...table.withoutAdult.map((child) => `${names.get(child)} needs an adult near.`),
        ]}
      />
      <div className="columns">
        <Lanes
          table={table}
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
              onSwap={(other) => table.swap(selected, other)}
              partners={table.partnersOf(selected).map((id) => names.get(id) ?? '')}
              onMove={(to) => table.move(selected, to)}
              onLock={(on) => table.lock(selected, on)}
              onClose={() => setSelected(null)}
            />
          ) : regroupings ? (
            <Moves
              regroupings={regroupings}
              names={names}
              levels={table.fit.levels}
              busy={busy || worker.busy}
              onAccept={({ groups }) => grouping.keep(groups, 'suggested moves')}
              onTry={grouping.tryOut}
              onDismiss={grouping.dismiss}
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
                making={grouping.making}
                children={ids.length}
                games={page.games}
                busy={busy || worker.busy}
                onChange={grouping.remake}
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
              <Versions
                versions={page.versions}
                now={page.version?.number ?? null}
                busy={busy}
                onTakeBack={grouping.takeBack}
              />
            </>
          )}
        </aside>
      </div>
    </>
  )
}
