import { coinValues } from '../skills/coins'
import type { Thing, ThingKind, ThingOf } from '../things'
import { orList } from '../things/or-list'

type Lines = readonly [string, string, string]

const sheet = 'Take a sheet of A4'

/** A sheet with two halves that are headed. */
const halvedSheet = (left: string, right: string): Lines => [
  `${sheet}, draw a line down the middle.`,
  `Write “${left}” over the left half and “${right}” over the right.`,
  'Leave the rest empty.',
]

/** How each kind is made with a pen, scissors and paper: three lines. Common practice, no source. */
const ways: { [K in ThingKind]?: (one: ThingOf<K>) => Lines } = {
  spinner: ({ sectors }) => [
    'Draw round a cup; mark the middle.',
    typeof sectors === 'number'
      ? `Cut the circle into ${sectors} equal slices and write 1 to ${sectors}.`
      : 'Draw a line through the middle; write “more” on one half and “less” on the other.',
    'Hold a paper clip in the middle with a pencil point and flick it.',
  ],
  'number cards': ({ from, to, by, copies, some }) => [
    `${sheet}, fold it three times and cut: eight cards.`,
    some === null
      ? `Write ${from} to ${to}${by > 1 ? ` in ${by}s` : ''}${copies > 1 ? `, each ${copies} times` : ''}.`
      : `Write ${some} numbers between ${from} and ${to}, the smallest and the largest among them.`,
    'Draw a line under 6 and 9.',
  ],
  'picture cards': ({ shows, from, to, copies }) => [
    `${sheet}, fold it three times and cut: eight cards.`,
    `Draw ${shows} for ${from} to ${to}${copies > 1 ? `, each ${copies} times` : ''}.`,
    'Keep the pictures equally large, so that size gives nothing away.',
  ],
  coins: ({ to, copies }) => [
    'Draw round a bottle cap on stiff paper and cut the circles out.',
    `Write ${coinValues
      .filter((value) => value <= to)
      .reverse()
      .join(', ')} on them, each ${copies} times.`,
    'Draw a ring inside the edge, so that they look like coins.',
  ],
  track: ({ from, to, squalls }) => [
    `Draw ${to - from + 1} squares in rows of ten, as wide as two fingers.`,
    `Write ${from} to ${to} in order.`,
    squalls.length > 0
      ? `Shade the squalls: ${squalls.join(', ')}.`
      : `Draw a ring round ${to}: there it ends.`,
  ],
  'number line': ({ to, marks }) => [
    'Draw a line as long as the sheet.',
    marks === 'ends' ? `Mark both ends: 0 and ${to}.` : `Make equal steps from 0 to ${to}.`,
    marks === 'all'
      ? 'Write every number under its step.'
      : marks === 'some'
        ? 'Write every fifth or tenth number.'
        : 'Write nothing between.',
  ],
  'hundred grid': ({ to }) => [
    `Draw ten columns and ${Math.ceil(to / 10)} rows.`,
    `Write 1 to ${to}, ten in a row, from the left.`,
    'The tens stand under one another on the right.',
  ],
  frame: ({ cells }) => [
    cells === 5
      ? 'Draw a row of five squares.'
      : `Draw ${cells === 10 ? 'two' : 'four'} rows of five squares.`,
    'Make each square larger than a counter.',
    cells === 20 ? 'Leave a gap after the second row: two frames of ten.' : 'Make the frame’s outline thick.',
  ],
  mat: () => halvedSheet('tens', 'ones'),
  'hundreds mat': () => halvedSheet('hundreds', 'tens'),
  strip: ({ to }) => [
    'Cut a strip as long as the sheet and two fingers wide.',
    `Fold or draw ${to} equal squares.`,
    `Write 1 to ${to} from the left.`,
  ],
  'cover strip': () => [
    'Cut a strip of stiff paper.',
    'Make it a little wider than what it covers.',
    'Leave it white.',
  ],
  board: ({ name, shows }) => [
    'Open the game’s page and look at the picture of the table.',
    `Draw its spaces: ${name}, ${shows}.`,
    'Make each space larger than a counter.',
  ],
  'line card': ({ size, shows }) => [
    `Draw ${size} rows of ${size} squares.`,
    `Write numbers of ${shows} into them, the likely ones more than once.`,
    'Make no two cards alike.',
  ],
  sheet: ({ columns }) => [`${sheet} and write over it: ${columns}.`, 'Draw six lines.', 'Use both sides.'],
  'sum cards': ({ to, pairs }) => [
    `Make ${pairs * 2} cards.`,
    `Write two sums with the same total, up to ${to}, on each pair.`,
    'Use every total once.',
  ],
  'triangle cards': ({ op, to, among }) => [
    'Cut triangles, or cards with three corners marked.',
    `Write two parts from ${op === 'multiply' ? 1 : 0} to ${to} below and their ${op === 'add' ? 'total' : 'product'} on top.`,
    among ? `Make every pair with a ${orList(among)} in it once.` : 'Make every pair of parts once.',
  ],
  'time cards': ({ every }) => [
    'Draw round a cup for each card and write 1 to 12.',
    `Draw hands for ${{ 60: 'each full hour', 30: 'full and half hours', 15: 'each quarter of an hour', 5: 'two times of each hour, to five minutes' }[every]}.`,
    'The short hand moves on between the numbers.',
  ],
  'question cards': ({ about }) => [
    `${sheet}, fold it three times and cut: eight cards.`,
    `Write a question on each: ${about}.`,
    'Write the answer small on the back.',
  ],
  'claim strips': ({ about }) => [
    'Cut strips as long as the sheet.',
    `Write three statements on each: ${about}.`,
    'Make one of the three untrue.',
  ],
  'line-up cards': ({ shows, from, to }) => [
    'Make a card as large as a hand for each child.',
    `Write or draw ${shows}, from ${from} to ${to}.`,
    'Make no two alike.',
  ],
  'creature halves': ({ half, from, to }) => [
    `Draw ${half === 'top' ? 'heads' : 'tails'} of creatures on cards.`,
    `Put ${from} to ${to} dots on them, one card for each number.`,
    'Make all halves equally wide, so that any two fit.',
  ],
  'pattern strip': ({ pattern }) => [
    'Cut a strip as long as the sheet.',
    `Draw a row of squares in the order ${[...pattern].join(' ')}, again and again.`,
    'Give each letter a colour and a sign.',
  ],
  list: () => [
    'Write down eight small things of the room.',
    'Take nothing sharp, heavy or breakable.',
    'Draw each for anyone who can’t read.',
  ],
  table: ({ of }) => [
    `Write a table of ${of}.`,
    'Keep the columns straight.',
    'Stand it where all can see it.',
  ],
}

/** How a printed thing is made without a printer: three lines; empty for what comes from the shelf. */
export function byHand(one: Thing): readonly string[] {
  const way = ways[one.kind] as ((one: Thing) => Lines) | undefined
  return way?.(one) ?? []
}
