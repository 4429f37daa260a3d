'use client'

import { tableMarks } from '@/core/drawing/table'
import type { Mark } from '@/core/drawing/marks'
import type { Layout, Scene } from '@/core/table'
import { MarkShape } from './mark-shape'

interface Props {
  layout: Layout
  scene: Scene
  /** What the picture is, for who can't see it. */
  name: string
  /** Marks over the table: hops, a ring round what is meant. */
  over?: readonly Mark[]
  /** Things glide to where they are moved; off in a picture that stands still. */
  glide?: boolean
  /** Spots that can be tapped, with what a tap does in words. */
  live?: ReadonlyMap<string, string>
  onSpot?: (id: string) => void
}

/**
 * A table with what lies on it, crisp at any size; things glide to where they are moved. Drawn whole by the browser too:
 * pieces of a picture that the server sends one by one would come hidden by an inline style, which the policy forbids.
 */
export function Board({ layout, scene, name, over = [], glide = false, live, onSpot }: Props) {
  return (
    <svg
      className="board"
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      role={live ? 'group' : 'img'}
      aria-label={name}
    >
      {tableMarks(layout, scene).map((mark, i) => (
        <MarkShape key={mark.op === 'group' ? mark.id : i} mark={mark} glide={glide} />
      ))}
      {over.map((mark, i) => (
        <MarkShape key={`over ${i}`} mark={mark} />
      ))}
      {live &&
        layout.spots
          .filter(({ id }) => live.has(id))
          .map(({ id, at, size }) => (
            <rect
              key={id}
              className="board-live"
              role="button"
              tabIndex={0}
              aria-label={live.get(id)}
              data-live={id}
              x={at[0] - size[0] / 2 - 1}
              y={at[1] - size[1] / 2 - 1}
              width={size[0] + 2}
              height={size[1] + 2}
              rx={2}
              onClick={() => onSpot?.(id)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return
                event.preventDefault()
                event.stopPropagation()
                onSpot?.(id)
              }}
            />
          ))}
    </svg>
  )
}
