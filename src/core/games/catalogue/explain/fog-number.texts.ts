import type { LevelTexts } from '../../engine/texts'
import type { Params } from './fog-number'

export const fogNumberTexts = (params: Params): LevelTexts => {
  const { low, high, fact, record } = params
  const name = { number: 'a number', double: 'a double', 'tens-and-ones': 'tens and ones' }[fact]
  const example = {
    number: `more than ${Math.floor((low + high) / 2)}?`,
    double: 'more than double 8?',
    'tens-and-ones': 'more than 5 tens and 3?',
  }[fact]
  return {
    setUp: `${high > 30 ? `A grid ${low} to ${high}` : `A number line ${low} to ${high}`}, covers, a mini whiteboard.`,
    start: `One child writes a number from ${low} to ${high} on the board and hides it.`,
    end: 'Done when one number is left and it is the right one. Change over.',
    steps: [
      ['write', 'One child hides a number.'],
      ['say', 'Ask: is it more than …? Yes or no?'],
      ['cover', 'Cover what it can’t be.'],
      ['say', 'One left? Say it.'],
      ...(record ? [['write', 'Write how many you asked.'] as const] : []),
    ],
    rules: [
      `One child writes a number from ${low} to ${high} and hides it.`,
      `The others ask questions that are answered with yes or no, each naming ${name}: “Is it ${example}”`,
      'Cover the numbers it cannot be.',
      'One number left? Look at the board together.',
      'How few questions do you need?',
    ],
    lookFors: [
      {
        number: 'Asks so that about half of the numbers go?',
        double: 'Says the double without adding?',
        'tens-and-ones': 'Says tens and ones without a slip?',
      }[fact],
      'Covers the right side of the line?',
      'Uses the answers given before?',
    ],
    misconceptions: [
      {
        seen: 'Guesses one number after another.',
        ask: 'How many numbers are left if the answer is no?',
        move: 'halve-what-is-left',
      },
      {
        seen: 'Asks what is known already.',
        ask: `It is more than ${high > 10 ? 'ten. Can it be seven' : high > 5 ? 'five. Can it be two' : 'three. Can it be two'}?`,
        move: 'halve-what-is-left',
      },
    ],
    iCan: {
      number: 'I can use more than and less than.',
      double: 'I can use doubles to ask about a number.',
      'tens-and-ones': 'I can use tens and ones to ask about a number.',
    }[fact],
    words: [
      'more than',
      'less than',
      'between',
      ...(fact === 'double' ? ['double'] : fact === 'tens-and-ones' ? ['tens', 'ones'] : ['half']),
    ],
    easier: 'Play with half of the row.',
    harder: 'Say before you ask how many will be left.',
    stuck: 'Point to the middle of what is left and ask about that.',
    finishEarly: 'How few questions could always be enough?',
    talk: 'Which question helped most? Why?',
    cautions: [],
    home: `Think of a number to ${high} on the way to school.`,
  }
}
