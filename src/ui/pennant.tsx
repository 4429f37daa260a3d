import { groupNames, pennantShapes, type PennantShape } from '@/core/grouping/pennants'

const outlines: Record<PennantShape, string> = {
  triangle: 'M0,0L22,8L0,16Z',
  square: 'M0,0H18V16H0Z',
  swallowtail: 'M0,0H24L17,8L24,16H0Z',
  diamond: 'M0,8L10,0L20,8L10,16Z',
  plus: 'M6,0H14V4H20V12H14V16H6V12H0V4H6Z',
  hourglass: 'M0,0H20L12,8L20,16H0L8,8Z',
  arch: 'M0,16V8A9,8 0 0 1 18,8V16H13V9A4,4 0 0 0 5,9V16Z',
  chevron: 'M0,0H14L22,8L14,16H0L8,8Z',
}

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
