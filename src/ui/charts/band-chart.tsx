'use client'

import { scaleLinear } from 'd3-scale'
import { area, curveStepAfter, line } from 'd3-shape'
import { strandOf, type StrandId } from '@/core/skills'
import type { DrawnPoint } from '@/server/progress'
import { dayInShort } from '../words'
import { tenths } from './tenths'

/** A point at its place in time. */
interface Placed {
  at: number
  p10: number
  p50: number
  p90: number
}

/** A day on the axis of time, in milliseconds: days are all a band needs, no calendar ticks. */
const instant = (day: string) => Date.parse(`${day}T00:00:00Z`)

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
  points: readonly DrawnPoint[]
  today: string
  width: number
  height: number
  full?: boolean
}) {
  const { steps } = strandOf(strand)
  if (points.length === 0) return <p className="muted small">Nothing yet.</p>
  const placed = points.map(([day, p10, p50, p90]): Placed => ({ at: instant(day), p10, p50, p90 }))
  // On its first day a child has no past: what is believed fills the chart.
  const firstDay = points[0][0] === today
  const end = firstDay ? placed[0].at + 1 : instant(today)
  const shown = [...placed, { ...placed[placed.length - 1], at: end }]
  const left = full ? 132 : 2
  const right = width - (full ? 12 : 4)
  const x = scaleLinear([shown[0].at, end], [left, right])
  const lowest = Math.min(...shown.map(({ p10 }) => p10))
  const highest = Math.max(...shown.map(({ p90 }) => p90))
  // Small charts show each child in a window of its own, so that they compare with nobody.
  const pad = full ? 0.5 : Math.max(0.2, 2.4 - (highest - lowest) / 2)
  const [low, high] = [lowest - pad, highest + pad]
  const y = scaleLinear([low, high], [height - (full ? 26 : 3), 4]).clamp(true)
  const rungs = steps.filter(({ difficulty }) => difficulty > low && difficulty < high)
  const band = area<Placed>(
    ({ at }) => x(at),
    ({ p10 }) => y(p10),
    ({ p90 }) => y(p90),
  )
    .digits(1)
    .curve(curveStepAfter)
  const median = line<Placed>(
    ({ at }) => x(at),
    ({ p50 }) => y(p50),
  )
    .digits(1)
    .curve(curveStepAfter)
  return (
    <svg
      width={width}
      height={height}
      role={full ? 'img' : undefined}
      aria-hidden={full ? undefined : true}
      aria-label={full ? 'Estimate over time' : undefined}
    >
      <path
        className="baseline"
        d={rungs.map(({ difficulty }) => `M${left},${tenths(y(difficulty))}H${right}`).join('')}
      />
      {full &&
        rungs.map(({ id, difficulty, short }) => (
          <text key={id} className="muted" x={left - 8} y={tenths(y(difficulty)) + 4} textAnchor="end">
            {short}
          </text>
        ))}
      <path d={band(shown) ?? ''} fill="var(--sea)" opacity={0.14} />
      <path d={median(shown) ?? ''} fill="none" stroke="var(--sea)" strokeWidth={2} />
      {full && (
        <>
          {!firstDay && (
            <text className="muted" x={left} y={height - 6}>
              {dayInShort(points[0][0])}
            </text>
          )}
          <text className="muted" x={width - 12} y={height - 6} textAnchor="end">
            today
          </text>
        </>
      )}
    </svg>
  )
}
