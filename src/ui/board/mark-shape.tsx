import type { Mark } from '@/core/drawing/marks'
import { styled } from '../styled'

/** One mark as SVG. Colours are classes, so that daylight and dark know their own. */
export function MarkShape({ mark, glide = false }: { mark: Mark; glide?: boolean }) {
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
          fontWeight={mark.heavy ? 700 : undefined}
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
