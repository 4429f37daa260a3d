import { signMarks } from '@/core/drawing/signs'
import type { Gesture } from '@/core/games/engine/texts'
import { MarkShape } from '../board/mark-shape'

/** What the hand or the voice does in a step; the words beside it say it too. */
export function GestureSign({ gesture }: { gesture: Gesture }) {
  return (
    <svg className="board sign" width={28} height={28} viewBox="-12 -12 24 24" aria-hidden>
      <MarkShape mark={signMarks(gesture, 24)} />
    </svg>
  )
}
