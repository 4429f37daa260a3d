import { chalk, smallParts, steps } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './skip-lines'

const inWords = { 1: 'one', 2: 'two', 3: 'three', 4: 'four', 5: 'five', 10: 'ten' } as const

/** What a child does for one step of the count. */
function eachStep({ things, by }: Params): string {
  switch (things) {
    case 'rods':
      return 'Lay a rod.'
    case 'hands':
      return 'Put up a hand.'
    case 'tokens':
      return `Lay ${by} tokens.`
    case 'stairs':
      return `Go up ${inWords[by]} ${by === 1 ? 'step' : 'steps'}.`
    case 'line':
      return `Go on ${inWords[by]} ${by === 1 ? 'place' : 'places'}.`
  }
}

function setUp({ things, from, to, by }: Params): string {
  switch (things) {
    case 'rods':
      return 'Rods, room for a long row.'
    case 'tokens':
      return `Tokens in ${by}s, room for a long row.`
    case 'hands':
      return 'A row of children, or a circle; a track and a marker show how far they are.'
    case 'stairs':
      return `A flight with at least ${to} steps, or steps chalked on the floor; a track and a marker show how far you are.`
    case 'line':
      return `The numbers ${from} to ${to} in a line, printed, and a marker; or chalked on the floor.`
  }
}

/** Where the count passes to another ten or hundred, what stands on both sides of it. */
function crossing({ from, to }: Params): [number, number] | null {
  const hundred = Math.ceil((from + 1) / 100) * 100
  const ten = Math.ceil((from + 1) / 10) * 10
  const over = hundred < to ? hundred : ten
  return over < to ? [over - 1, over] : null
}

const lookFors = (params: Params): LevelTexts['lookFors'] => {
  const { by, to, back } = params
  if (by === 1) {
    const over = crossing(params)
    return [
      back ? 'Says the number before without counting up to it?' : 'Goes on without starting again at one?',
      over && to > 20
        ? `Goes over ${over[1]} without stopping${back ? ', both ways' : ''}?`
        : 'Says one number for each step?',
    ]
  }
  return [
    `Says the next number in the ${by}s without counting in between?`,
    to > 50 ? 'Goes on past fifty?' : 'Keeps going past the middle?',
    'Hears the pattern of the last digits?',
  ]
}

function misconceptions(params: Params): LevelTexts['misconceptions'] {
  const { by, to, back, things } = params
  if (by === 1) {
    const over = crossing(params)
    return [
      over && to > 20
        ? {
            seen: `Stops at ${over[0]}, or says a number that is not there.`,
            ask: `What comes after nine? So what comes after ${over[0]}?`,
            move: 'over-the-ten',
          }
        : {
            seen: 'Says two numbers for one step.',
            ask: 'One step, one number: shall we go slowly?',
            move: 'one-missed',
          },
      back
        ? {
            seen: 'Turns round and counts on.',
            ask: 'Are we going up or down? Is the next one more or less?',
            move: 'other-way',
          }
        : {
            seen: 'Starts again at one.',
            ask: 'Where are we now? What comes next?',
            move: 'starts-from-one',
          },
    ]
  }
  return [
    things === 'line'
      ? { seen: 'Says every number.', ask: `Which numbers do we land on?`, move: 'by-ones' }
      : {
          seen: `Counts the ${things}, not the ${by}s.`,
          ask: 'How many is one worth? And two?',
          move: 'counts-things',
        },
    { seen: 'Slips into ones.', ask: `We count in ${by}s. What comes ${by} after this?`, move: 'by-ones' },
  ]
}

function atHome({ by, from, back }: Params): string {
  if (by === 1 && from === 0)
    return back ? 'Count the stairs on the way up, and back on the way down.' : 'Count the stairs.'
  if (by === 1)
    return `Say a number near ${from}; take turns to say the next${back ? ', then turn round' : ''}.`
  if (by === 2) return 'Count shoes or socks in twos.'
  if (by === 5) return 'Count fingers in fives.'
  if (by === 10) return 'Count toes and fingers in tens round the family.'
  return `Lay spoons in ${by}s and count.`
}

export const skipLinesTexts = (params: Params): LevelTexts => {
  const { by, from, to, things, back } = params
  const each = eachStep(params)
  const walked = things === 'stairs' || things === 'line'
  const ones = by === 1
  const first = [1, 2, 3].map((n) => from + n * by).join(', ')
  return {
    setUp: setUp(params),
    start: from === 0 ? 'Start at zero.' : `Start at ${from}. Say it together.`,
    end: back
      ? `Done when you are at ${to} and back at ${from === 0 ? 'zero' : from}.`
      : `Done when you are at ${to}.`,
    steps: [
      things === 'line'
        ? ['move', each]
        : things === 'hands' || things === 'stairs'
          ? ['hop', each]
          : ['place', each],
      ['say', walked ? 'Say the number.' : 'Say how many so far.'],
      ['pass', 'The next one goes on.'],
      ['say', back ? 'Now count back.' : 'Count it all once more.'],
    ],
    rules: [
      `${each} ${walked ? 'Say where you are' : 'Say how many there are so far'}: ${first}.`,
      'The next child goes on.',
      `Go on to ${to}, then count it all once more together.`,
      ...(back
        ? [
            things === 'line'
              ? `Go back the same way, counting back to ${from === 0 ? 'zero' : from}.`
              : 'Come back down, counting back to zero.',
          ]
        : []),
      ...(things === 'tokens' ? ['Counted correctly? Keep the tokens.'] : []),
    ],
    lookFors: lookFors(params),
    misconceptions: misconceptions(params),
    iCan: ones
      ? `I can count from ${from} to ${to}${back ? ' and back' : ''}.`
      : `I can count in ${by}s ${from === 0 ? '' : `from ${from} `}to ${to}${back ? ' and back' : ''}.`,
    words: [
      'next',
      ...(ones ? ['count on'] : [`in ${by}s`, 'so far', 'altogether']),
      ...(back ? ['count back'] : []),
      ...(ones ? ['after', ...(back ? ['before'] : [])] : []),
    ],
    easier: ones ? 'Say it together, with one child a step ahead.' : 'Whisper the numbers in between.',
    harder: ones
      ? `Cover the numbers on the way${back ? ' back' : ''}.`
      : `Start somewhere else: from ${from + 3 * by}.`,
    stuck: ones
      ? to - from > 5
        ? 'Go back five and say it together.'
        : 'Go back to the start and say it together.'
      : 'Go back to the start and say it together.',
    finishEarly:
      to > from + 5 * by ? `Start from ${from + 4 * by} and go on.` : 'Say it again with your eyes shut.',
    talk: ones ? 'Which words sound alike? Where do they change?' : 'Which last digits come? Why?',
    cautions: [
      ...(things === 'stairs' ? [steps] : []),
      ...(things === 'stairs' || things === 'line' ? [chalk] : []),
      // All but what is laid is gone along with a marker.
      smallParts,
    ],
    home: atHome(params),
  }
}
