import type { Practice } from '@/core/analysis/figures'
import { stepOf, type PracticeItem } from '@/core/skills'

const width = 640
const rowHeight = 24

interface Cell {
  column: number
  row: number
  times: number
}

/** Which facts come up: times in ten games, by the number a child starts from. */
export function FactGrid({ items, steps }: { items: Practice['items']; steps: Practice['steps'] }) {
  const facts = items.filter(({ item }) => item.op !== 'numeral')
  const byTens = Math.max(...facts.map(({ item }) => column(item))) > 25
  const cells = new Map<string, Cell>()
  for (const { item, perGame } of facts) {
    const at = { column: byTens ? Math.floor(column(item) / 10) * 10 : column(item), row: row(item) }
    const key = `${at.column} ${at.row}`
    cells.set(key, { ...at, times: (cells.get(key)?.times ?? 0) + perGame * 10 })
  }
  const all = [...cells.values()]
  const columns = [...new Set(all.map((cell) => cell.column))].sort((a, b) => a - b)
  const rows = [...new Set(all.map((cell) => cell.row))].sort((a, b) => a - b)
  const most = Math.max(...all.map(({ times }) => times))
  const step = Math.min(48, (width - 60) / columns.length)
  const height = rows.length * rowHeight + 24
  const op = facts[0].item.op
  return (
    <figure className="chart">
      <figcaption>
        <h2 className="section">
          {finding(steps)} <small>times in ten games, {byTens ? 'by the ten' : words[op]}</small>
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
        {all.map(({ column: c, row: r, times }) => {
          const x = 44 + columns.indexOf(c) * step
          const y = rows.indexOf(r) * rowHeight
          return (
            <g key={`${c} ${r}`} transform={`translate(${x},${y})`}>
              <rect
                width={step - 2}
                height={rowHeight - 2}
                fill="var(--sea)"
                opacity={0.08 + (0.32 * times) / most}
              />
              {times >= 0.05 && step > 22 && (
                <text className="number" x={(step - 2) / 2} y={16} textAnchor="middle">
                  {times >= 9.95 ? Math.round(times) : times.toFixed(1)}
                </text>
              )}
            </g>
          )
        })}
        {rows.length > 1 &&
          rows.map((r, i) => (
            <text key={r} className="muted" x={36} y={i * rowHeight + 16} textAnchor="end">
              {op === 'subtract' ? '−' : '+'}
              {r}
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

const words: Record<PracticeItem['op'], string> = {
  add: 'by the square stood on',
  subtract: 'by the square stood on',
  missing: 'by the card turned',
  count: 'by the number counted out',
  numeral: 'by the numeral',
}

function column(item: PracticeItem): number {
  if (item.op === 'add' || item.op === 'subtract') return item.a
  return item.op === 'missing' ? item.part : item.answer
}

function row(item: PracticeItem): number {
  return item.op === 'add' || item.op === 'subtract' ? item.b : 0
}

/** The step practised most, in one clause. */
function finding(steps: Practice['steps']): string {
  const most = steps.reduce((best, step) => (step.share > best.share ? step : best))
  return `${Math.round(most.share * 100)} in 100 facts: ${stepOf(most).short}`
}
