'use client'

import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Group } from '@/core/grouping/groups'
import { groupNames } from '@/core/grouping/pennants'
import { Pennant } from '../pennant'
import { inHundred } from '../words'

/** The menu way to move a child: every group with what is to be expected there. */
export function SelectedChild({
  name,
  groups,
  successIn,
  own,
  locked,
  range,
  partners,
  others,
  onMove,
  onSwap,
  onLock,
  onClose,
}: {
  name: string
  groups: Group[]
  successIn: (group: Group) => number
  /** The group it is in; null: in none yet. */
  own: Group | null
  /** Stays in the group when groups are made again. */
  locked: boolean
  /** The child's own range in mixed groups, which goes along wherever it moves. */
  range?: string
  partners: readonly string[]
  /** Children of the other groups, with one of whom it may change places. */
  others: readonly { id: string; name: string }[]
  onSwap: (other: string) => void
  onMove: (pennant: number) => void
  onLock: (on: boolean) => void
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
        {range && own
          ? `Own range: ${range}, ${inHundred(successIn(own))} times in 100 right alone. It goes along to another group.`
          : 'Right alone, times in 100, at each group’s level.'}{' '}
        Arrow up and down move a focused name too.
      </p>
      {partners.length > 0 && <p className="small">Plays with {partners.join(' and ')}.</p>}
      {own ? (
        <Form.Check
          id="stays-here"
          className="small"
          label={`Stays in ${groupNames[own.pennant]} when groups are made again`}
          checked={locked}
          onChange={({ target }) => onLock(target.checked)}
        />
      ) : (
        <p className="small">Not in a group yet.</p>
      )}
      <ul className="rows">
        {groups.map((group) => (
          <li key={group.pennant}>
            <Pennant number={group.pennant} />
            <span className="grow">
              {groupNames[group.pennant]}{' '}
              {!range && <span className="muted">{inHundred(successIn(group))}</span>}
            </span>
            {group.pennant === own?.pennant ? (
              <span className="tiny muted">is here</span>
            ) : (
              <Button variant="quiet" size="sm" onClick={() => onMove(group.pennant)}>
                Move
              </Button>
            )}
          </li>
        ))}
      </ul>
      {own && others.length > 0 && (
        <Form.Group controlId="swap-with" className="swap">
          <Form.Label className="small">Changes places with</Form.Label>
          <Form.Select size="sm" value="" onChange={({ target }) => target.value && onSwap(target.value)}>
            <option value="">Choose a child</option>
            {others.map(({ id, name: other }) => (
              <option key={id} value={id}>
                {other}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
    </section>
  )
}
