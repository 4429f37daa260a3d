'use client'

import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { useLayoutEffect, useRef } from 'react'
import { styled } from '../styled'
import { Lane } from './lane'
import { laneX } from './lane-rows'
import type { useGroups } from './use-groups'

/** Where the words of the scale stand, by predicted success. */
const scale = [
  [0.4, 'needs help'],
  [0.7, 'fitting zone, 70 to 90 % right alone'],
  [0.91, 'easy'],
] as const

/** A lane for each group; names are dragged, or moved by arrow keys. */
export function Lanes({
  table,
  names,
  adultChoice,
  selected,
  onSelect,
}: {
  table: ReturnType<typeof useGroups>
  names: ReadonlyMap<string, string>
  adultChoice: boolean
  selected: string | null
  onSelect: (child: string) => void
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const focusNext = useRef<{ child: string; to: number } | null>(null)

  // A child moved by keyboard is drawn anew in another lane: the focus goes along. In the commit
  // itself: an effect that waits for the paint may belong to an earlier drawing (a save that came
  // back), find the child where it stood and let the focus go with it.
  useLayoutEffect(() => {
    const next = focusNext.current
    if (!next || table.groupOf(next.child) !== next.to) return
    document.querySelector<HTMLElement>(`[data-child="${next.child}"]`)?.focus()
    focusNext.current = null
  })

  return (
    <div className="lanes">
      <div className="lane-scale" aria-hidden>
        {scale.map(([at, word]) => (
          <span key={word} ref={styled({ left: `${216 + laneX(at)}px` })}>
            {word}
          </span>
        ))}
      </div>
      {table.waiting.length > 0 && (
        <section className="lane waiting" aria-label="Not in a group yet">
          <strong className="small">Not in a group yet</strong>
          {table.waiting.map((id) => (
            <button
              key={id}
              type="button"
              className="lane-name"
              data-child={id}
              aria-pressed={selected === id}
              onClick={() => onSelect(id)}
            >
              <i />
              {names.get(id)}
            </button>
          ))}
        </section>
      )}
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
            group={group}
            levels={table.fit.levels}
            ownRanges={Object.keys(table.own).length > 0}
            selected={selected}
            adultChoice={adultChoice}
            onAdult={(withAdult) => table.setAdult(group.pennant, withAdult)}
            onLevel={(levelId) => table.setLevel(group.pennant, levelId)}
            onSelect={onSelect}
            onMove={(child, by) => {
              const to = table.groups[position + by]
              if (!to) return
              focusNext.current = { child, to: to.pennant }
              table.move(child, to.pennant)
            }}
          >
            {group.pupils.map((id) => ({
              id,
              name: names.get(id) ?? '',
              success: table.successOf(id, group),
              locked: table.locked.includes(id),
              known: !table.fit.notKnown.includes(id),
              span: table.spanOf(id, group),
              range: table.rangeOf(id),
            }))}
          </Lane>
        ))}
      </DndContext>
    </div>
  )
}
