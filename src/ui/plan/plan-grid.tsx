'use client'

import Form from 'react-bootstrap/Form'
import { groupNames } from '@/core/grouping/pennants'
import type { PlannedVisit, ShortGame } from '@/core/planning/session/visits'
import type { Conflict, PlanView } from '@/core/planning/session/work-out'
import { Options } from '../options'
import { Pennant } from '../pennant'
import { inHundred, listed, many, oneDecimal, zoneInShort } from '../words'
import type { At } from './placing'

interface Changes {
  onPlace: (at: At, stationId: string | null) => void
  onLevel: (at: At, levelId: string | null) => void
  onPin: (at: At, on: boolean) => void
}

/** Groups down, slots across: station, level, sets and what does not go, on the cell. */
export function PlanGrid({ view, ...changes }: { view: PlanView } & Changes) {
  return (
    <table className="plan-grid">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Group</span>
          </th>
          {view.times.slots.map(({ from, to }, slot) => (
            <th key={slot} scope="col">
              Slot {slot + 1} <span className="muted">{`${from}–${to}`}</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {view.groups.map(({ id, pennant, children }) => (
          <tr key={id}>
            <th scope="row">
              <Pennant number={pennant} />
              {groupNames[pennant]}
              <span className="tiny muted">{children.length}</span>
            </th>
            {view.times.slots.map((_, slot) => (
              <td key={slot}>
                <Cell view={view} at={{ slot, groupId: id }} pennant={pennant} {...changes} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const isAt = (one: At, at: At) => one.slot === at.slot && one.groupId === at.groupId

function Cell({
  view,
  at,
  pennant,
  onPlace,
  onLevel,
  onPin,
}: { view: PlanView; at: At; pennant: number } & Changes) {
  const visit = view.visits.find((one) => isAt(one, at))
  const conflicts = view.conflicts.filter((one) => isAt(one, at) && one.kind !== 'game-again')
  const where = `${groupNames[pennant]}, slot ${at.slot + 1}`
  return (
    <div className={conflicts.length > 0 || !visit ? 'visit clash' : 'visit'}>
      <div className="visit-place">
        <Form.Select
          size="sm"
          aria-label={`${where}: station`}
          value={visit?.stationId ?? ''}
          onChange={({ target }) => onPlace(at, target.value || null)}
        >
          <Options
            all={[{ id: '', title: 'nowhere' }, ...view.stations.map(({ id, title }) => ({ id, title }))]}
            chosen={visit?.stationId ?? ''}
          />
        </Form.Select>
        {visit && (
          <button
            type="button"
            className="pin"
            aria-pressed={visit.pinned}
            aria-label={`${where}: keep here`}
            title={visit.pinned ? 'Stays when the rest is planned again' : 'Keep here'}
            onClick={() => onPin(at, !visit.pinned)}
          >
            <PinSign shut={visit.pinned} />
          </button>
        )}
      </div>
      {visit ? <Visit view={view} visit={visit} where={where} onLevel={onLevel} /> : null}
      {!visit && <div className="tiny clash-text">{gapInWords(view, at)}</div>}
      {conflicts.map((conflict) => (
        <div key={conflict.kind} className="tiny clash-text">
          {conflictInWords(conflict)}
        </div>
      ))}
    </div>
  )
}

function Visit({
  view,
  visit,
  where,
  onLevel,
}: {
  view: PlanView
  visit: PlannedVisit
  where: string
  onLevel: Changes['onLevel']
}) {
  const { slot, groupId, stationId, levelId, levelTitle, chosen, ranges, sets, zone, short } = visit
  const { title, levels } = view.stations.find(({ id }) => id === stationId)!
  return (
    <>
      {visit.eachItsOwn ? (
        <div className="tiny own-ranges">
          {ranges.map(({ title: level, children: there }) => `${there} × ${level}`).join(', ')}
        </div>
      ) : (
        <Form.Select
          size="sm"
          aria-label={`${where}, ${title}: level`}
          value={chosen ? levelId : ''}
          onChange={({ target }) => onLevel({ slot, groupId }, target.value || null)}
        >
          <Options
            all={[{ id: '', title: chosen ? 'what fits' : levelTitle }]}
            chosen={chosen ? levelId : ''}
          />
          <optgroup label="One level for all">
            <Options all={levels} chosen={chosen ? levelId : ''} />
          </optgroup>
        </Form.Select>
      )}
      {!visit.eachItsOwn &&
        ranges
          .filter((range) => range.levelId !== levelId)
          .map((range) => (
            <div key={range.levelId} className="tiny own-level">
              {namesAt(view, visit, range.levelId).join(', ')}: {range.title}
            </div>
          ))}
      <div className="tiny muted">
        {zoneInShort(zone)} <span className="nowrap">· {sets.join(' + ')}</span>
      </div>
      {short && <div className="tiny short-game">{shortInWords(short)}</div>}
    </>
  )
}

/** Who of a group plays at a level of its own. */
const namesAt = (view: PlanView, { groupId, ownLevels }: PlannedVisit, levelId: string): string[] =>
  view.groups
    .find(({ id }) => id === groupId)!
    .children.filter(({ id }) => ownLevels[id] === levelId)
    .map(({ name }) => name)

/** A game that is over long before the slot: how many fit into it, or which level takes longer. */
const shortInWords = ({ usualMinutes, games, longer }: ShortGame) =>
  `About ${oneDecimal(usualMinutes)} min: ${oneDecimal(games)} games${longer ? `, or ${longer.title}` : ''}`

/** A padlock, shut where the group stays. */
const PinSign = ({ shut }: { shut: boolean }) => (
  <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden>
    <path
      d={shut ? 'M5 7.5V5a3 3 0 0 1 6 0v2.5' : 'M5 7.5V4a3 3 0 0 1 5.8-1'}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.75"
    />
    <rect
      x="3"
      y="7.5"
      width="10"
      height="6.5"
      rx="1"
      fill={shut ? 'currentColor' : 'none'}
      stroke="currentColor"
      strokeWidth="1.5"
    />
  </svg>
)

const ruleWords = {
  places: 'no place left',
  adults: 'no adult free',
  floor: 'the floor is taken',
  noise: 'too loud with the others',
  materials: 'too little on the shelf',
  'not-shown': 'not shown yet',
} as const

/** Why a cell has no station: what stands against each of them, or that nothing does. */
function gapInWords(view: PlanView, at: At): string {
  const gap = view.gaps.find((one) => isAt(one, at))
  if (!gap) return 'No station yet.'
  if (gap.nothingOffered) return 'No station takes a group of this size as it is set up.'
  const rules = Object.entries(gap.rules) as [keyof typeof ruleWords, number][]
  if (rules.length === 0) return 'No station yet.'
  return `${rules.map(([rule, stations]) => `${ruleWords[rule]} (${many(stations, 'station')})`).join(', ')}.`
}

function conflictInWords(conflict: Conflict): string {
  switch (conflict.kind) {
    case 'again':
      return 'Here a second time.'
    case 'too-long':
      return `Ends in the slot ${inHundred(conflict.finishInSlot)} times in 100.`
    case 'nobody-in-zone':
      return `Nobody of ${conflict.known} in their zone.`
    case 'too-hard':
      return `Too hard for ${conflict.children} of ${conflict.known}: right alone less than half the time.`
    case 'too-few':
      return `Needs at least ${many(conflict.least, 'child', 'children')}.`
    case 'adult-near':
      return `${listed(conflict.names)} ${conflict.names.length === 1 ? 'needs' : 'need'} an adult near. Set this station to “adult near”, or swap it for one with an adult.`
    case 'adult':
      return 'This game needs an adult there.'
    case 'adults':
      return 'This slot needs more adults than you have.'
    case 'places':
      return 'More children than the station takes.'
    case 'floor':
      return 'Another game needs the floor as well.'
    case 'noise':
      return 'With the others too loud for one room.'
    case 'materials':
      return 'This slot needs more than your shelf holds.'
    case 'game-again':
      return 'Played within the last week.'
  }
}
