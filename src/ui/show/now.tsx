import { gameOf } from '@/core/games'
import type { Frame } from '@/core/games/playing/showing'
import { itemAsked, sentenceOf, type PracticeItem } from '@/core/skills/item'
import type { Scene } from '@/core/table'
import { hintFor, moveInWords, promptFor, winnersInWords } from './in-words'
import { Sentence } from './sentence'

/** What was worked out, as it would stand on a sheet; the last few. */
export function SoFar({ answered }: { answered: readonly PracticeItem[] }) {
  const sentences = answered.map(sentenceOf).filter((text) => /[=<>]/.test(text))
  return (
    <div className="show-so-far" aria-live="polite">
      {sentences.length > 0 && (
        <>
          <h2>So far</h2>
          <ol>
            {sentences.slice(-3).map((text, i) => (
              <li key={`${text} ${i}`}>{text}</li>
            ))}
          </ol>
        </>
      )}
    </div>
  )
}

/** What stands open now, or what was done. */
export function Now({
  frame,
  over,
  talk,
  players,
}: {
  frame: Frame
  over: boolean
  talk: string
  players: number
}) {
  const { stage, item, move, waits, faces, player } = frame
  // One call serves all: nobody's go is told apart.
  const who = players > 1 && gameOf(frame.round.game).goes !== 'call' ? `Player ${player + 1}` : null
  if (stage === 'ready')
    return (
      <div className="show-now">
        <h2>Ready</h2>
        <p className="show-prompt">Watch first. Then tell a partner what happened.</p>
      </div>
    )
  if (stage === 'asked' && item) {
    return (
      <div className="show-now">
        <h2>{who ?? 'Now'}</h2>
        {item.op !== 'count' && item.op !== 'see' && item.op !== 'order' && item.op !== 'numeral' && (
          <Sentence text={itemAsked(item)} data-sentence={itemAsked(item)} />
        )}
        <p className="show-prompt">{promptFor(item, move?.verb)}</p>
        <p className="show-hint">{hintFor(item)}</p>
      </div>
    )
  }
  if (stage === 'device')
    return (
      <div className="show-now">
        <h2>{who ?? 'Now'}</h2>
        <p className="show-prompt">{facesInWords(faces, frame.scene)}</p>
      </div>
    )
  const { table } = gameOf(frame.round.game)
  const left = table.left?.(frame.round.state)
  // How often is told after the class has worked it out.
  const call = stage === 'moved' ? table.calls?.(frame.round.state) : null
  const words = waits ? 'Nothing fits: wait for the next go' : move ? moveInWords(move) : ''
  const last = frame.answered.at(-1)
  return (
    <div className="show-now">
      <h2>{over ? 'The end' : (who ?? 'Now')}</h2>
      {last && !waits && <Sentence text={sentenceOf(last)} />}
      <p className="show-prompt">{words}</p>
      {call && <p className="show-hint">{callInWords(call)}</p>}
      {left !== undefined && (
        <p className="show-hint">{left === 1 ? 'One number is left.' : `${left} numbers are left.`}</p>
      )}
      {over && (
        <>
          <p className="show-prompt">{winnersInWords(frame.round.winners, frame.round.state.players)}</p>
          <p className="show-hint">{talk}</p>
        </>
      )}
    </div>
  )
}

/** What all do: “Jump 5 times, at your own pace.” */
function callInWords({ action, times }: { action: string; times: number }): string {
  if (times === 0) return 'No key word: nobody moves.'
  const verb = action.charAt(0).toUpperCase() + action.slice(1)
  return `${verb} ${times === 1 ? 'once' : `${times} times`}, at your own pace.`
}

/** The numbers of the device where they lie open as numbers; a covered die, or a card with a picture, is not told. */
function facesInWords(faces: readonly number[], { things }: Scene): string {
  const open = things.flatMap(({ face }) =>
    face?.kind === 'numeral' || face?.kind === 'pips'
      ? [face.n]
      : face?.kind === 'wheel' && face.at !== null
        ? [Number(face.sectors[face.at])]
        : [],
  )
  return faces.every((face) => open.includes(face)) ? faces.join(' and ') : ''
}
