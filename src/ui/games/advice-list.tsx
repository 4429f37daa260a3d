import Link from 'next/link'
import type { Advice } from '@/core/analysis/advice'
import { adviceInWords } from '../words'

/** Changes that help, each found by trying it, each with its button. */
export function AdviceList({
  advice,
  address,
  slotMinutes,
}: {
  advice: Advice[]
  address: string
  slotMinutes: number
}) {
  if (advice.length === 0)
    return <p className="small muted">No change to the rules or the sets would help much.</p>
  return (
    <ul className="rows advice">
      {advice.map((change) => {
        const { heading, found } = adviceInWords(change)
        const query = new URLSearchParams({
          slot: String(slotMinutes),
          players: String(change.players),
          rules: JSON.stringify(change.params),
        })
        return (
          <li key={`${change.change}`}>
            <div className="grow">
              <strong>{heading}</strong>
              <div className="small muted">{found}</div>
            </div>
            <Link
              className="btn btn-quiet btn-sm"
              href={`${address}&${query}`}
              aria-label={`Try it: ${heading}`}
            >
              Try it
            </Link>
          </li>
        )
      })}
    </ul>
  )
}
