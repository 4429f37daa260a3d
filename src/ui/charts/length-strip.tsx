import { scaleLinear } from 'd3-scale'
import { inHundred } from '../words'

const width = 180
const height = 36

/** How long a game takes against the slot: 10–90 % as a bar, the median as a line, the slot dashed. */
export function LengthStrip({
  minutes,
  slotMinutes,
}: {
  minutes: { p10: number; p50: number; p90: number; finishInSlot: number } | null
  slotMinutes: number
}) {
  if (!minutes) return <div className="strip small muted">any length</div>
  const x = scaleLinear([0, Math.max(slotMinutes, minutes.p90) * 1.1], [2, width - 2])
  return (
    <div className="strip">
      <svg width={width} height={height} aria-hidden>
        <line className="baseline" x1={2} x2={width - 2} y1={height - 4} y2={height - 4} />
        <rect
          x={x(minutes.p10)}
          width={Math.max(3, x(minutes.p90) - x(minutes.p10))}
          y={10}
          height={16}
          rx={2}
          fill="var(--sea)"
          opacity={0.22}
        />
        <line x1={x(minutes.p50)} x2={x(minutes.p50)} y1={7} y2={29} stroke="var(--sea)" strokeWidth={2} />
        <line
          x1={x(slotMinutes)}
          x2={x(slotMinutes)}
          y1={2}
          y2={height - 2}
          stroke="var(--ink)"
          strokeWidth={1.5}
          strokeDasharray="3 3"
        />
      </svg>
      <div className="tiny muted">ends in the slot {inHundred(minutes.finishInSlot)} in 100</div>
    </div>
  )
}
