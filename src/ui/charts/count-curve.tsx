import { scaleLinear, scalePoint } from 'd3-scale'
import { line } from 'd3-shape'

const width = 336
const height = 150

/** Children in their zone against a count; the title says what it shows. */
export function CountCurve({
  points,
  mark,
  of,
  by = 'number of groups',
  children,
}: {
  points: { at: number; fitting: number }[]
  mark: number
  of: number
  by?: string
  children: React.ReactNode
}) {
  const x = scalePoint(
    points.map(({ at }) => at),
    [28, width - 28],
  )
  const y = scaleLinear([0, of], [height - 24, 22])
  const path = line<(typeof points)[number]>(
    ({ at }) => x(at)!,
    ({ fitting }) => y(fitting),
  )
  const labelled = new Set([points[0]?.at, mark, points.at(-1)?.at])
  return (
    <figure className="chart">
      <figcaption>
        <h2 className="section">{children}</h2>
        <p className="tiny muted">children in their zone, by {by}</p>
      </figcaption>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={points.map(({ at, fitting }) => `${at}: ${fitting}`).join(', ')}
      >
        <line className="baseline" x1={20} x2={width - 10} y1={y(0)} y2={y(0)} />
        <path d={path(points) ?? ''} fill="none" stroke="var(--sea)" strokeWidth={2} />
        {points.map(({ at, fitting }) => (
          <g key={at} transform={`translate(${x(at)},0)`} textAnchor="middle">
            <circle
              cy={y(fitting)}
              r={at === mark ? 6 : 3}
              fill={at === mark ? 'var(--ink)' : 'var(--sea)'}
            />
            <text className="muted" y={height - 7}>
              {at}
            </text>
            {labelled.has(at) && <text y={y(fitting) - 11}>{fitting}</text>}
          </g>
        ))}
      </svg>
    </figure>
  )
}
