import type { FactCell, FactTable } from '@/core/analysis/fact-table'
import type { Practice } from '@/core/analysis/figures'
import { stepOf } from '@/core/skills'
import { columnWords, rowLabel } from './fact-words'
import { tenths } from './tenths'

const width = 640
const rowHeight = 24
/** Cells of one shade are drawn as one shape: a grid of hundreds stays light. */
const mostShades = 16

/** Which facts come up: times in ten games (or goes), for the kind of fact that comes most. */
export function FactGrid({
  facts: { op, cells: all, commonest },
  steps,
  timeBoxed = false,
}: {
  facts: FactTable
  steps: Practice['steps']
  timeBoxed?: boolean
}) {
  const columns = [...new Set(all.map((cell) => cell.column))].sort((a, b) => a - b)
  const rows = [...new Set(all.map((cell) => cell.row))].sort((a, b) => a - b)
  const most = Math.max(...all.map(({ times }) => times))
  const step = Math.min(48, (width - 60) / columns.length)
  const height = rows.length * rowHeight + 24
  const shadeOf = (times: number) => Math.round((mostShades * times) / most)
  const shades = [...new Set(all.map(({ times }) => shadeOf(times)))]
  const xOf = (cell: FactCell) => tenths(44 + columns.indexOf(cell.column) * step)
  const yOf = (cell: FactCell) => rows.indexOf(cell.row) * rowHeight
  return (
    <figure className="chart">
      <figcaption>
        <h2 className="section">
          {finding(steps)}{' '}
          <small>
            times in ten {timeBoxed ? 'goes' : 'games'}, {columnWords[op]}
          </small>
        </h2>
      </figcaption>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Facts practised: ${commonest
          .slice(0, 12)
          .map(({ fact }) => fact)
          .join(', ')}`}
      >
        {shades.map((shade) => (
          <path
            key={shade}
            fill="var(--sea)"
            opacity={0.08 + (0.32 * shade) / mostShades}
            d={all
              .filter(({ times }) => shadeOf(times) === shade)
              .map((cell) => `M${xOf(cell)},${yOf(cell)}h${tenths(step) - 2}v${rowHeight - 2}H${xOf(cell)}Z`)
              .join('')}
          />
        ))}
        {step > 22 &&
          all
            .filter(({ times }) => times >= 0.05)
            .map((cell) => (
              <text
                key={`${cell.column} ${cell.row}`}
                className="number"
                x={tenths(xOf(cell) + step / 2 - 1)}
                y={yOf(cell) + 16}
                textAnchor="middle"
              >
                {cell.times >= 9.95 ? Math.round(cell.times) : cell.times.toFixed(1)}
              </text>
            ))}
        {(rows.length > 1 || rows[0] !== 0) &&
          rows.map((r, i) => (
            <text key={r} className="muted" x={36} y={i * rowHeight + 16} textAnchor="end">
              {rowLabel(op, r)}
            </text>
          ))}
        {columns.map((c, i) => (
          <text
            key={c}
            className="muted"
            x={44 + i * step + step / 2 - 1}
            y={rows.length * rowHeight + 15}
            textAnchor="middle"
          >
            {step > 22 || i % 5 === 0 ? c : ''}
          </text>
        ))}
      </svg>
      <details className="small">
        <summary>As a table</summary>
        <table className="class-table">
          <thead>
            <tr>
              <th scope="col">Fact</th>
              <th scope="col">Share</th>
            </tr>
          </thead>
          <tbody>
            {commonest.map(({ fact, share }) => (
              <tr key={fact}>
                <td>{fact}</td>
                <td>{(100 * share).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  )
}

/** The step practised most, in one clause. */
function finding(steps: Practice['steps']): string {
  const most = steps.reduce((best, step) => (step.share > best.share ? step : best))
  return `${Math.round(most.share * 100)} in 100 facts: ${stepOf(most).short}`
}
