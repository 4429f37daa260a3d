import type { HarbourPage } from '@/server/harbour'
import { inLines } from '../charts/in-lines'
import { island } from '../charts/island'
import { PoledPennant } from '../pennant'
import { modeInWords } from '../words'

type Stations = NonNullable<HarbourPage['session']>['stations']

const width = 784
const height = 556
const radius = 80
const strokes = [
  { width: 1, opacity: 0.75 },
  { width: 1, opacity: 0.5 },
  { width: 0.75, opacity: 0.35 },
]

/** Where the islands lie, by their number: spread so that courses between them stay readable. */
const berths: Record<number, [number, number][]> = {
  1: [[392, 290]],
  2: [
    [210, 290],
    [574, 290],
  ],
  3: [
    [190, 180],
    [594, 190],
    [392, 420],
  ],
  4: [
    [190, 170],
    [588, 180],
    [584, 414],
    [194, 410],
  ],
  5: [
    [170, 160],
    [410, 160],
    [640, 230],
    [520, 430],
    [230, 420],
  ],
  6: [
    [160, 170],
    [396, 160],
    [630, 180],
    [626, 420],
    [390, 430],
    [156, 420],
  ],
  7: [
    [104, 180],
    [298, 164],
    [492, 180],
    [682, 168],
    [610, 414],
    [390, 424],
    [170, 414],
  ],
  8: [
    [104, 180],
    [298, 164],
    [492, 180],
    [682, 168],
    [678, 414],
    [486, 428],
    [294, 414],
    [102, 424],
  ],
}
/** As many stations as a session can have. */
const mostBerths = 8

const scaleOf = (islands: number) => (islands > 6 ? 0.68 : islands > 4 ? 0.8 : 1)
/** Letters of a title and of a level that fit on an island of full size in one line. */
const [titleLength, lineLength] = [14, 24]

/** The session as a harbour chart: stations as islands, groups as pennants, the rotation as a course. */
export function SeaChart({ stations, foot }: { stations: Stations; foot: string }) {
  const places = berths[Math.min(mostBerths, Math.max(1, stations.length))]
  const shown = stations.slice(0, places.length)
  const scale = scaleOf(shown.length)
  // From the middle of an island to where a course leaves it.
  const gap = 38 + radius * scale
  return (
    <svg
      className="sea-chart"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={describe(shown)}
    >
      {shown.length > 1 &&
        shown.map((_, i) => (
          <path key={i} className="course-line" d={course(places[i], places[(i + 1) % shown.length], gap)} />
        ))}
      {shown.map(({ title, level, mode, pennants }, i) => {
        const { coast, depths } = island(i * 7 + 3 + title.length * 31, radius * scale)
        // Nobody is there in this slot: then it has no level.
        const levels = level.split(' · ').filter(Boolean)
        const lines =
          levels.length > 1
            ? [`${levels.length} levels`]
            : levels.flatMap((one) => inLines(one, Math.round(lineLength * scale)))
        const titleLines = inLines(title, Math.floor(titleLength * scale))
        // The lines together stand in the middle of the island: the base line of the first one.
        const top = 6 - (21 * titleLines.length + 17 * lines.length) / 2
        const levelsAt = top + 21 * titleLines.length
        return (
          <g key={i} transform={`translate(${places[i].join()})`}>
            {[...depths].reverse().map((path, d) => (
              <path
                key={path}
                d={path}
                className="depth"
                strokeWidth={strokes[2 - d].width}
                opacity={strokes[2 - d].opacity}
              />
            ))}
            <path d={coast} className="coast" />
            {titleLines.map((line, l) => (
              <text
                key={line}
                className={scale < 0.7 ? 'island-title small-island' : 'island-title'}
                y={top + 21 * l}
                textAnchor="middle"
              >
                {line}
              </text>
            ))}
            {lines.map((line, l) => (
              <text key={line} className="island-level" y={levelsAt + 17 * l} textAnchor="middle">
                {line}
              </text>
            ))}
            <text className="muted" y={levelsAt + 3 + 17 * lines.length} textAnchor="middle">
              {modeInWords[mode]}
            </text>
            {pennants.map((number, p) => (
              <PoledPennant
                key={number}
                number={number}
                x={(p - (pennants.length - 1) / 2) * 92 - 26}
                y={-radius * scale * 0.98 - 38}
              />
            ))}
          </g>
        )
      })}
      <text className="muted" x={24} y={height - 20}>
        {foot}
      </text>
    </svg>
  )
}

/** A gentle curve from coast to coast; between islands above each other, out at their seaward side. */
function course([x1, y1]: [number, number], [x2, y2]: [number, number], gap: number): string {
  if (Math.abs(y2 - y1) > Math.abs(x2 - x1)) {
    const side = (x1 + x2) / 2 > width / 2 ? 1 : -1
    const down = Math.sign(y2 - y1)
    const beyond = Math.max(side * x1, side * x2) * side + side * (gap + 54)
    const out = Math.max(8, Math.min(width - 8, beyond))
    const lift = down * gap * 0.4
    return `M${x1 + side * gap},${y1 + lift}Q${out},${(y1 + y2) / 2} ${x2 + side * gap},${y2 - lift}`
  }
  const length = Math.hypot(x2 - x1, y2 - y1)
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length]
  const [sx, sy] = [x1 + ux * gap, y1 + uy * gap]
  const [ex, ey] = [x2 - ux * gap, y2 - uy * gap]
  return `M${sx},${sy}Q${(sx + ex) / 2 - uy * 26},${(sy + ey) / 2 + ux * 26} ${ex},${ey}`
}

function describe(stations: Stations): string {
  return stations.map(({ title, level, mode }) => `${title}: ${level}, ${modeInWords[mode]}`).join('. ')
}
