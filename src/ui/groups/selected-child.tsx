'use client'

import Button from 'react-bootstrap/Button'
import { groupNames } from '@/core/grouping/pennants'
import type { ShownGroup } from '@/server/groups'
import { Pennant } from '../pennant'
import { hundredths } from '../words'

/** The menu way to move a child: every group with what is to be expected there. */
export function SelectedChild({
  name,
  success,
  groups,
  own,
  onMove,
  onClose,
}: {
  name: string
  success: number[]
  groups: ShownGroup[]
  own: number
  onMove: (to: number) => void
  onClose: () => void
}) {
  return (
    <section aria-label={`Move ${name}`}>
      <div className="headline-small">
        <h2 className="section">{name}</h2>
        <Button variant="plain" size="sm" onClick={onClose}>
          Done
        </Button>
      </div>
      <p className="tiny muted">
        Right alone, times in 100, at each group’s level. Arrow up and down move a focused name too.
      </p>
      <ul className="rows">
        {groups.map((group, position) => (
          <li key={group.pennant}>
            <Pennant number={group.pennant} />
            <span className="grow">
              {groupNames[group.pennant]} <span className="muted">{hundredths(success[group.level])}</span>
            </span>
            {position === own ? (
              <span className="tiny muted">is here</span>
            ) : (
              <Button variant="quiet" size="sm" onClick={() => onMove(position)}>
                Move
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
