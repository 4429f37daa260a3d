import type { SceneThing } from '../table/scene'
import { numeral, pattern, pips, wheel, words, type Face } from '../things/face'
import { nameOf, type Thing } from '../things'
import { box, disc, fitted, line, type Mark } from './marks'
import { scaled } from './scaled'
import { sizeOf, thingMarks } from './things'

/** How a pattern is called among the picture cards. */
export const patternNames = {
  'dice dots': 'dice',
  fingers: 'fingers',
  'ten frames': 'frame',
  'dots in two groups': 'groups',
} as const

/** What shows on a thing that lies in a list: one of its faces. */
function faceOf(one: Thing): Face | null {
  switch (one.kind) {
    case 'die':
      return one.sides <= 9 ? pips(Math.min(5, one.sides)) : numeral(one.sides)
    case 'spinner':
      return one.sectors === 'more and less'
        ? { kind: 'wheel', sectors: ['more', 'less'], at: null }
        : wheel(one.sectors, null)
    case 'number cards':
      return numeral(one.from + one.by * Math.min(3, Math.floor((one.to - one.from) / one.by)))
    case 'picture cards': {
      const n = Math.min(one.to, Math.max(one.from, 4))
      return one.shows === 'tens and ones'
        ? { kind: 'tens', tens: Math.floor(one.to / 10), ones: 3 }
        : pattern(patternNames[one.shows], n, one.to)
    }
    case 'coins':
      return numeral(one.to)
    case 'dominoes':
      return { kind: 'domino', a: 2, b: 3 }
    case 'triangle cards':
      return { kind: 'triangle', a: 2, b: 3, top: one.op === 'add' ? 5 : 6, covered: 'none' }
    case 'time cards':
    case 'clock':
      return { kind: 'clock', minutes: 180 }
    case 'frame':
      return { kind: 'frame', n: 3, cells: one.cells }
    case 'sum cards':
      return { kind: 'sum', a: 2, b: 3 }
    case 'question cards':
    case 'line-up cards':
    case 'claim strips':
      return words('?')
    case 'creature halves':
      // One of none would be a blank.
      return { kind: 'objects', n: Math.min(one.to, Math.max(one.from, 3)) }
    case 'pattern strip':
      return { kind: 'chain', colours: one.pattern.slice(0, 6) }
    default:
      return null
  }
}

/** Sheets and boards, by what is seen of them from afar. */
function paperMarks(one: Thing, width: number, height: number): Mark[] | null {
  const w = Math.min(width, height * 1.5)
  switch (one.kind) {
    case 'track':
    case 'strip':
    case 'number line': {
      const to = one.to
      const from = one.kind === 'track' ? one.from : one.kind === 'strip' ? 1 : 0
      const r = w / 8
      return [from, from + 1, to].flatMap((n, i) => {
        const x = (i - 1) * r * 2.5
        return [disc(x, 0, r, 'sheet', 'ink', 0.4), fitted(String(n), x, 0, r * 1.5, r * 1.4)]
      })
    }
    case 'hundred grid':
    case 'board':
    case 'line card':
    case 'table': {
      const n = one.kind === 'line card' ? one.size : 4
      const side = Math.min(width, height) * 0.9
      const lines = Array.from({ length: n + 1 }, (_, i) => {
        const at = ((i / n - 0.5) * side).toFixed(2)
        const half = (side / 2).toFixed(2)
        return `M-${half} ${at}H${half}M${at} -${half}V${half}`
      })
      return [line(lines.join(''), 'ink', 0.35)]
    }
    case 'sheet':
    case 'list':
    case 'mat':
    case 'hundreds mat':
    case 'cover strip': {
      const h = Math.min(height, width * 1.2) * 0.9
      const across = h * 0.72
      const rows = [-0.22, 0, 0.22].map(
        (y) => `M${(-across * 0.34).toFixed(2)} ${(h * y).toFixed(2)}h${(across * 0.68).toFixed(2)}`,
      )
      return [box(0, 0, across, h, 0.8, 'sheet', 'ink', 0.4), line(rows.join(''), 'soft', 0.35)]
    }
    case 'pencil':
    case 'pen': {
      const l = Math.min(width, height * 2.4) * 0.45
      const b = l * 0.16
      return [
        line(
          `M${-l} ${-b}H${l * 0.6}L${l} 0L${l * 0.6} ${b}H${-l}ZM${l * 0.6} ${-b}V${b}`,
          'ink',
          0.4,
          one.kind === 'pen' ? 'accent' : 'second',
        ),
      ]
    }
    default:
      return null
  }
}

/** A thing by itself round (0, 0), for a list of what is needed. */
export function thingPicture(one: Thing, width: number, height: number): Mark {
  const shown: SceneThing = { id: '', kind: one.kind, owner: null, at: '', face: faceOf(one) }
  const [likesWidth, likesHeight] = sizeOf(shown)
  const scale = Math.min(width / likesWidth, height / likesHeight)
  return {
    op: 'group',
    id: `picture of ${nameOf(one)}`,
    x: 0,
    y: 0,
    marks:
      paperMarks(one, width, height) ??
      thingMarks(shown, likesWidth, likesHeight).map((mark) => scaled(mark, scale)),
  }
}
