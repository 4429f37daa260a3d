import { groupNames } from '@/core/grouping/pennants'
import type { PlanView } from '@/core/planning/session/work-out'
import { oneDecimal, many, paceInWords } from '../words'
import { adultsInWords } from './adults-in-words'
import { partnersInWords, WhoWithWhom } from './who-with-whom'

const partWords = {
  'warm-up': 'warm-up',
  show: 'show',
  slots: 'stations',
  tidy: 'tidy',
  talk: 'talk',
} as const

/** Within so many school days every group should have been with the teacher. */
const aWeek = 5

/** What is not about one cell: the session's parts, what to show first, who has not met the teacher, what it weighs. */
export function PlanNotes({ view }: { view: PlanView }) {
  const { times, showFirst, costs } = view
  const led = view.stations.flatMap(({ id, mode }) => (mode === 'adult-led' ? [id] : []))
  const without = view.groups.filter(
    ({ id, sinceTeacher, children }) =>
      led.length > 0 &&
      children.length > 0 &&
      (sinceTeacher === null || sinceTeacher >= aWeek) &&
      !view.visits.some((visit) => visit.groupId === id && led.includes(visit.stationId)),
  )
  const again = new Map<string, Set<string>>()
  for (const { kind, slot, groupId } of view.conflicts) {
    const visit = view.visits.find((one) => one.slot === slot && one.groupId === groupId)
    if (kind !== 'game-again' || !visit) continue
    const { title } = view.stations.find(({ id }) => id === visit.stationId)!
    again.set(title, (again.get(title) ?? new Set()).add(groupId))
  }
  const ownLevels = new Set(
    view.visits.flatMap((visit) => (visit.eachItsOwn ? [] : Object.keys(visit.ownLevels))),
  )
  const namesOf = (ids: ReadonlySet<string>) =>
    view.groups.flatMap(({ children }) => children.filter(({ id }) => ids.has(id)).map(({ name }) => name))
  const divided = view.visits.filter(({ seats }) => seats.length > 1)
  const list = (pennants: readonly number[]) => pennants.map((pennant) => groupNames[pennant]).join(', ')
  return (
    <div className="plan-notes small">
      <dl>
        <dt>Minutes</dt>
        <dd>
          {times.parts.map(({ part, minutes }) => `${partWords[part]} ${minutes}`).join(' · ')}; ends at{' '}
          {times.ends}
          {times.over > 0 && <span className="clash-text">, {times.over} minutes over the lesson</span>}
        </dd>
        {paceInWords(view.pace) && (
          <>
            <dt>Pace</dt>
            <dd>{paceInWords(view.pace)}</dd>
          </>
        )}
        {view.liked.length > 0 && (
          <>
            <dt>Liked</dt>
            <dd>
              {view.liked
                .map(({ title, liked, of }) => `${title} ${liked} of ${many(of, 'time')}`)
                .join(', ')}
            </dd>
          </>
        )}
        {showFirst.length > 0 && (
          <>
            <dt>Show first</dt>
            <dd>
              {showFirst
                .map(({ title, pennants }) =>
                  pennants.length === view.groups.length
                    ? `${title} to all`
                    : `${title} to ${list(pennants)}`,
                )
                .join('; ')}
            </dd>
          </>
        )}
        {ownLevels.size > 0 && (
          <>
            <dt>Own levels</dt>
            <dd>
              {namesOf(ownLevels).join(', ')}: where their group’s level does not suit them they play at the
              nearest that does, beside the others. Choose a level in a cell to have all play it.
            </dd>
          </>
        )}
        {again.size > 0 && (
          <>
            <dt>Again soon</dt>
            <dd>
              Played within the last week:{' '}
              {[...again]
                .map(([title, groups]) =>
                  groups.size === view.groups.length ? title : `${title} (${many(groups.size, 'group')})`,
                )
                .join(', ')}
              .
            </dd>
          </>
        )}
        {view.adults.length > 0 && (
          <>
            <dt>Adults</dt>
            <dd>{adultsInWords(view)}</dd>
          </>
        )}
        {divided.length > 0 && (
          <>
            <dt>Partners</dt>
            <dd>{partnersInWords(view)}</dd>
          </>
        )}
        {without.length > 0 && (
          <>
            <dt>With you soon</dt>
            <dd>{list(without.map(({ pennant }) => pennant))}: not at your table this week.</dd>
          </>
        )}
      </dl>
      {divided.length > 0 && <WhoWithWhom view={view} />}
      {costs.length > 0 && (
        <details>
          <summary>What this plan is weighed by</summary>
          <p className="tiny muted">Less is better; the planner looks for the least sum.</p>
          <ul className="rows tiny">
            {costs.map(({ rule, cost }) => (
              <li key={rule}>
                <span className="grow">{costWords[rule]}</span>
                <span>{oneDecimal(cost)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}

const costWords: Record<PlanView['costs'][number]['rule'], string> = {
  fit: 'Levels off the zone, games too long for the slot',
  'station-again': 'A station a second time',
  'game-again': 'A game again within a week',
  'partner-again': 'Partners twice running',
  'no-teacher': 'A group not at your table',
  'late-teacher': 'A group late at your table',
  'strand-minutes': 'Minutes of a strand missed',
  'noise-beside-quiet': 'Loud beside quiet',
  unplaced: 'A group nowhere',
  variety: 'Too few or too many games',
}
