import { faceMarks } from '@/core/drawing/faces'
import type { PracticeItem } from '@/core/skills'
import type { Face } from '@/core/table'
import { countedAlong, pictureOfItem } from '@/core/skills/help'
import { Marks } from '../board/mark-shape'

/** Help that grows with each wrong answer: look again, then see it, then count along. */
export function Help({ item, wrong }: { item: PracticeItem; wrong: number }) {
  if (wrong === 0) return null
  const faces = wrong >= 2 ? pictureOfItem(item) : null
  return (
    <div className="try-help" role="status">
      <p>Not yet: look again.</p>
      {faces && (
        <svg className="board" viewBox="-60 -24 120 48" role="img" aria-label="A picture of it">
          <Marks marks={faces.map((face, i) => standing(face, (i - (faces.length - 1) / 2) * 60))} />
        </svg>
      )}
      {wrong >= 3 && <p className="try-count">{countedAlong(item)}</p>}
    </div>
  )
}

const standing = (face: Face, x: number) => ({
  op: 'group' as const,
  id: `help ${x}`,
  x,
  y: 0,
  marks: faceMarks(face, 54, 40),
})
