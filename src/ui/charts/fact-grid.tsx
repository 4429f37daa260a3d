import type { Practice } from '@/core/analysis/figures'
import { stepOf, type PracticeItem } from '@/core/skills'
import { axesOf, columnWords, rowLabel } from './fact-axes'
import { tenths } from './tenths'

const width = 640
const rowHeight = 24
/** Cells of one shade are drawn as one shape: a grid of hundreds stays light. */
const mostShades = 16

interface Cell {
  column: number
  row: number
  times: number
}

/** Which facts come up: times in ten games (or goes), for the kind of fact that comes most. */
export function FactGrid({
  items,
  steps,
  timeBoxed = false,
}: {
  items: Practice['items']
  steps: Practice['steps']
  timeBoxed?: boolean
}) {
  const op = commonest(items)
  const facts = items
    .filter(({ item }) => item.op === op)
    .map(({ item, perGame }) => ({ ...axesOf(item), perGame }))
  const binOf = (values: number[]) => {
    const most = Math.max(...values)
    return most > 250 ? 100 : most > 25 && new Set(values).size > 16 ? 10 : 1
  }
  const [across, down] = [binOf(facts.map(({ column }) => column)), binOf(facts.map(({ row }) => row))]
  const cells = new Map<string, Cell>()
  for (const { column, row, perGame } of facts) {
    const at = { column: Math.floor(column / across) * across, row: Math.floor(row / down) * down }
    const key = `${at.column} ${at.row}`
    cells.set(key, { ...at, times: (cells.get(key)?.times ?? 0) + perGame * 10 })
  }
  const all = [...cells.values()]
  const columns = [...new Set(all.map((cell) => cell.column))].sort((a, b) => a - b)
  const rows = [...new Set(all.map((cell) => cell.row))].sort((a, b) => a - b)
  const most = Math.max(...all.map(({ times }) => times))
  const step = Math.min(48, (width - 60) / columns.length)
  const height = rows.length * rowHeight + 24
  const shadeOf = (times: number) => Math.round((mostShades * times) / most)
  const shades = [...new Set(all.map(({ times }) => shadeOf(times)))]
  const xOf = (cell: Cell) => tenths(44 + columns.indexOf(cell.column) * step)
  const yOf = (cell: Cell) => rows.indexOf(cell.row) * rowHeight
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
        aria-label={`Facts practised: ${items
          .slice(0, 12)
          .map(({ key }) => key)
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
            {items.slice(0, 60).map(({ key, share }) => (
              <tr key={key}>
                <td>{key}</td>
                <td>{(100 * share).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  )
}

/** The kind of fact that comes up most. */
function commonest(items: Practice['items']): PracticeItem['op'] {
  const total = new Map<PracticeItem['op'], number>()
  for (const { item, share } of items) total.set(item.op, (total.get(item.op) ?? 0) + share)
  // What a numeral is read for says more than the reading.
  if (total.size > 1) total.delete('numeral')
  return [...total].reduce((most, entry) => (entry[1] > most[1] ? entry : most))[0]
}

/** The step practised most, in one clause. */
function finding(steps: Practice['steps']): string {
  const most = steps.reduce((best, step) => (step.share > best.share ? step : best))
  return `${Math.round(most.share * 100)} in 100 facts: ${stepOf(most).short}`
}
