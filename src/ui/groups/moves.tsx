'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { groupNames } from '@/core/grouping/pennants'
import type { Regrouping } from '@/core/grouping/regrouping'
import type { ClassFit } from '@/core/grouping/request'
import { CountCurve } from '../charts/count-curve'
import { capital, hundredths, lower, many } from '../words'

function finding({ moves }: Regrouping, more: number): string {
  if (moves.length === 0)
    return more > 0 ? `Other levels bring ${lower(more)} more in` : 'Other levels bring children nearer'
  const who = `${capital(moves.length)} ${moves.length === 1 ? 'move brings' : 'moves bring'}`
  return more > 0 ? `${who} ${lower(more)} more in` : `${who} children nearer to their zone`
}

/** The fewest moves that repair the groups: how many are worth it, who, and why. */
export function Moves({
  regroupings,
  names,
  levels,
  busy,
  onAccept,
}: {
  regroupings: Regrouping[]
  names: Map<string, string>
  levels: ClassFit['levels']
  busy: boolean
  onAccept: (made: Regrouping) => void
}) {
  const [now, ...better] = regroupings
  const [chosen, setChosen] = useState(0)
  const made = better[Math.min(chosen, better.length - 1)]
  if (!made)
    return (
      <section>
        <h2 className="section">No better regrouping found</h2>
        <p className="muted small">
          None that was tried brings more children into their zone or the class clearly nearer to it.
        </p>
      </section>
    )
  const count = made.moves.length
  return (
    <section>
      <CountCurve
        // Of two without a move, those that stand and other levels, the better.
        points={regroupings
          .filter(({ moves }, i) => moves.length !== regroupings[i + 1]?.moves.length)
          .map(({ moves, fitting }) => ({ at: moves.length, fitting }))}
        mark={count}
        of={regroupings[0].groups.reduce((sum, group) => sum + group.pupils.length, 0)}
        by="number of moves"
      >
        {finding(made, made.fitting - now.fitting)}
      </CountCurve>
      {better.length > 1 && (
        <div className="choices" role="group" aria-label="Number of moves">
          {better.map(({ moves }, index) => (
            <Button
              key={moves.length}
              variant="quiet"
              size="sm"
              aria-pressed={index === chosen}
              onClick={() => setChosen(index)}
            >
              {moves.length === 0 ? 'Levels only' : many(moves.length, 'move')}
            </Button>
          ))}
        </div>
      )}
      <ul className="rows small">
        {made.moves.map(({ pupil, to, here, there }) => (
          <li key={pupil}>
            <span className="grow">
              <strong>{names.get(pupil)}</strong> to {groupNames[to]}: {hundredths(here)} right alone here,{' '}
              {hundredths(there)} there.
            </span>
          </li>
        ))}
        {made.groups.flatMap(({ pennant, levelId }, g) =>
          levelId === now.groups[g].levelId
            ? []
            : [
                <li key={`level ${pennant}`}>
                  <span className="grow">
                    <strong>{groupNames[pennant]}</strong> then plays{' '}
                    {levels.find(({ id }) => id === levelId)?.title}.
                  </span>
                </li>,
              ],
        )}
      </ul>
      <Button disabled={busy} onClick={() => onAccept(made)}>
        {busy ? 'Saving …' : 'Accept'}
      </Button>
    </section>
  )
}
