import type { Face } from '../things/face'
import type { PracticeItem } from './item'

/** More dots than this in one picture are a crowd. */
const mostDots = 30
/** More numbers than this are not said one by one. */
const mostSaid = 12

/** What is put together, taken from or filled up, as pictures side by side; null where a picture would be a crowd or none helps. */
export function pictureOfItem(item: PracticeItem): Face[] | null {
  const dots = (...counts: number[]): Face[] | null =>
    Math.max(...counts) > mostDots
      ? null
      : counts.filter((n) => n > 0).map((n) => ({ kind: 'objects' as const, n }))
  switch (item.op) {
    case 'add':
      return dots(item.a, item.b)
    case 'subtract':
      return dots(item.a)
    case 'missing':
      return dots(item.part)
    case 'tens':
      return [{ kind: 'tens', tens: item.tens, ones: item.ones }]
    default:
      return null
  }
}

/** The numbers that are said on the way to the answer, which is left to the child. */
export function countedAlong(item: PracticeItem): string {
  const [from, to] = wayOf(item) ?? [null, 0]
  if (from === null || Math.abs(to - from) > mostSaid) return 'Ask a partner to show you.'
  if (from === to) return `It stays ${to}.`
  const step = Math.sign(to - from)
  const said = Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => from + i * step)
  // How far it is is the answer: every number is said, and the child counts them.
  return item.op === 'missing' || item.op === 'change'
    ? `From ${from}: ${said.slice(1).join(', ')}. How many?`
    : `${said.slice(0, -1).join(', ')}, …`
}

function wayOf(item: PracticeItem): [number, number] | null {
  switch (item.op) {
    case 'add':
      return [Math.max(item.a, item.b), item.answer]
    case 'subtract':
      return [item.a, item.answer]
    case 'missing':
      return [item.part, item.whole]
    case 'change':
      return [item.price, item.paid]
    default:
      return null
  }
}
