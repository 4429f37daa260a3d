import { practised, slipsIn } from '@/core/games/playing/practised'
import type { Trying } from '@/core/games/playing/trying'
import { stepOf } from '@/core/skills'
import { slipInWords, winnersInWords } from '../show/in-words'

/** What was practised in a game, and what went astray: for who plays, kept nowhere. */
export default function Summary({ trying }: { trying: Trying }) {
  const [steps, slips] = [practised(trying), slipsIn(trying.done)]
  const { phase, winners, state } = trying.round
  const won = phase === 'over' && <p className="show-prompt">{winnersInWords(winners, state.players)}</p>
  if (steps.length === 0) return won || <p className="show-prompt">The game is over.</p>
  return (
    <div className="try-summary">
      {won}
      <h2>What was practised</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Right at once</th>
          </tr>
        </thead>
        <tbody>
          {steps.map(({ place, right, of }) => (
            <tr key={`${place.strand} ${place.step}`}>
              <td>{stepOf(place).short}</td>
              <td>
                {right} of {of}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {slips.length > 0 && (
        <>
          <h2>Slips</h2>
          <ul className="plain-list">
            {slips.map(({ reason, count }) => (
              <li key={reason}>
                {slipInWords[reason]} {count > 1 && `${count} times.`}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}
