'use client'

import { useDraggable, useDroppable } from '@dnd-kit/core'
import Form from 'react-bootstrap/Form'
import { inBand } from '@/core/grouping/problem/fit-cost'
import type { Group } from '@/core/grouping/groups'
import { groupNames } from '@/core/grouping/pennants'
import { Pennant } from '../pennant'
import { styled } from '../styled'
import { inRows, laneHeight, laneWidth, laneX, rowHeight, type InRow } from './lane-rows'
import { band } from './use-groups'

interface Named {
  id: string
  name: string
  success: number
  locked: boolean
  /** Enough was seen of it to say how its level fits. */
  known: boolean
  /** Where it may well stand, as long as it is not known. */
  span: [number, number] | null
  /** The child's own range, where it has one. */
  range: string | undefined
}

interface LaneProps {
  group: Group
  levels: { id: string; title: string }[]
  /** Children play at levels of their own: the group has none to choose. */
  ownRanges: boolean
  children: Named[]
  selected: string | null
  /** Some child needs an adult near: then it matters which groups have one. */
  adultChoice: boolean
  onAdult: (withAdult: boolean) => void
  onLevel: (levelId: string) => void
  onSelect: (child: string) => void
  onMove: (child: string, by: number) => void
}

/** One group: its children where their predicted success at its level puts them. */
export function Lane(props: LaneProps) {
  const { group, levels, ownRanges, children, selected, adultChoice } = props
  const { onAdult, onLevel, onSelect, onMove } = props
  const { setNodeRef, isOver } = useDroppable({ id: String(group.pennant) })
  const name = groupNames[group.pennant]
  const placed = inRows(children)
  return (
    <section className="lane" aria-label={name}>
      <div className="lane-head">
        <div>
          <Pennant number={group.pennant} />
          <strong>{name}</strong> <span className="tiny muted">{children.length}</span>
          {adultChoice && (
            <Form.Check
              id={`adult-${group.pennant}`}
              className="tiny adult-choice"
              label="adult"
              title="An adult stays near this group"
              aria-label={`${name}: adult near`}
              checked={group.withAdult}
              onChange={({ target }) => onAdult(target.checked)}
            />
          )}
        </div>
        {ownRanges ? (
          <span className="tiny muted">own range for each</span>
        ) : (
          <Form.Select
            size="sm"
            aria-label={`${name}: level`}
            value={group.levelId}
            onChange={({ target }) => onLevel(target.value)}
          >
            {levels.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </Form.Select>
        )}
      </div>
      <div
        ref={(element) => {
          setNodeRef(element)
          styled({ minHeight: `${laneHeight(placed)}px` })(element)
        }}
        className={isOver ? 'lane-sea over' : 'lane-sea'}
      >
        <div
          className="zone"
          ref={styled({ left: `${laneX(band[0])}px`, width: `${laneX(band[1]) - laneX(band[0])}px` })}
        />
        {placed.map(({ id, span, row }) =>
          span ? (
            <span
              key={`span ${id}`}
              className="lane-span"
              ref={styled({
                left: `${laneX(span[0])}px`,
                width: `${Math.max(8, laneX(span[1]) - laneX(span[0]))}px`,
                top: `${8 + row * rowHeight(placed)}px`,
              })}
            />
          ) : null,
        )}
        {placed.map(({ span: _span, ...child }) => (
          <Name
            key={child.id}
            {...child}
            pitch={rowHeight(placed)}
            fits={inBand(child.success, band)}
            selected={selected === child.id}
            onSelect={() => onSelect(child.id)}
            onMove={(by) => onMove(child.id, by)}
          />
        ))}
      </div>
    </section>
  )
}

function Name({
  id,
  name,
  success,
  x,
  row,
  before,
  pitch,
  fits,
  locked,
  known,
  range,
  selected,
  onSelect,
  onMove,
}: Omit<Named, 'span'> &
  InRow & {
    /** From one row to the next, in pixels. */
    pitch: number
    fits: boolean
    selected: boolean
    onSelect: () => void
    onMove: (by: number) => void
  }) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id })
  // Written beside the name where there is no scale that tells it.
  const side = !known ? 'not known yet' : fits ? '' : success < band[0] ? 'needs help' : 'easy'
  return (
    <button
      ref={(element) => {
        setNodeRef(element)
        styled({
          left: before ? 'auto' : `${x - 8}px`,
          right: before ? `${laneWidth - x - 8}px` : 'auto',
          top: `${5 + row * pitch}px`,
          transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : '',
        })(element)
      }}
      type="button"
      {...listeners}
      className={`lane-name${before ? ' before' : ''}${known ? (fits ? '' : ' outside') : ' not-known'}${locked ? ' locked' : ''}${isDragging ? ' dragging' : ''}`}
      data-child={id}
      aria-pressed={selected}
      aria-label={`${name}${side && ` ${side}`}, ${range ? `${range}, ` : ''}${Math.round(success * 100)} in 100 right alone${locked ? ', stays here' : ''}`}
      title={range}
      onClick={onSelect}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0
        if (by === 0) return
        event.preventDefault()
        onMove(by)
      }}
    >
      <i />
      {name} {side && <span className="lane-side">{side}</span>}
    </button>
  )
}
