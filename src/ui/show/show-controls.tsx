import Link from 'next/link'
import type { Notable } from '@/core/games/engine/round'
import type { ShowPage } from '@/server/show'
import { KeysButton } from '../keys/keys-button'
import { caseInWords, oftenInWords } from './in-words'
import { LevelChoice } from './level-choice'
import type { useShowing } from './use-showing'

type Showing = ReturnType<typeof useShowing>

/** What can be done with the picture before the class. */
export function ShowKeys({
  showing,
  onLookAgain,
}: {
  showing: Showing
  /** Null: nothing is looked at for a moment only. */
  onLookAgain: (() => void) | null
}) {
  const { frame, over, waitsForDevice, hops, counting, slip, device, real } = showing
  return (
    <div className="show-keys">
      <button
        type="button"
        className="btn btn-primary"
        onClick={showing.onward}
        disabled={over || waitsForDevice}
      >
        {frame.round.phase === 'roll' ? 'Next go' : frame.item ? 'Answer' : 'Next'}
      </button>
      <button type="button" className="btn btn-plain" onClick={showing.back} disabled={showing.atStart}>
        Back
      </button>
      <button type="button" className="btn btn-plain" onClick={showing.rollAgain} disabled={over}>
        Roll again
      </button>
      {hops.length > 0 && (
        <button type="button" className="btn btn-plain" onClick={showing.countOne}>
          Count {counting < hops.length ? counting + 1 : hops.length}
        </button>
      )}
      {onLookAgain && (
        <button type="button" className="btn btn-plain" onClick={onLookAgain}>
          Look again
        </button>
      )}
      <button
        type="button"
        className="btn btn-plain"
        onClick={showing.someoneSlips}
        disabled={!showing.canSlip}
      >
        {slip && !slip.told ? 'Why?' : 'Someone slips'}
      </button>
      {device && (
        <button type="button" className="btn btn-plain" aria-pressed={real} onClick={showing.useReal}>
          Real {device}
        </button>
      )}
    </div>
  )
}

/** Another level, a case to be seen, and the way out. */
export function ShowChoices({
  classId,
  page: { game, level, levels, timed },
  showing,
  wayOut,
}: {
  classId: string
  page: ShowPage
  showing: Showing
  wayOut: string
}) {
  return (
    <div className="show-choose">
      <LevelChoice level={level.id} levels={levels} at={`/c/${classId}/show/${game.id}`} />
      {showing.cases.length > 0 && (
        <label>
          <span className="visually-hidden">Show a case</span>
          <select value="" onChange={({ target }) => showing.jumpTo(target.value as Notable)}>
            <option value="" disabled>
              Show …
            </option>
            {showing.cases.map(({ case: one, share }) => (
              <option key={one} value={one}>
                {caseInWords[one]}, {oftenInWords(share)}
              </option>
            ))}
          </select>
        </label>
      )}
      {timed && <Link href={`/c/${classId}/questions?time=yes`}>Rounds against time</Link>}
      <KeysButton />
      <Link href={wayOut}>Close</Link>
    </div>
  )
}
