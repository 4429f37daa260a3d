'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'

/** Printed things of a station: a tap says that one is missing, and it is printed with the next pile. */
export function MissingThings({
  things,
  onMissing,
}: {
  things: readonly { item: string; name: string }[]
  /** @param done called once it is kept */
  onMissing: (item: string, done: () => void) => void
}) {
  const [noted, setNoted] = useState<Readonly<Record<string, number>>>({})
  return (
    <details className="early tiny">
      <summary>Something missing?</summary>
      <ul className="plain-list">
        {things.map(({ item, name }) => (
          <li key={item}>
            <Button
              variant="plain"
              size="sm"
              onClick={() =>
                onMissing(item, () => setNoted((now) => ({ ...now, [item]: (now[item] ?? 0) + 1 })))
              }
            >
              {name}
            </Button>
            {noted[item] && <span role="status"> {noted[item]} noted: with the next pile</span>}
          </li>
        ))}
      </ul>
    </details>
  )
}
