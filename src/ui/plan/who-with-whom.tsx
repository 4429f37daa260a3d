import { groupNames } from '@/core/grouping/pennants'
import type { PlanView } from '@/core/planning/session/work-out'
import { Pennant } from '../pennant'

type PartnersView = Pick<PlanView, 'groups' | 'visits' | 'pairsStay'>

const namesIn = ({ groups }: Pick<PlanView, 'groups'>) =>
  new Map(groups.flatMap(({ children }) => children.map(({ id, name }) => [id, name] as const)))

/** Who has to play with the same partner twice running, that nobody has, or that pairs stay. */
export function partnersInWords(view: PartnersView): string {
  if (view.pairsStay) return 'Pairs within reach stay together.'
  const names = namesIn(view)
  const again = view.visits.flatMap(({ slot, partnersAgain }) =>
    partnersAgain.map(([a, b]) => `${names.get(a)} with ${names.get(b)} in slot ${slot + 1}`),
  )
  if (again.length === 0) return 'Nobody has the same partner twice running.'
  const more = again.length > mostTold ? ` and ${again.length - mostTold} more` : ''
  return `Twice running, as the numbers leave no other way: ${again.slice(0, mostTold).join(', ')}${more}.`
}

const mostTold = 3

/** The sets of every group, slot by slot. */
export function WhoWithWhom({ view }: { view: PlanView }) {
  const names = namesIn(view)
  return (
    <details className="who-with-whom">
      <summary>Who plays with whom</summary>
      <table className="tiny">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">Group</span>
            </th>
            {view.times.slots.map((_, slot) => (
              <th key={slot} scope="col">
                Slot {slot + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.groups.map(({ id, pennant }) => (
            <tr key={id}>
              <th scope="row">
                <Pennant number={pennant} size={16} />
                {groupNames[pennant]}
              </th>
              {view.times.slots.map((_, slot) => {
                const visit = view.visits.find((one) => one.slot === slot && one.groupId === id)
                return (
                  <td key={slot}>
                    {!visit ? (
                      <span className="muted">nowhere</span>
                    ) : visit.seats.length < 2 ? (
                      <span className="muted">all together</span>
                    ) : (
                      visit.seats.map((set) => (
                        <div key={set[0]}>{set.map((child) => names.get(child)).join(', ')}</div>
                      ))
                    )}
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}
