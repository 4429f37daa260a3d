import { food, smallParts } from '../../engine/cautions'
import { deviceWords } from '../../engine/texts'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './pebble-count'

export const pebbleCountTexts = (params: Params): LevelTexts => {
  const { source, pieces, write, draw } = params
  const tens = pieces === 'tens'
  const device = deviceWords(source)
  const dice = source.kind === 'dice' ? source.count : 0
  const most =
    source.kind === 'cards' ? source.high : source.kind === 'dice' ? 6 * source.count : source.sectors
  const zero = source.kind === 'cards' && source.low === 0
  return {
    setUp: `${device.thing[0].toUpperCase()}${device.thing.slice(1)}, ${tens ? 'rods of ten and ones' : 'a heap of pebbles'}${write ? ', a sheet and a pencil each' : ''}.`,
    start: tens ? 'Rods and ones lie in the middle.' : 'The pebbles lie in a heap in the middle.',
    end: 'Play until the time is up.',
    steps: [
      device.step,
      ['say', 'Say the number.'],
      ['count', tens ? 'Count out the tens, then the ones.' : 'Count out that many.'],
      ...(draw ? [['write', 'Draw them.'] as const] : []),
      write ? ['write', 'Write the number.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      `${device.use}, and say the number.`,
      tens ? 'Count out that many: the tens first, then the ones.' : 'Count out that many pebbles.',
      ...(zero ? ['Zero: take none, and write it.'] : []),
      ...(write ? ['Write the numeral.'] : []),
      `Put ${tens ? 'them' : 'the pebbles'} back and pass it on.`,
    ],
    lookFors: [
      dice >= 2
        ? 'Counts on from the larger die?'
        : tens
          ? 'Says “ten, twenty, thirty” and goes on in ones?'
          : most > 10
            ? 'Keeps count beyond ten without losing the place?'
            : 'Stops at the number?',
      tens ? 'Takes rods for the tens, not ten ones?' : 'Touches or moves each pebble once?',
      ...(dice > 0
        ? ['Says how many dots without counting them?']
        : ['Reads the card without counting up to it?']),
    ],
    misconceptions: [
      tens
        ? {
            seen: 'Counts each rod as one.',
            ask: 'What is a rod worth? How many is that so far?',
            move: 'counts-things',
          }
        : {
            seen: 'Goes on counting until the pebbles run out.',
            ask: 'How many did you want? When do you stop?',
            move: 'runs-past',
          },
      {
        seen: 'Counts again when asked how many.',
        ask: 'You just counted these. So how many are there?',
        move: 'counts-again',
      },
    ],
    iCan: tens ? `I can count out tens and ones to ${most}.` : `I can count out up to ${most} things.`,
    words: [
      'count',
      'how many',
      'stop',
      ...(dice >= 2 ? ['altogether'] : ['number']),
      ...(zero ? ['zero'] : []),
      ...(tens ? ['tens', 'ones'] : []),
    ],
    easier: tens
      ? 'Lay the rods under each other and touch each one.'
      : 'Move each pebble over a line as it is counted.',
    harder: tens
      ? 'Lay one ten more. What is it now?'
      : 'Lay them out so that a friend sees how many without counting.',
    stuck: 'Say the number again, and count together.',
    finishEarly: tens
      ? 'Make it again with one rod fewer and ten more ones. Is it still the same?'
      : 'Lay the last number out in two groups. Say both parts.',
    talk: 'How could you lay them out so that we see at once how many there are?',
    cautions: [smallParts, food],
    home: tens
      ? 'Bundle spaghetti or straws in tens with a rubber band, and show numbers with bundles and singles.'
      : 'Use a die and buttons, and write the numbers on the back of an envelope.',
  }
}
