import type { ThingKind } from '../things'
import type { SceneThing } from '../table/scene'
import { inFives } from './amounts'
import { coinMarks, faceMarks } from './faces'
import { box, disc, fixed, line, playerTone, type Mark, type Tone } from './marks'

/** How a kind of thing is drawn where nothing else is said. */
type Form =
  | 'sketch'
  | 'card'
  | 'die'
  | 'wheel'
  | 'disc'
  | 'ring'
  | 'coin'
  | 'heap'
  | 'cubes'
  | 'pins'
  | 'clock'
  | 'paper'
  | 'object'
  | 'plate'

const formOf: Partial<Record<ThingKind, Form>> = {
  die: 'die',
  spinner: 'wheel',
  'number cards': 'card',
  'picture cards': 'card',
  dominoes: 'card',
  'sum cards': 'card',
  'triangle cards': 'card',
  'time cards': 'card',
  'question cards': 'card',
  'claim strips': 'card',
  'line-up cards': 'card',
  'creature halves': 'card',
  'pattern strip': 'card',
  counter: 'disc',
  marker: 'ring',
  coins: 'coin',
  pebble: 'heap',
  token: 'heap',
  find: 'heap',
  cube: 'cubes',
  'base-ten one': 'cubes',
  'base-ten ten': 'object',
  'base-ten hundred': 'plate',
  pin: 'pins',
  clock: 'clock',
  timer: 'sketch',
  ball: 'sketch',
  cup: 'sketch',
  screen: 'sketch',
}

/** True for what lies over other things and hides them. */
export const covers = ({ kind }: SceneThing): boolean => kind === 'cup' || kind === 'screen'

/** True for things that lie in heaps: they are drawn no larger than they like to be. */
export const isLoose = ({ kind, many }: SceneThing): boolean =>
  many !== undefined && ['heap', 'cubes', 'pins', 'object', 'plate', 'disc'].includes(formOf[kind] ?? 'paper')

/** Width and height that a thing likes to have, in millimetres. */
export function sizeOf({ kind, face, many = 1 }: SceneThing): [number, number] {
  switch (formOf[kind] ?? 'paper') {
    case 'die':
      return [20, 20]
    case 'wheel':
      return [46, 46]
    case 'card':
      if (face?.kind === 'domino') return [36, 19]
      if (face?.kind === 'triangle') return [34, 32]
      if (face?.kind === 'words' || face?.kind === 'chain') return [46, 16]
      if (face?.kind === 'coins') return [64, face.coins.length > 4 ? 34 : 20]
      if (face?.kind === 'groups' || face?.kind === 'tens' || (face?.kind === 'frame' && face.cells > 5))
        return [36, 26]
      return [22, 30]
    case 'coin':
      return [22, 22]
    case 'disc':
    case 'ring':
      return many > 1 ? [Math.min(5, many) * 8, Math.ceil(many / 5) * 8] : [10, 10]
    case 'sketch':
      return [20, 18]
    case 'pins':
      return [Math.min(5, many) * 11, many > 5 ? 44 : 22]
    case 'heap':
    case 'cubes': {
      const blocks = Math.ceil(many / 10)
      if (face?.kind === 'chain') return [14, 14]
      return [Math.min(5, many) * 7 * Math.min(2, blocks), (many > 5 ? 14 : 7) * Math.ceil(blocks / 2)]
    }
    case 'clock':
      return [48, 48]
    case 'object':
      return [many * 5, 34]
    case 'plate':
      return [many * 36, 34]
    case 'paper':
      if (face?.kind === 'frame') return [50, face.cells === 5 ? 11 : face.cells === 10 ? 21 : 45]
      if (face?.kind === 'chest') return [32, 28]
      if (face?.kind === 'numeral') return [30, 26]
      return [46, 14]
  }
}

/** The shape by which a player's things are told, colour or no colour. */
function playerShape(player: number, r: number, fill: Tone, stroke: Tone = 'ink', width = 0.5): Mark {
  const polygon = (corners: number, turn: number) =>
    `M${Array.from({ length: corners }, (_, i) => {
      const angle = ((i + turn) / corners) * 2 * Math.PI
      return `${fixed(Math.sin(angle) * r)} ${fixed(-Math.cos(angle) * r)}`
    }).join('L')}Z`
  switch (player % 6) {
    case 0:
      return disc(0, 0, r * 0.9, fill, stroke, width)
    case 1:
      return box(0, 0, r * 1.6, r * 1.6, r * 0.2, fill, stroke, width)
    case 2:
      return line(polygon(3, 0), stroke, width, fill)
    case 3:
      return line(polygon(4, 0), stroke, width, fill)
    case 4:
      return line(polygon(6, 0), stroke, width, fill)
    default:
      return line(polygon(5, 0), stroke, width, fill)
  }
}

/** The back of a card: nobody can see what is on the other side. */
function backMarks(width: number, height: number): Mark[] {
  const [w, h] = [width * 0.36, height * 0.36]
  return [
    line(
      [-1, -0.5, 0, 0.5, 1]
        .map((k) => `M${fixed(-w)} ${fixed(k * h)}Q0 ${fixed(k * h - h * 0.4)} ${fixed(w)} ${fixed(k * h)}`)
        .join(''),
      'soft',
      0.5,
    ),
  ]
}

function cardMarks({ face, many = 1 }: SceneThing, width: number, height: number): Mark[] {
  const under = Math.min(3, many - 1)
  const stack = Array.from({ length: under }, (_, i) =>
    box((under - i) * 0.9, (under - i) * -0.9, width, height, 1.6, 'sheet', 'ink', 0.4),
  )
  return [
    ...stack,
    box(0, 0, width, height, 1.6, 'sheet', 'ink', 0.5),
    ...(face ? faceMarks(face, width * 0.82, height * 0.78) : backMarks(width, height)),
  ]
}

/** Hundreds side by side, each of ten tens. */
function plateMarks(many: number, width: number, height: number): Mark[] {
  const each = width / many
  const side = Math.min(each * 0.92, height)
  const tens = Array.from({ length: 9 }, (_, i) => fixed((i + 1) * (side / 10) - side / 2))
  return Array.from({ length: many }, (_, i) => (i - (many - 1) / 2) * each).flatMap((x) => [
    box(x, 0, side, side, 0.4, 'water', 'ink', 0.4),
    line(
      tens
        .map(
          (t) =>
            `M${fixed(x + Number(t))} ${fixed(-side / 2)}v${fixed(side)}M${fixed(x - side / 2)} ${t}h${fixed(side)}`,
        )
        .join(''),
      'ink',
      0.25,
    ),
  ])
}

/** What has no face of its own, by its outline. */
function sketchMarks(kind: ThingKind, side: number): Mark[] {
  const r = side * 0.42
  const at = (x: number, y: number) => `${fixed(x * r)} ${fixed(y * r)}`
  switch (kind) {
    case 'timer':
      return [
        line(`M${at(-0.7, -1)}L${at(0.7, -1)}L${at(-0.7, 1)}L${at(0.7, 1)}Z`, 'ink', 0.6, 'sheet'),
        line(`M${at(-0.35, 0.5)}L${at(0.35, 0.5)}L${at(0.7, 1)}L${at(-0.7, 1)}Z`, 'none', 0, 'accent'),
      ]
    case 'ball':
      return [
        disc(0, 0, r, 'water', 'ink', 0.6),
        line(`M${at(-0.9, -0.2)}Q${at(0, 0.4)} ${at(0.9, -0.2)}`, 'ink', 0.4),
      ]
    case 'cup':
      return [line(`M${at(-0.75, -1)}L${at(0.75, -1)}L${at(1, 1)}L${at(-1, 1)}Z`, 'ink', 0.6, 'water')]
    default:
      return [
        box(0, 0, side, side * 0.9, 1, 'water', 'ink', 0.6),
        line(`M${at(-0.4, -1)}V${fixed(r)}M${at(0.4, -1)}V${fixed(r)}`, 'ink', 0.4),
      ]
  }
}

/** A thing round (0, 0) in a box of so many millimetres. */
export function thingMarks(one: SceneThing, width: number, height: number): Mark[] {
  const { kind, face, owner, many = 1 } = one
  const side = Math.min(width, height)
  const tone: Tone = owner === null ? 'accent' : playerTone(owner)
  switch (formOf[kind] ?? 'paper') {
    case 'die':
      return [
        box(0, 0, side, side, side * 0.16, 'sheet', 'ink', 0.6),
        ...(face?.kind === 'pips'
          ? faceMarks(face, side * 0.94, side * 0.94)
          : face
            ? faceMarks(face, side * 0.8, side * 0.8)
            : []),
      ]
    case 'wheel':
      return face ? faceMarks(face, side, side) : [disc(0, 0, side * 0.47, 'sheet', 'ink', 0.6)]
    case 'card':
      return cardMarks(one, width, height)
    case 'disc':
      return many > 1
        ? inFives(many, width, height, (x, y, size) => disc(x, y, size * 0.4, tone, 'ink', 0.35))
        : [
            playerShape(owner ?? 0, side / 2, owner === null ? 'veil' : tone),
            ...(face ? faceMarks(face, side * 0.6, side * 0.6) : []),
          ]
    case 'ring':
      return [playerShape(owner ?? 0, side / 2, 'none', tone, side * 0.13)]
    case 'coin':
      return face?.kind === 'numeral'
        ? coinMarks(face.n, 0, 0, side)
        : [disc(0, 0, side * 0.45, 'sheet', 'ink', 0.6)]
    case 'heap':
      return inFives(many, width, height, (x, y, size) => disc(x, y, size * 0.38, 'accent', 'ink', 0.35))
    case 'cubes':
      if (face) return faceMarks(face, width, height)
      return inFives(many, width, height, (x, y, size) =>
        box(x, y, size * 0.86, size * 0.86, size * 0.1, owner === null ? 'water' : tone, 'ink', 0.35),
      )
    case 'sketch':
      return sketchMarks(kind, side)
    case 'pins':
      return inFives(many, width, height, (x, y, size) =>
        box(x, y, size * 0.44, size * 0.9, size * 0.2, 'water', 'ink', 0.4),
      )
    case 'clock':
      return face ? faceMarks(face, side, side) : [disc(0, 0, side * 0.47, 'sheet', 'ink', 0.6)]
    case 'object': {
      const each = width / many
      return Array.from({ length: many }, (_, i) =>
        box((i - (many - 1) / 2) * each, 0, each * 0.7, height, 0.4, 'water', 'ink', 0.4),
      )
    }
    case 'plate':
      return plateMarks(many, width, height)
    case 'paper':
      if (face?.kind === 'shade')
        return [box(0, 0, width, height, 1, owner === null ? 'veil' : tone, 'none', 0)]
      if (face) return faceMarks(face, width, height)
      return [box(0, 0, width, height, 1.5, 'veil', 'ink', 0.4)]
  }
}

/** What a screen reader says of a thing: what it is, how many, what it shows. */
export function thingInWords({ kind, face, many, owner }: SceneThing): string {
  const whose = owner === null ? '' : ` of player ${owner + 1}`
  const shown =
    face === null
      ? ''
      : face.kind === 'numeral' ||
          face.kind === 'pips' ||
          face.kind === 'fingers' ||
          face.kind === 'chest' ||
          face.kind === 'objects'
        ? ` ${face.n}`
        : face.kind === 'words'
          ? ` ${face.text}`
          : face.kind === 'wheel' && face.at !== null
            ? ` ${face.sectors[face.at]}`
            : face.kind === 'sum'
              ? ` ${face.a} + ${face.b}`
              : face.kind === 'coins'
                ? ` coins of ${face.coins.join(', ')}`
                : ''
  return `${many === undefined ? '' : `${many} × `}${kind}${whose}${shown}`
}
