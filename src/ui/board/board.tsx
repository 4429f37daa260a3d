import { tableMarks } from '@/core/drawing/table'
import type { Mark } from '@/core/drawing/marks'
import type { Layout, Scene } from '@/core/table'
import { styled } from '../styled'

interface Props {
  layout: Layout
  scene: Scene
  /** What the picture is, for who can't see it. */
  name: string
  /** Marks over the table: hops, a ring round what is meant. */
  over?: readonly Mark[]
  /** Spots that can be tapped, with what a tap does in words. */
  /** Things glide to where they are moved; off in a picture that stands still, which the server draws. */
  glide?: boolean
  live?: ReadonlyMap<string, string>
  onSpot?: (id: string) => void
}

/** A table with what lies on it, crisp at any size; things glide to where they are moved. */
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

/** One mark as SVG. Colours are classes, so that daylight and dark know their own. */
function MarkShape({ mark, glide = false }: { mark: Mark; glide?: boolean }) {
  switch (mark.op) {
    case 'path':
      return (
        <path
          d={mark.d}
          className={`fill-${mark.fill} stroke-${mark.stroke}`}
          strokeWidth={mark.line}
          strokeDasharray={mark.dashed ? `0 ${mark.line * 4}` : undefined}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )
    case 'circle':
      return (
        <circle
          cx={mark.x}
          cy={mark.y}
          r={mark.r}
          className={`fill-${mark.fill} stroke-${mark.stroke}`}
          strokeWidth={mark.line}
        />
      )
    case 'rect':
      return (
        <rect
          x={mark.x}
          y={mark.y}
          width={mark.width}
          height={mark.height}
          rx={mark.round}
          className={`fill-${mark.fill} stroke-${mark.stroke}`}
          strokeWidth={mark.line}
        />
      )
    case 'text':
      return (
        <text
          x={mark.x}
          y={mark.y}
          fontSize={mark.size}
          textAnchor={mark.starts ? 'start' : 'middle'}
          className={`board-${mark.font} fill-${mark.fill}`}
        >
          {mark.text}
        </text>
      )
    case 'group':
      return (
        <g
          data-thing={mark.id.startsWith('thing ') ? mark.id.slice(6) : undefined}
          data-spot={mark.id.startsWith('spot ') ? mark.id.slice(5) : undefined}
          transform={`translate(${mark.x} ${mark.y})`}
          className={mark.id.startsWith('thing ') ? 'board-thing' : undefined}
          ref={
            glide && mark.id.startsWith('thing ')
              ? styled({ transform: `translate(${mark.x}px, ${mark.y}px)` })
              : undefined
          }
        >
          {mark.marks.map((one, i) => (
            <MarkShape key={i} mark={one} />
          ))}
        </g>
      )
  }
}

/** Marks by themselves, inside a picture. */
export const Marks = ({ marks }: { marks: readonly Mark[] }) => (
  <>
    {marks.map((mark, i) => (
      <MarkShape key={i} mark={mark} />
    ))}
  </>
)
