import { faceMarks } from '@/core/drawing/faces'
import type { PracticeItem } from '@/core/skills'
import type { Face } from '@/core/table'
import { Marks } from '../board/mark-shape'

/** Help that grows with each wrong answer: look again, then see it, then count along. */
export function Help({ item, wrong }: { item: PracticeItem; wrong: number }) {
  if (wrong === 0) return null
  const face = wrong >= 2 ? pictureFor(item) : null
  return (
    <div className="try-help" role="status">
      <p>Not yet: look again.</p>
      {face && (
        <svg className="board" viewBox="-60 -24 120 48" role="img" aria-label="A picture of it">
          <Marks marks={face.flatMap(({ face: one, x }) => moved(faceMarks(one, 54, 40), x))} />
        </svg>
      )}
      {wrong >= 3 && <p className="try-count">{countAlong(item)}</p>}
    </div>
  )
}

const moved = (marks: ReturnType<typeof faceMarks>, x: number) => [
  { op: 'group' as const, id: `help ${x}`, x, y: 0, marks },
]

/** What is added or taken away, as dots in fives; null where a picture would be a crowd. */
function pictureFor(item: PracticeItem): { face: Face; x: number }[] | null {
  const two = (a: number, b: number) =>
    Math.max(a, b) > 30
      ? null
      : [
          { face: { kind: 'objects' as const, n: a }, x: -30 },
          { face: { kind: 'objects' as const, n: b }, x: 30 },
        ].filter(({ face }) => face.n > 0)
  switch (item.op) {
    case 'add':
      return two(item.a, item.b)
    case 'subtract':
      return two(item.a, 0)
    case 'missing':
      return two(item.part, 0)
    case 'tens':
      return [{ face: { kind: 'tens', tens: item.tens, ones: item.ones }, x: 0 }]
    default:
      return null
  }
}

/** The numbers that are said on the way; the last one is left to the child. */
function countAlong(item: PracticeItem): string {
  const [from, to] =
    item.op === 'add'
      ? [Math.max(item.a, item.b), item.answer]
      : item.op === 'subtract'
        ? [item.a, item.answer]
        : item.op === 'missing'
          ? [item.part, item.whole]
          : item.op === 'change'
            ? [item.price, item.paid]
            : [null, 0]
  if (from === null || Math.abs(to - from) > 12) return 'Ask a partner to show you.'
  if (from === to) return `It stays ${to}.`
  const step = Math.sign(to - from)
  const said: number[] = []
  for (let number = from; number !== to; number += step) said.push(number)
  return item.op === 'missing' || item.op === 'change'
    ? `From ${from}: ${[...said.slice(1), to].join(', ')}. How many?`
    : `${said.join(', ')}, …`
}
