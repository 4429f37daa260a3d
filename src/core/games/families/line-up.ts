import { drawn, type Chance } from '../../chance/chance'
import type { PracticeItem } from '../../skills'
import { range } from '../engine/source'

export const lineUpKinds = ['numerals', 'sums', 'tens-pictures', 'mixed', 'clocks'] as const
export type LineUpKind = (typeof lineUpKinds)[number]

export interface LineUpCard {
  value: number
  /** What the card asks before its place can be found. */
  item: PracticeItem
}

/** Minutes after midnight: in less than half a day each face of a clock comes once, and has one place in the line. */
export const [dayFrom, dayTo] = [7 * 60, 18 * 60 + 45]

/** Values a card can have: for clocks, quarters of an hour. */
const valuesOf = (kind: LineUpKind, low: number, high: number) =>
  kind === 'clocks' ? range(dayFrom, dayTo, 15) : range(low, high)

/**
 * Cards for children who line up: as many as there are children, no two worth the same, lowest to
 * highest in `value`. At most as many as there are different values.
 */
export function lineUpSet(
  kind: LineUpKind,
  low: number,
  high: number,
  children: number,
  chance: Chance,
): LineUpCard[] {
  return drawn(valuesOf(kind, low, high), children, chance).map((value) => ({
    value,
    item: asked(kind, value, chance),
  }))
}

function asked(kind: LineUpKind, value: number, chance: Chance): PracticeItem {
  const shown = kind === 'mixed' ? (['numerals', 'sums', 'tens-pictures'] as const)[chance.int(0, 2)] : kind
  switch (shown) {
    case 'numerals':
      return { op: 'numeral', answer: value }
    case 'sums': {
      const b = chance.int(0, Math.min(9, value))
      return { op: 'add', a: value - b, b, answer: value }
    }
    case 'tens-pictures':
      return { op: 'tens', tens: Math.floor(value / 10), ones: value % 10, answer: value }
    case 'clocks': {
      const hour = Math.floor(value / 60) % 12
      return { op: 'clock', hour, minute: value % 60, answer: hour * 60 + (value % 60) }
    }
  }
}
