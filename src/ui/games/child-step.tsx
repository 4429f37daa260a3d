import type { StepPicture } from '@/core/games/playing/step-pictures'
import type { ChildStep as Step } from '@/core/games/engine/texts'
import { Board } from '../board/board'
import { GestureSign } from './gesture-sign'

/** One thing a child does: what it looks like on the table, what the hand does, the words. */
export function ChildStep({ step: [gesture, words], picture }: { step: Step; picture: StepPicture | null }) {
  return (
    <li>
      <GestureSign gesture={gesture} />
      <span className="step-picture">
        {picture?.kind === 'table' && (
          <Board layout={picture.layout} scene={picture.scene} name={`What it looks like: ${words}`} />
        )}
        {picture?.kind === 'said' && <span className="step-said">{picture.words}</span>}
      </span>
      <span>{words}</span>
    </li>
  )
}
