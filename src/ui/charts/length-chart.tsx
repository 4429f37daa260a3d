import { ticks } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { percentile, type Distribution } from '@/core/chance/distribution'
import { oneDecimal } from '../words'

const width = 600
const height = 196
const floor = height - 26

/** How long the game lasts: probability by half minutes; what of the slot is left to play in as a dashed line. */
export function LengthChart({
  seconds,
  playing,
  slotMinutes,
  method,
}: {
  seconds: Distribution
  /** Minutes left to play when the game is laid out and will be packed up. */
  playing: number
  slotMinutes: number
  method: 'exact' | 'simulated'
}) {
  const last = lengthShown(seconds, playing)
  const bin = last > 40 * 60 ? 120 : last > 16 * 60 ? 60 : 30
  const bars = Array.from({ length: Math.ceil(last / bin) }, (_, i) =>
    massBetween(seconds, i * bin, (i + 1) * bin),
  )
  const x = scaleLinear([0, bars.length * bin], [12, width - 12])
  const y = scaleLinear([0, Math.max(...bars)], [floor, 24])
  const slot = x(playing * 60)
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Length of the game in minutes, ${method}; ${oneDecimal(playing)} of the slot’s ${slotMinutes} are left to play in`}
    >
      <line className="baseline" x1={12} x2={width - 12} y1={floor} y2={floor} />
      {bars.map((share, i) => (
        <rect
          key={i}
          x={x(i * bin) + 1}
          width={x(bin) - x(0) - 2}
          y={y(share)}
          height={floor - y(share)}
          fill="var(--sea)"
          opacity={i * bin < playing * 60 ? 0.75 : 0.3}
          stroke={method === 'simulated' ? 'var(--ink)' : undefined}
          strokeDasharray="2 2"
        />
      ))}
      <line
        x1={slot}
        x2={slot}
        y1={6}
        y2={floor}
        stroke="var(--ink)"
        strokeWidth={1.5}
        strokeDasharray="4 4"
      />
      <text
        x={slot > width - 190 ? slot - 8 : slot + 8}
        y={18}
        textAnchor={slot > width - 190 ? 'end' : 'start'}
      >
        {oneDecimal(playing)} of {slotMinutes} minutes to play
      </text>
      {ticks(0, (bars.length * bin) / 60, 5)
        .filter((minute) => x(minute * 60) < width - 80)
        .map((minute) => (
          <text key={minute} className="muted" x={x(minute * 60)} y={floor + 18} textAnchor="middle">
            {minute}
          </text>
        ))}
      <text className="muted" x={width - 12} y={floor + 18} textAnchor="end">
        minutes
      </text>
    </svg>
  )
}

/** P(from ≤ seconds < to). */
function massBetween({ from: first, mass }: Distribution, from: number, to: number): number {
  let sum = 0
  for (let i = Math.max(0, from - first); i < Math.min(mass.length, to - first); i++) sum += mass[i]
  return sum
}

/** Seconds to draw: all but the last half in a hundred games, and the time to play in any case. */
function lengthShown(seconds: Distribution, playing: number): number {
  return Math.max(percentile(seconds, 0.995), playing * 60 * 1.05)
}
