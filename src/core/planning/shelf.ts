import { food, smallParts } from '../games/cautions'

/** Something to use instead, with what to mind. */
export interface Substitute {
  item: string
  caution?: string
}

interface ShelfItem {
  /** Name of the item, or what it begins with. */
  name: string
  /** In the order in which they serve best. */
  substitutes: readonly Substitute[]
}

const loose: readonly Substitute[] = [
  { item: 'cube' },
  { item: 'bottle cap' },
  { item: 'pebble', caution: smallParts },
  { item: 'dried pasta', caution: food },
]

/**
 * Things that stand on a shelf and are used again; whatever a game names beside these is a page to print.
 * Prefer see-through counters and dice of strong contrast. Substitutes: common practice, no source.
 */
const shelf: readonly ShelfItem[] = [
  { name: 'counter', substitutes: loose },
  { name: 'pebble or counter', substitutes: loose },
  { name: 'small token', substitutes: loose },
  { name: 'marker', substitutes: loose },
  { name: 'target marker', substitutes: loose },
  { name: 'die', substitutes: [{ item: 'number cards 1 to 6' }, { item: 'spinner 1 to 6' }] },
  { name: 'cube', substitutes: [{ item: 'drawing circles' }] },
  { name: 'wipe-clean sleeve', substitutes: [{ item: 'scrap paper cover' }] },
  { name: 'number track', substitutes: [{ item: 'tape measure' }] },
  { name: 'one of the base-ten pieces', substitutes: loose },
  { name: 'ten of the base-ten pieces', substitutes: [{ item: 'bundle of ten straws' }] },
  { name: 'set of dominoes', substitutes: [{ item: 'domino cards' }] },
  {
    name: 'mini whiteboard',
    substitutes: [{ item: 'wipe-clean sleeve with pen' }, { item: 'paper and pencil' }],
  },
  { name: 'sand timer', substitutes: [{ item: 'clock with a second hand' }] },
  { name: 'net or tray', substitutes: [{ item: 'paper plate' }] },
  { name: 'tray', substitutes: [{ item: 'paper plate' }] },
  { name: 'soft ball', substitutes: [{ item: 'rolled-up socks' }] },
  { name: 'light pin', substitutes: [{ item: 'empty carton' }] },
  { name: 'pencil', substitutes: [] },
  { name: 'pen in an own colour', substitutes: [] },
  { name: 'screen', substitutes: [] },
  { name: 'box with a lid', substitutes: [] },
  { name: 'cup', substitutes: [] },
  { name: 'rod of', substitutes: [] },
  { name: 'thing from the list', substitutes: [] },
  { name: 'clock with hands', substitutes: [] },
]

const shelfItemOf = (item: string) =>
  shelf.find(({ name }) => item === name) ?? shelf.find(({ name }) => item.startsWith(`${name} `))

/** True for a page that is printed and cut, false for a thing from the shelf. */
export const isPrinted = (item: string) => !shelfItemOf(item)

export const substitutesFor = (item: string): readonly Substitute[] => shelfItemOf(item)?.substitutes ?? []
