import { coinMarks, faceMarks } from '../../drawing/faces'
import { patternNames } from '../../drawing/thing-picture'
import type { AnyGame } from '../../games'
import { pattern, numeral, wheel, type Face } from '../../things/face'
import { coinValues } from '../../skills/coins'
import { nameOf, timesOnCards, type Thing } from '../../things'
import { at, copiesOf, framed, range, type Piece } from '../piece'
import { boardOf } from './boards'
import { card, faceCard, fullPack, questionCards, square, wide } from './cards'
import { creatureHalf } from './creature'
import { dieNet } from './die-net'
import { hundredGrid, numberLine, strip, trackInRows } from './lines'
import { listOfThings, placeValueMat, recordingSheet } from './sheets'
import { facesShown } from './shown-faces'

/** The level whose paper it is, and children in the sets that play it. */
export interface PlayedLevel {
  game: AnyGame
  params: unknown
  players: number
}

/**
 * The pieces of so many of a thing; null: it can't be printed, or not without the level it belongs to. A board is the table of its game without what lies
 * beside it; line cards and question cards differ from one another, and from those of another seed.
 */
export function piecesOf(one: Thing, count: number, level: PlayedLevel | null, seed: number): Piece[] | null {
  const each = piecesOfOne(one)
  if (each) return copiesOf(each, count)
  if (!level)
    return one.kind === 'track' ? copiesOf([trackInRows(one.from, one.to, one.squalls)], count) : null
  const { game, params, players } = level
  if (one.kind === 'line card')
    return range(1, count).map((n) =>
      boardOf(game, { ...(params as object), seed: cardSeed(seed, n) }, 'card'),
    )
  const inPacks = countedInPacks(one, level)
  if (one.kind === 'question cards') {
    const asked = questionCards(inPacks ? count * fullPack : count, params, seed)
    if (asked) return asked
  }
  if (one.kind === 'board' || one.kind === 'track') {
    const own = (materialFor(one, level)?.perPlayer ?? 0) > 0
    return copiesOf([boardOf(game, params, own ? 'own' : 'board')], count)
  }
  // Only the game's own rules know what is on these: they are those of a round of it.
  const faces = facesShown(game, params, one.kind, players, seed)
  if (faces.length === 0) return null
  const all = one.kind === 'claim strips' ? claimStrips(faces) : faces.map((face) => faceCard(face, wide))
  return inPacks ? copiesOf(all, count) : range(0, count - 1).map((i) => all[i % all.length])
}

/** Statements that stand together on a strip, one of them untrue. */
const claimsOnStrip = 3

/** Strips of statements side by side; what the game showed twice running is one strip. */
function claimStrips(faces: readonly Face[]): Piece[] {
  const [width, height] = [186, 30]
  const strips = range(0, faces.length - claimsOnStrip, claimsOnStrip).map((from) =>
    faces.slice(from, from + claimsOnStrip),
  )
  const different = strips.filter(
    (strip, i) => i === 0 || JSON.stringify(strip) !== JSON.stringify(strips[i - 1]),
  )
  const part = width / claimsOnStrip
  return different.map((strip) =>
    framed(
      width,
      height,
      strip.map((face, i) => at((i - 1) * part, 0, faceMarks(face, part * 0.84, height * 0.7), `claim ${i}`)),
    ),
  )
}

const materialFor = (one: Thing, { game, params }: PlayedLevel) =>
  game.materials(params).find(({ thing }) => nameOf(thing) === nameOf(one))

/** True where one of it is a whole pack for a set of children: else each card, sheet or strip is counted. */
function countedInPacks(one: Thing, level: PlayedLevel): boolean {
  const material = materialFor(one, level)
  return (material?.perSet ?? 0) <= 1 && (material?.perPlayer ?? 0) === 0
}

/** The seed of the nth of cards that all differ: those of one job are not those of the next. */
const cardSeed = (seed: number, n: number) => (((seed - 1) * mostLineCards + n - 1) % 1_000_000) + 1
/** Line cards of one job: more than any class has children. */
const mostLineCards = 100

/** Large enough for small hands, five in a row. */
const coinTile = [36, 36] as const

/** The pieces of a thing that is the same in every game. */
function piecesOfOne(one: Thing): Piece[] | null {
  switch (one.kind) {
    case 'number cards': {
      const all = range(one.from, one.to, one.by)
      const some = one.some === null ? all : spread(all, one.some)
      return copiesOf(some, one.copies).map((n) => faceCard(numeral(n)))
    }
    case 'picture cards': {
      const { shows } = one
      return copiesOf(range(one.from, one.to), one.copies).map((n) =>
        shows === 'tens and ones'
          ? faceCard({ kind: 'tens', tens: Math.floor(n / 10), ones: n % 10 }, wide)
          : faceCard(pattern(patternNames[shows], n, one.to), shows === 'ten frames' ? wide : card),
      )
    }
    case 'dominoes':
      return range(0, one.to).flatMap((a) =>
        range(a, one.to).map((b) => faceCard({ kind: 'domino', a, b }, [64, 34])),
      )
    case 'coins':
      return coinValues
        .filter((value) => value <= one.to)
        .flatMap((value) => copiesOf([framed(...coinTile, coinMarks(value, 0, 0, coinTile[0]))], one.copies))
    case 'triangle cards':
      return range(one.op === 'multiply' ? 1 : 0, one.to).flatMap((a) =>
        range(a, one.to)
          .filter((b) => one.among === null || one.among.includes(a) || one.among.includes(b))
          .map((b) => {
            const top = one.op === 'add' ? a + b : a * b
            return faceCard({ kind: 'triangle', a, b, top, covered: 'none' }, square)
          }),
      )
    case 'time cards':
      return timesOnCards(one.every).map((minutes) => faceCard({ kind: 'clock', minutes }, square))
    case 'creature halves':
      return range(one.from, one.to).map((n) => creatureHalf(one.half, n))
    case 'pattern strip':
      return [
        faceCard(
          { kind: 'chain', colours: one.pattern.repeat(Math.ceil(12 / one.pattern.length)).slice(0, 12) },
          [186, 24],
        ),
      ]
    case 'cover strip':
      return [framed(180, 20, [])]
    case 'spinner':
      return [
        framed(
          90,
          90,
          faceMarks(
            one.sectors === 'more and less'
              ? { kind: 'wheel', sectors: ['more', 'less'], at: null }
              : wheel(one.sectors, null),
            84,
            84,
          ),
        ),
      ]
    case 'frame': {
      const [width, height] = { 5: [180, 40], 10: [180, 76], 20: [180, 160] }[one.cells]
      return [
        framed(
          width,
          height,
          faceMarks({ kind: 'frame', n: 0, cells: one.cells }, width * 0.94, height * 0.9),
        ),
      ]
    }
    case 'strip':
      return [strip(range(1, one.to), 180)]
    case 'number line':
      return [numberLine(one.to, one.marks)]
    case 'hundred grid':
      return [hundredGrid(one.to)]
    case 'mat':
      return [placeValueMat('tens', 'ones')]
    case 'hundreds mat':
      return [placeValueMat('hundreds', 'tens')]
    case 'sheet':
      return [recordingSheet(one.columns)]
    case 'table':
      // It stands on the board it belongs to.
      return []
    case 'list':
      return [listOfThings()]
    case 'die':
      return one.sides === 6 ? [dieNet()] : null
    default:
      return null
  }
}

/** So many of them, evenly spread, the first and the last among them. */
const spread = (all: readonly number[], some: number): number[] =>
  Array.from(
    { length: Math.min(some, all.length) },
    (_, i) => all[Math.round((i * (all.length - 1)) / Math.max(1, Math.min(some, all.length) - 1))],
  )
