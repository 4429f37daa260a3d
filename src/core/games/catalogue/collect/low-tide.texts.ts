import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './low-tide'

export const lowTideTexts = (params: Params): LevelTexts => {
  const { numbers, dice, parts, operations, untilFull } = params
  const one = dice === 1
  const how = operations
    ? 'or any open numbers that make it with add, take away, times and divide'
    : parts === 1
      ? ''
      : parts === 2
        ? 'or two open numbers that make it'
        : parts === 3
          ? 'or up to three open numbers that make it'
          : 'or any open numbers that make it'
  return {
    setUp: `A strip 1 to ${numbers} and ${numbers} counters for each child, ${one ? 'a die' : `${dice === 2 ? 'two' : 'three'} dice`}${operations ? ', a sheet and a pencil each' : ''}.`,
    start: 'The whole strip is open.',
    end: untilFull
      ? 'Done when every strip is covered: then all of you have won.'
      : 'When everyone has played a round, the child with the least left wins.',
    steps: [
      ['roll', one ? 'Roll the die.' : 'Roll the dice and add.'],
      parts === 1 ? ['look', 'Find that number.'] : ['choose', 'What makes it?'],
      ['cover', 'Cover it.'],
      ...(operations ? [['write', 'Write how you made it.'] as const] : []),
      untilFull
        ? ['pass', 'Strip full? Pass it on.']
        : ['check', 'Nothing fits? Add up what is left. Pass it on.'],
    ],
    rules: [
      `${one ? 'Roll the die and say the number' : 'Roll the dice and say the total'}.`,
      parts === 1 ? 'Cover that number.' : `Cover it, ${how}.`,
      ...(operations ? ['Work from left to right; each step must be a whole number. Write it down.'] : []),
      untilFull
        ? 'Covered already? Roll again. Strip full? Pass the die on.'
        : 'Go on rolling as long as something fits.',
      ...(untilFull
        ? []
        : ['Nothing fits? Your round is over: add up what is still open and pass the dice on.']),
    ],
    lookFors: [
      untilFull
        ? 'Finds the numeral at once?'
        : operations
          ? 'Tries another operation when adding does not fit?'
          : 'Sees more than one way to make the total?',
      ...(untilFull
        ? ['Says which numbers are still open?']
        : ['Keeps small numbers open for later?', 'Says the sums, or counts them?']),
    ],
    misconceptions: untilFull
      ? [
          {
            seen: 'Covers the next number whatever came up.',
            ask: 'Which number did you roll? Where is it?',
            move: 'find-the-numeral',
          },
        ]
      : [
          {
            seen: 'Always covers the total itself.',
            ask: 'Which other numbers make it?',
            move: 'other-ways',
          },
          {
            seen: 'Covers numbers that come near.',
            ask: 'Five and three: is that nine?',
            move: 'same-total',
          },
        ],
    iCan: untilFull
      ? 'I can find the number I rolled.'
      : operations
        ? 'I can make a number in many ways.'
        : 'I can make a number from parts.',
    words: untilFull
      ? ['number', 'cover', 'still open']
      : ['total', 'makes', 'parts', 'still open', ...(operations ? ['times', 'divide'] : [])],
    easier: untilFull
      ? 'Say the number and point along the strip together.'
      : 'Build the total with cubes and break it in two.',
    harder: untilFull
      ? 'Say which numbers are still open before each roll.'
      : 'Before you cover, say two ways and choose.',
    stuck: untilFull
      ? 'Count the dots, then find that number.'
      : 'Take the largest open number that fits. What is missing?',
    finishEarly: untilFull
      ? 'Say the strip backwards.'
      : 'Which totals could you still have used? Write the ways.',
    talk: untilFull
      ? 'Which number came late? Could you have known?'
      : 'Why did you cover those and not the total?',
    cautions: [smallParts],
    home: `Write 1 to ${numbers} on paper, cover with coins, and roll ${one ? 'a die' : 'dice'}.`,
  }
}
