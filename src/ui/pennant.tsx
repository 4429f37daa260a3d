import { pennantOutlines as outlines } from '@/core/drawing/pennant'
import { groupNames, pennantShapes } from '@/core/grouping/pennants'

/** The mark of a group: shape and colour by number. Decorative beside the group's name. */
export function Pennant({
  number,
  label = false,
  size = 20,
}: {
  number: number
  label?: boolean
  size?: number
}) {
  const shape = pennantShapes[number]
  return (
    <svg
      className="pennant"
      width={(size * 28) / 20}
      height={size}
      viewBox="-2 -2 28 20"
      role={label ? 'img' : undefined}
      aria-label={label ? groupNames[number] : undefined}
      aria-hidden={label ? undefined : true}
    >
      <path d={outlines[shape]} fill={`var(--pennant-${shape})`} />
    </svg>
  )
}

/** A pennant on its pole inside another drawing, with the group's name beside it. */
export function PoledPennant({ number, x, y }: { number: number; x: number; y: number }) {
  const shape = pennantShapes[number]
  return (
    <g transform={`translate(${x},${y})`} className="pennant">
      <path d="M0,-2V34" fill="none" />
      <path d={outlines[shape]} fill={`var(--pennant-${shape})`} />
      <text x="6" y="32" className="name">
        {groupNames[number]}
      </text>
    </g>
  )
}
