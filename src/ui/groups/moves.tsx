'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { groupNames } from '@/core/grouping/pennants'
import type { Regrouping } from '@/core/grouping/regrouping/regrouping'
import type { ClassFit } from '@/core/grouping/request'
import { CountCurve } from '../charts/count-curve'
import { spelledAtStart, inHundred, spelled, many } from '../words'

function finding({ moves }: Regrouping, more: number): string {
  if (moves.length === 0)
    return more > 0 ? `Other levels bring ${spelled(more)} more in` : 'Other levels bring children nearer'
  const who = `${spelledAtStart(moves.length)} ${moves.length === 1 ? 'move brings' : 'moves bring'}`
  return more > 0 ? `${who} ${spelled(more)} more in` : `${who} children nearer to their zone`
}

/** The fewest moves that repair the groups: how many are worth it, who, and why. */
export function Moves({
  regroupings,
  names,
  levels,
  busy,
  onAccept,
  onTry,
  onDismiss,
}: {
  regroupings: Regrouping[]
  names: Map<string, string>
  levels: ClassFit['levels']
  busy: boolean
  onAccept: (made: Regrouping) => void
  /** Puts it on the table, where each move can still be changed. */
  onTry: (made: Regrouping) => void
  onDismiss: () => void
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
        <Button variant="quiet" onClick={onDismiss}>
          Back to the groups
        </Button>
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
              <strong>{names.get(pupil)}</strong> to {groupNames[to]}: {inHundred(here)} right alone here,{' '}
              {inHundred(there)} there{made.harmed.includes(pupil) && ', further from the zone'}.
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
      <Staying made={made} names={names} />
      <div className="buttons">
        <Button disabled={busy} onClick={() => onAccept(made)}>
          {busy ? 'Saving …' : 'Accept'}
        </Button>
        <Button variant="quiet" disabled={busy} onClick={() => onTry(made)}>
          Try on the table
        </Button>
        <Button variant="quiet" onClick={onDismiss}>
          Leave as they are
        </Button>
      </div>
    </section>
  )
}

/** Who stays, and is clearly better or worse off with the new level of the group. */
function Staying({ made: { staying, harmed }, names }: { made: Regrouping; names: Map<string, string> }) {
  if (staying.length === 0) return null
  const worse = staying.filter(({ pupil }) => harmed.includes(pupil))
  const others = staying.filter(({ pupil }) => !harmed.includes(pupil))
  const change = ({ pupil, here, there }: Regrouping['staying'][number]) =>
    `${names.get(pupil)} ${inHundred(here)} → ${inHundred(there)}`
  return (
    <p className="small">
      {worse.length > 0 && (
        <>
          <strong>Further from the zone though they stay:</strong> {worse.map(change).join(', ')}.{' '}
        </>
      )}
      {others.length > 0 && (
        <>
          {worse.length > 0 ? 'Others who stay' : 'Who stays'}, with the new level:{' '}
          {others.map(change).join(', ')}.
        </>
      )}
    </p>
  )
}
