import { scaleLinear, scaleTime } from 'd3-scale'
import { area, curveStepAfter, line } from 'd3-shape'
import { strandOf, type StrandId } from '@/core/skills'
import { dayInShort } from '../words'

interface Point {
  day: string
  p10: number
  p50: number
  p90: number
}

const date = (day: string) => new Date(`${day}T00:00:00Z`)

/** An estimate over time: 10–90 % as a band, the median as a line, the strand's steps as rungs. */
export function BandChart({
  strand,
  points,
  today,
  width,
  height,
  full = false,
}: {
  strand: StrandId
  points: Point[]
  today: string
  width: number
  height: number
  full?: boolean
}) {
  const { steps } = strandOf(strand)
  if (points.length === 0) return <p className="muted small">Nothing yet.</p>
  const shown = [...points, { ...points[points.length - 1], day: today }]
  const left = full ? 132 : 2
  const x = scaleTime([date(shown[0].day), date(today)], [left, width - (full ? 12 : 4)])
  const lowest = Math.min(...shown.map(({ p10 }) => p10))
  const highest = Math.max(...shown.map(({ p90 }) => p90))
  // Small charts show each child in a window of its own, so that they compare with nobody.
  const pad = full ? 0.5 : Math.max(0.2, 2.4 - (highest - lowest) / 2)
  const [low, high] = [lowest - pad, highest + pad]
  const y = scaleLinear([low, high], [height - (full ? 26 : 3), 4]).clamp(true)
  const band = area<Point>(
    ({ day }) => x(date(day)),
    ({ p10 }) => y(p10),
    ({ p90 }) => y(p90),
  ).curve(curveStepAfter)
  const median = line<Point>(
    ({ day }) => x(date(day)),
    ({ p50 }) => y(p50),
  ).curve(curveStepAfter)
  return (
    <svg
      width={width}
      height={height}
      role={full ? 'img' : undefined}
      aria-hidden={full ? undefined : true}
      aria-label={full ? 'Estimate over time' : undefined}
    >
      {steps
        .filter(({ difficulty }) => difficulty > low && difficulty < high)
        .map(({ id, difficulty, short }) => (
          <g key={id}>
            <line
              className="baseline"
              x1={left}
              x2={width - (full ? 12 : 4)}
              y1={y(difficulty)}
              y2={y(difficulty)}
            />
            {full && (
              <text className="muted" x={left - 8} y={y(difficulty) + 4} textAnchor="end">
                {short}
              </text>
            )}
          </g>
        ))}
      <path d={band(shown) ?? ''} fill="var(--sea)" opacity={0.14} />
      <path d={median(shown) ?? ''} fill="none" stroke="var(--sea)" strokeWidth={2} />
      {full && (
        <>
          <text className="muted" x={left} y={height - 6}>
            {dayInShort(shown[0].day)}
          </text>
          <text className="muted" x={width - 12} y={height - 6} textAnchor="end">
            today
          </text>
        </>
      )}
    </svg>
  )
}
