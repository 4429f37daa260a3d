'use client'

import Link from 'next/link'
import { useCallback, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { schoolDaysBetween } from '@/core/planning/calendar'
import { stepOf, strandOf, type StrandId, type StrandSetId } from '@/core/skills'
import type { Action } from '@/server/answer'
import type { HouseStyle } from '@/core/house-style'
import type { addChildren, ClassRow, place, saveLinks, setLeft } from '@/server/classes'
import type { changeHouseStyle } from '@/server/house-style'
import { groupNames } from '@/core/grouping/pennants'
import { Pennant } from '../pennant'
import { Ladder } from '../charts/ladder'
import { agoInWords } from '../words'
import { AddChildrenSheet } from './add-children-sheet'
import { choose, chooseAll, nobody } from './choosing'
import { classInWords } from './class-in-words'
import { HouseStyleSheet } from './house-style-sheet'
import { LeftList } from './left-list'
import { LinksSheet, type PupilLink } from './links-sheet'
import { PlaceBar } from './place-bar'
import { PlaceSheet, type Placed } from './place-sheet'

interface Props {
  classId: string
  set: StrandSetId
  /** Those with a strand that the class works on. */
  sets: readonly { id: StrandSetId; title: string }[]
  strands: readonly StrandId[]
  style: HouseStyle
  rows: ClassRow[]
  /** The groups in use: their children can be chosen at once. */
  groups: { pennant: number; pupils: string[] }[]
  /** Children who have left. */
  left: { id: string; name: string }[]
  links: PupilLink[]
  placements: Placed[]
  today: string
  place: Action<typeof place>
  addChildren: Action<typeof addChildren>
  saveLinks: Action<typeof saveLinks>
  changeStyle: Action<typeof changeHouseStyle>
  setLeft: Action<typeof setLeft>
}

/** The class at a glance: one line a child, the working step of each strand. */
export function ClassPage(props: Props) {
  const { classId, set, strands, rows, links, placements, today, place, addChildren, saveLinks } = props
  const [placing, setPlacing] = useState<ClassRow | null>(null)
  const [chosen, setChosen] = useState(nobody)
  // Who was ticked while the page was still coming to life is chosen as well.
  const adoptTicked = useCallback((table: HTMLTableElement | null) => {
    const ticked = [...(table?.querySelectorAll<HTMLInputElement>('tbody input:checked') ?? [])]
    const ids = ticked.map(({ value }) => value)
    if (ids.length > 0) setChosen({ ids: new Set(ids), last: ids.at(-1)! })
  }, [])
  const [sheet, setSheet] = useState<'add' | 'links' | 'style' | null>(null)
  const since = (row: ClassRow) => (row.lastSeen === null ? null : schoolDaysBetween(row.lastSeen, today))
  const order = rows.map(({ id }) => id)
  // Who has left since is chosen no more.
  const placed = order.filter((id) => chosen.ids.has(id))

  return (
    <>
      <div className="headline">
        <div>
          <h1>{classInWords(rows.map(since))}</h1>
          <p>
            The dot is the step each child is working on, the band how sure we are. Select one to change it.
          </p>
        </div>
        <Button variant="quiet" onClick={() => setSheet('style')}>
          House style
        </Button>
        <Button variant="quiet" onClick={() => setSheet('links')} disabled={rows.length < 2}>
          Apart and together
        </Button>
        <Button variant={rows.length === 0 ? 'primary' : 'quiet'} onClick={() => setSheet('add')}>
          Add children
        </Button>
        {rows.length > 0 && (
          <Link className="btn btn-primary" href={`/c/${classId}/groups`}>
            To groups
          </Link>
        )}
      </div>
      {rows.length > 0 && (
        <nav className="strand-sets" aria-label="Strands shown">
          {props.sets.map(({ id, title }) => (
            <Link
              key={id}
              href={id === 'numbers' ? `/c/${classId}/class` : `/c/${classId}/class?strands=${id}`}
              aria-current={id === set ? 'true' : undefined}
              scroll={false}
            >
              {title}
            </Link>
          ))}
          {props.groups.length > 0 && (
            <span className="choose-groups">
              <span className="muted">Choose</span>
              {props.groups.map(({ pennant, pupils }) => (
                <button
                  key={pennant}
                  type="button"
                  className="btn btn-plain btn-sm"
                  aria-label={`All of ${groupNames[pennant]}`}
                  title={`All of ${groupNames[pennant]}`}
                  aria-pressed={pupils.length > 0 && pupils.every((id) => chosen.ids.has(id))}
                  onClick={() => setChosen(chooseAll(chosen, pupils))}
                >
                  <Pennant number={pennant} size={13} />
                </button>
              ))}
            </span>
          )}
        </nav>
      )}
      {rows.length > 0 && (
        <div className="class-scroll">
          <table className="class-table" ref={adoptTicked}>
            <thead>
              <tr>
                <th scope="col" className="choose">
                  <input
                    type="checkbox"
                    aria-label="Choose everybody"
                    checked={placed.length === rows.length}
                    onChange={() => setChosen(chooseAll(chosen, order))}
                  />
                </th>
                <th scope="col">Name</th>
                {strands.map((id) => (
                  <th key={id} scope="col">
                    {strandOf(id).title}
                  </th>
                ))}
                <th scope="col">Last seen</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className={chosen.ids.has(row.id) ? 'chosen' : undefined}>
                  <td className="choose">
                    <input
                      type="checkbox"
                      aria-label={`Choose ${row.name}`}
                      value={row.id}
                      checked={chosen.ids.has(row.id)}
                      onChange={({ nativeEvent }) =>
                        setChosen(choose(chosen, order, row.id, (nativeEvent as MouseEvent).shiftKey))
                      }
                    />
                  </td>
                  <th scope="row">
                    <Link href={`/c/${classId}/children/${row.id}`} prefetch={false}>
                      {row.name}
                    </Link>
                  </th>
                  {strands.map((id) => (
                    <td key={id}>
                      <StrandCell
                        strand={id}
                        cell={row.cells[id]!}
                        name={row.name}
                        onPlace={() => setPlacing(row)}
                      />
                    </td>
                  ))}
                  <td className="muted">{row.lastSeen === null ? 'not yet' : agoInWords(since(row)!)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {placed.length > 0 && (
        <PlaceBar
          key={set}
          classId={classId}
          chosen={rows.filter(({ id }) => placed.includes(id))}
          strands={strands}
          onPlace={(placements) => place({ classId, placements })}
          onDone={() => setChosen(nobody)}
        />
      )}
      <LeftList classId={classId} left={props.left} setLeft={props.setLeft} />
      {placing && (
        <PlaceSheet
          key={placing.id}
          row={placing}
          strands={strands}
          placements={placements.filter(({ pupilId }) => pupilId === placing.id)}
          onSave={(changed) => place({ classId, placements: changed })}
          onClose={() => setPlacing(null)}
        />
      )}
      {sheet === 'add' && (
        <AddChildrenSheet
          present={rows.map(({ name }) => name)}
          onSave={(list) => addChildren({ classId, list })}
          onClose={() => setSheet(null)}
        />
      )}
      {sheet === 'style' && (
        <HouseStyleSheet
          style={props.style}
          onSave={(style) => props.changeStyle({ classId, style })}
          onClose={() => setSheet(null)}
        />
      )}
      {sheet === 'links' && (
        <LinksSheet
          children={rows.map(({ id, name }) => ({ id, name }))}
          links={links}
          adultNear={rows.flatMap(({ id, adultNear }) => (adultNear ? [id] : []))}
          onSave={(next, near) => saveLinks({ classId, links: next, adultNear: near })}
          onClose={() => setSheet(null)}
        />
      )}
    </>
  )
}

function StrandCell({
  strand,
  cell,
  name,
  onPlace,
}: {
  strand: StrandId
  cell: NonNullable<ClassRow['cells'][StrandId]>
  name: string
  onPlace: () => void
}) {
  const step = cell.toCome
    ? 'not begun'
    : cell.workingStep === null
      ? 'every step secure'
      : stepOf({ strand, step: cell.workingStep }).short
  return (
    <button type="button" className="cell" onClick={onPlace} aria-label={`Place ${name}: ${step}`}>
      <Ladder strand={strand} {...cell} />
      <span className={cell.toCome ? 'muted' : undefined}>{step}</span>
    </button>
  )
}
