'use client'

import Form from 'react-bootstrap/Form'
import { groupNames } from '@/core/grouping/pennants'
import type { Conflict, PlannedVisit, PlanView } from '@/server/plan'
import { Pennant } from '../pennant'
import { hundredths, many } from '../words'

/** Groups down, slots across: station, level, sets and what does not go, on the cell. */
export function PlanGrid({
  view,
  onLevel,
}: {
  view: PlanView
  onLevel: (key: string, levelId: string) => void
}) {
  return (
    <table className="plan-grid">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Group</span>
          </th>
          {view.times.map(({ from, to }, slot) => (
            <th key={slot} scope="col">
              Slot {slot + 1} <span className="muted">{`${from}–${to}`}</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {view.groups.map(({ pennant, children }, group) => (
          <tr key={pennant}>
            <th scope="row">
              <Pennant number={pennant} />
              {groupNames[pennant]}
              <span className="tiny muted">{children.length}</span>
            </th>
            {view.times.map((_, slot) => {
              const visit = view.visits.find(
                (candidate) => candidate.slot === slot && candidate.group === group,
              )
              return <td key={slot}>{visit && <Visit view={view} visit={visit} onLevel={onLevel} />}</td>
            })}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Visit({
  view,
  visit,
  onLevel,
}: {
  view: PlanView
  visit: PlannedVisit
  onLevel: (key: string, levelId: string) => void
}) {
  const { slot, group, station, levelId, sets, fitting, children } = visit
  const { title, levels } = view.stations[station]
  const conflicts = view.conflicts.filter((conflict) => conflict.slot === slot && conflict.group === group)
  return (
    <div className={conflicts.length > 0 ? 'visit clash' : 'visit'}>
      <strong>{title}</strong>
      <Form.Select
        size="sm"
        aria-label={`${groupNames[view.groups[group].pennant]}, slot ${slot + 1}, ${title}: level`}
        value={levelId}
        onChange={({ target }) => onLevel(`${slot}:${group}`, target.value)}
      >
        {levels.map(({ id, title: level }) => (
          <option key={id} value={id}>
            {level}
          </option>
        ))}
      </Form.Select>
      <div className="tiny muted">
        {fitting} of {children} in zone · {sets.join(' + ')}
      </div>
      {conflicts.map((conflict) => (
        <div key={conflict.kind} className="tiny clash-text">
          {conflictInWords(conflict)}
        </div>
      ))}
    </div>
  )
}

function conflictInWords(conflict: Conflict): string {
  switch (conflict.kind) {
    case 'again':
      return 'Here a second time: more slots than stations.'
    case 'too-long':
      return `Ends in the slot ${hundredths(conflict.finishInSlot)} times in 100.`
    case 'too-few':
      return `Needs at least ${many(conflict.least, 'child', 'children')}.`
    case 'adult':
      return 'This game needs an adult there.'
    case 'floor':
      return 'Another game needs the floor as well.'
    case 'noise':
      return 'With the others too loud for one room.'
    case 'materials':
      return 'With the others more than your shelf holds.'
  }
}
