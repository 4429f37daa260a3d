import Link from 'next/link'
import Form from 'react-bootstrap/Form'
import type { PlanView } from '@/core/planning/session/work-out'

interface Props {
  view: Pick<PlanView, 'shelf' | 'print'>
  onCount: (item: string, count: number | null) => void
  /** Where the pages of the kept session are printed; null: it isn't kept yet. */
  printAt: string | null
}

/** What to fetch for all stations at once, beside what the shelf holds, and what to print. */
export function FetchList({ view: { shelf, print }, onCount, printAt }: Props) {
  return (
    <>
      <h2 className="section">From the shelf</h2>
      <table className="fetch-list small">
        <thead>
          <tr>
            <th scope="col">Thing</th>
            <th scope="col">Needed</th>
            <th scope="col">You have</th>
          </tr>
        </thead>
        <tbody>
          {shelf.map(({ item, count, spare, have, short, instead }) => (
            <tr key={item} className={short > 0 ? 'short' : undefined}>
              <th scope="row">
                {item}
                {short > 0 && (
                  <div className="tiny clash-text">
                    {short} short
                    {instead.length > 0 && `: ${insteadInWords(instead)}`}
                  </div>
                )}
                {short > 0 &&
                  [...new Set(instead.flatMap(({ caution }) => caution ?? []))].map((caution) => (
                    <div key={caution} className="tiny muted">
                      {caution}
                    </div>
                  ))}
              </th>
              <td>
                {count}
                {spare > 0 && <span className="tiny muted"> {spare} spare</span>}
              </td>
              <td>
                <Form.Control
                  key={have ?? 'open'}
                  size="sm"
                  type="number"
                  min={0}
                  max={10000}
                  aria-label={`${item}: how many you have`}
                  placeholder="–"
                  defaultValue={have ?? ''}
                  onBlur={({ target }) => {
                    const now = target.value === '' ? null : Number(target.value)
                    if (now !== have) onCount(item, now)
                  }}
                  onKeyDown={(event) => {
                    if (event.key === 'Enter') event.currentTarget.blur()
                  }}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className="section">To print</h2>
      <p className="small">
        {print.length === 0 ? 'Nothing.' : print.map(({ count, item }) => `${count} × ${item}`).join(', ')}
      </p>
      {print.length > 0 && printAt && (
        <Link className="btn btn-quiet btn-sm" href={printAt} prefetch={false}>
          To the pages
        </Link>
      )}
    </>
  )
}

/** “take 5 × cube, else bottle cap or pebble”. */
function insteadInWords(instead: PlanView['shelf'][number]['instead']): string {
  const counted = instead.flatMap(({ item, count }) => (count === null ? [] : [`take ${count} × ${item}`]))
  const others = instead.flatMap(({ item, count }) => (count === null ? [item] : []))
  const any = others.length > 0 ? [`${counted.length > 0 ? 'else' : 'use'} ${others.join(' or ')}`] : []
  return [...counted, ...any].join(', ')
}
