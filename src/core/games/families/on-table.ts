import { askedOnCard, type PracticeItem } from '../../skills/item'
import {
  beside,
  numeral,
  pips,
  place,
  wheel,
  words,
  type Face,
  type Layout,
  type SceneThing,
} from '../../table'
import type { ThingKind } from '../../things'
import type { Numbers } from '../engine/source'

/** A thing that lies on a spot; nobody's unless `owner` says whose. */
export const lie = (
  id: string,
  kind: ThingKind,
  at: string,
  face: Face | null = null,
  { owner = null, many }: { owner?: number | null; many?: number } = {},
): SceneThing => ({ id, kind, owner, at, face, ...(many === undefined ? {} : { many }) })

/** A heap of equal things; nothing where there are none. */
export const heap = (
  id: string,
  kind: ThingKind,
  at: string,
  many: number,
  owner: number | null = null,
): SceneThing[] => (many > 0 ? [lie(id, kind, at, null, { owner, many })] : [])

/** Where the device of a game lies: dice, a wheel, or a pack with the card turned beside it. */
export function deviceSpots(
  source: Numbers,
  dice: 'side by side' | 'under each other' = 'side by side',
): Layout {
  if (source.kind === 'dice')
    return place(
      'device',
      dice === 'side by side' ? [24 * source.count + 4, 24] : [24, 24 * source.count + 4],
    )
  if (source.kind === 'spinner') return place('device', [48, 48])
  return packSpots()
}

/** A pack face down, and where a card of it is turned. */
export const packSpots = (open: readonly [number, number] = [24, 32]): Layout =>
  beside(8, place('pack', [26, 34], { label: 'pack' }), place('open', open))

/** The device with what it turned up last; nothing turned up: it lies ready. */
export function deviceThings(source: Numbers, thrown: readonly number[]): SceneThing[] {
  if (source.kind === 'dice') return diceThings(source.count, thrown)
  if (source.kind === 'spinner') {
    const [at] = thrown
    return [lie('spinner', 'spinner', 'device', wheel(source.sectors, at ?? null))]
  }
  return packThings('number cards', thrown.length > 0 ? numeral(thrown[0]) : undefined)
}

/** Dice on a spot; those not thrown lie without a face. */
export const diceThings = (
  count: number,
  thrown: readonly number[],
  at = 'device',
  id = 'die',
): SceneThing[] =>
  Array.from({ length: count }, (_, i) =>
    lie(`${id}-${i}`, 'die', at, i < thrown.length ? dieFace(thrown[i]) : null),
  )

const dieFace = (n: number): Face => (n >= 0 && n <= 9 ? pips(n) : numeral(n))

/** The pack, and the card turned from it: null lies face down, undefined: none is out. */
export const packThings = (kind: ThingKind, open?: Face | null, many?: number): SceneThing[] => [
  ...(many === 0 ? [] : [lie('pack', kind, 'pack', null, many === undefined ? {} : { many })]),
  ...(open === undefined ? [] : [lie('card', kind, 'open', open)]),
]

/** What a card asks: coins to be counted as they lie, else the sentence with a gap. */
export const asking = (item: PracticeItem): Face =>
  item.op === 'coins' ? { kind: 'coins', coins: item.coins } : words(askedOnCard(item))
