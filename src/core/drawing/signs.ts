import {
  ArrowRight,
  Check,
  Dice5,
  Eye,
  EyeOff,
  Footprints,
  Forward,
  Hand,
  Hash,
  Layers,
  MapPin,
  MessageCircle,
  Pencil,
  RotateCw,
  SquareStack,
} from 'lucide'
import type { Gesture } from '../games/engine/texts'
import { box, disc, line, type Mark, type Tone } from './marks'
import { scaled } from './scaled'

type Node = readonly [tag: string, attributes: Readonly<Record<string, string | number | undefined>>]

const nodes: Record<Gesture, readonly Node[]> = {
  roll: Dice5,
  spin: RotateCw,
  turn: SquareStack,
  look: Eye,
  count: Hash,
  say: MessageCircle,
  move: ArrowRight,
  place: MapPin,
  build: Layers,
  write: Pencil,
  choose: Hand,
  cover: EyeOff,
  check: Check,
  hop: Footprints,
  pass: Forward,
}

/** Side of the grid the signs are drawn on, and the width of their lines. */
const grid = 24
const stroke = 1.6

/** @throws {Error} for a shape that no sign has had so far */
function asMark([tag, attributes]: Node, tone: Tone): Mark {
  const n = (name: string) => Number(attributes[name] ?? 0)
  switch (tag) {
    case 'path':
      return line(String(attributes.d), tone, stroke)
    case 'circle':
      return disc(n('cx'), n('cy'), n('r'), 'none', tone, stroke)
    case 'rect':
      return box(
        n('x') + n('width') / 2,
        n('y') + n('height') / 2,
        n('width'),
        n('height'),
        n('rx'),
        'none',
        tone,
        stroke,
      )
    case 'line':
      return line(`M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`, tone, stroke)
    default:
      throw new Error(`A sign can't be drawn with “${tag}”.`)
  }
}

/** What the hand or the voice does in a step, round (0, 0), as wide and high as `side`. */
export function signMarks(gesture: Gesture, side: number, tone: Tone = 'ink'): Mark {
  return {
    op: 'group',
    id: `sign ${gesture}`,
    x: -side / 2,
    y: -side / 2,
    marks: nodes[gesture].map((node) => scaled(asMark(node, tone), side / grid)),
  }
}
