import { food, smallParts } from '../games/engine/cautions'
import { orList } from './or-list'
import { thing, type Thing, type ThingKind, type ThingOf } from './thing'

/** Something to use instead, with what to mind. */
export interface Substitute {
  item: string
  caution?: string
}

interface Kind<T extends Thing> {
  /** Used by many games and standing on the shelf; in the bag of one game; or a page to print. */
  from: 'shelf' | 'bag' | 'printed'
  /** Small loose things get spares in the bag. */
  loose?: boolean
  /** Its name: one, as it stands after a count. Different things have different names. */
  name: (one: T) => string
  /** In the order in which they serve best. Common practice, no source. */
  instead?: (one: T) => readonly Substitute[]
  /** How many go on one sheet of paper of A4; what is on the floor or bigger than a sheet has none. */
  perSheet?: number
}

const loose = (): readonly Substitute[] => [
  { item: 'cube' },
  { item: 'bottle cap' },
  { item: 'pebble', caution: smallParts },
  { item: 'dried pasta', caution: food },
]

const only =
  (...items: string[]) =>
  (): readonly Substitute[] =>
    items.map((item) => ({ item }))

/** A thing of the shelf with nothing more to say about it. */
const onShelf = (name: string, instead?: () => readonly Substitute[]) => ({
  from: 'shelf' as const,
  name: () => name,
  instead,
})

const spread = (from: number, to: number, by: number) => `${from} to ${to}${by > 1 ? ` in ${by}s` : ''}`

/** What is known of each kind. Prefer see-through counters and dice of strong contrast. */
const kinds: { [K in ThingKind]: Kind<ThingOf<K>> } = {
  die: {
    from: 'shelf',
    name: ({ sides }) => (sides === 6 ? 'die' : `die with 1 to ${sides}`),
    instead: ({ sides }) => [
      { item: nameOf(thing({ kind: 'number cards', from: 1, to: sides })) },
      { item: nameOf(thing({ kind: 'spinner', sectors: sides })) },
    ],
  },
  spinner: {
    from: 'printed',
    name: ({ sectors }) =>
      typeof sectors === 'number' ? `spinner 1 to ${sectors}` : 'spinner “more” and “less”',
    perSheet: 4,
  },
  'number cards': {
    from: 'printed',
    name: ({ from, to, by, copies, some }) =>
      some === null
        ? `number cards ${spread(from, to, by)}${copies > 1 ? `, ${copies} of each` : ''}`
        : `${some} number cards between ${spread(from, to, by).replace(' to ', ' and ')}`,
    perSheet: 18,
  },
  'picture cards': {
    from: 'printed',
    name: ({ shows, from, to, copies }) =>
      `picture cards ${from} to ${to}, ${shows}${copies > 1 ? `, ${copies} of each` : ''}`,
    perSheet: 18,
  },
  dominoes: {
    from: 'shelf',
    name: ({ to }) => `set of dominoes to double ${to}`,
    instead: () => [{ item: 'domino cards' }],
  },
  counter: {
    from: 'shelf',
    loose: true,
    name: ({ own }) => (own ? 'counter in an own colour' : 'counter'),
    instead: loose,
  },
  pebble: { ...onShelf('pebble or counter', loose), loose: true },
  token: { ...onShelf('small token', loose), loose: true },
  marker: {
    from: 'shelf',
    loose: true,
    name: ({ target }) => (target ? 'target marker' : 'marker'),
    instead: loose,
  },
  coins: {
    from: 'printed',
    name: ({ to, copies }) => `coins to ${to}, ${copies} of each`,
    instead: () => [{ item: 'real coins', caution: smallParts }, { item: 'counters with numbers on' }],
    perSheet: 1,
  },
  cube: {
    from: 'shelf',
    loose: true,
    name: ({ colour }) => (colour === 'any' ? 'cube' : `cube of a ${colour} colour`),
    instead: only('drawing circles'),
  },
  'base-ten one': { ...onShelf('base-ten one', loose), loose: true },
  'base-ten ten': onShelf('base-ten ten', only('bundle of ten straws')),
  'base-ten hundred': onShelf('base-ten hundred', only('hundred grid')),
  rod: { from: 'shelf', name: ({ length }) => `rod of ${length}` },
  pin: onShelf('light pin', only('empty carton')),
  ball: onShelf('soft ball', only('rolled-up socks')),
  net: onShelf('net or tray', only('paper plate')),
  tray: onShelf('tray', only('paper plate')),
  cup: onShelf('cup'),
  chest: onShelf('box with a lid'),
  screen: onShelf('screen'),
  rope: onShelf('rope on the floor', only('chalk line', 'tape on the floor')),
  find: onShelf('thing from the list'),
  pencil: onShelf('pencil'),
  pen: onShelf('pen in an own colour'),
  sleeve: onShelf('wipe-clean sleeve with pen', only('scrap paper cover')),
  whiteboard: onShelf('mini whiteboard with pen', only('wipe-clean sleeve with pen', 'paper and pencil')),
  timer: onShelf('timer', only('clock with a second hand')),
  clock: onShelf('clock with hands to turn'),
  track: {
    from: 'printed',
    name: ({ from, to, squalls }) =>
      squalls.length > 0
        ? `squall track to ${to}, squalls on ${squalls.join(', ')}`
        : `track ${from} to ${to}`,
    perSheet: 1,
  },
  'number line': {
    from: 'printed',
    name: ({ to, marks }) =>
      `number line to ${to}${marks === 'all' ? '' : marks === 'some' ? ', some numbers' : ', ends only'}`,
    perSheet: 4,
  },
  'hundred grid': {
    from: 'printed',
    name: ({ to }) => (to === 100 ? 'hundred grid' : `hundred grid to ${to}`),
    perSheet: 1,
  },
  frame: {
    from: 'printed',
    name: ({ cells }) => ({ 5: 'five frame', 10: 'ten frame', 20: 'double ten frame' })[cells],
    perSheet: 2,
  },
  mat: { from: 'printed', name: () => 'place-value mat', perSheet: 1 },
  'hundreds mat': { from: 'printed', name: () => 'place-value mat with hundreds', perSheet: 1 },
  strip: { from: 'printed', name: ({ to }) => `strip 1 to ${to}`, perSheet: 4 },
  'cover strip': { from: 'printed', name: () => 'cover strip', perSheet: 8 },
  board: { from: 'printed', name: ({ name, shows }) => `${name}, ${shows}`, perSheet: 1 },
  'line card': {
    from: 'printed',
    name: ({ size, shows }) => `line card ${size} by ${size}, ${shows}`,
    perSheet: 2,
  },
  sheet: { from: 'printed', name: ({ columns }) => `recording sheet, ${columns}`, perSheet: 2 },
  'sum cards': {
    from: 'printed',
    name: ({ to, pairs }) => `sum cards to ${to}, ${pairs} pairs`,
    perSheet: 18,
  },
  'triangle cards': {
    from: 'printed',
    name: ({ op, to, among }) =>
      `triangle cards, ${op === 'add' ? 'totals' : 'products'} of parts to ${to}${among ? `, one of them ${orList(among)}` : ''}`,
    perSheet: 12,
  },
  'time cards': {
    from: 'printed',
    name: ({ every }) =>
      `time cards, ${{ 60: 'hours', 30: 'half hours', 15: 'quarters', 5: 'five minutes' }[every]}`,
    perSheet: 18,
  },
  'question cards': { from: 'printed', name: ({ about }) => `question cards, ${about}`, perSheet: 18 },
  'claim strips': { from: 'printed', name: ({ about }) => `claim strips, ${about}`, perSheet: 8 },
  'line-up cards': {
    from: 'printed',
    name: ({ shows, from, to }) => `line-up cards ${from} to ${to}, ${shows}`,
    perSheet: 8,
  },
  'creature halves': {
    from: 'printed',
    name: ({ half, from, to }) => `creature ${half} with ${from} to ${to} dots`,
    perSheet: 8,
  },
  'pattern strip': { from: 'printed', name: ({ pattern }) => `pattern strip ${pattern}`, perSheet: 8 },
  list: { from: 'printed', name: () => 'list of things to fetch', perSheet: 4 },
  table: { from: 'printed', name: ({ of }) => `table of ${of}`, perSheet: 2 },
}

/** What is known of a thing's kind. */
const kindOf = <K extends ThingKind>(one: ThingOf<K>) =>
  // Kind and thing belong together by their one name, which the types can't follow through the lookup.
  kinds[one.kind] as unknown as Kind<ThingOf<K>>

/** What a thing is called: what a teacher reads on a list, and by what the shelf is counted. */
export const nameOf = (one: Thing): string => kindOf(one).name(one)

/** True for a page that is printed and cut, false for a thing from the shelf. */
export const isPrinted = (one: Thing): boolean => kindOf(one).from === 'printed'

/** True for small things that wander and get spares in the bag. */
export const isLoose = (one: Thing): boolean => kindOf(one).loose ?? false

/** What serves instead of a thing that is missing, best first. */
export const substitutesFor = (one: Thing): readonly Substitute[] => kindOf(one).instead?.(one) ?? []
