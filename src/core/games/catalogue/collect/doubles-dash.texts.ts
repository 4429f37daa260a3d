import type { LevelTexts } from '../../engine/texts'
import type { Params } from './doubles-dash'

export const doublesDashTexts = (params: Params): LevelTexts => {
  const { boxes, values, predict } = params
  const die = values === 6
  return {
    setUp: `One sheet for all, with ${values} columns of ${boxes} boxes, ${die ? 'a die' : `cards 1 to ${values}`}, a pencil each.`,
    start: `${predict ? 'Each says which column will win. ' : ''}All the boxes are empty.`,
    end: 'Done when one column is full to the top: that number has won the race. Nobody loses.',
    steps: [
      die ? ['roll', 'Roll the die.'] : ['turn', 'Turn a card.'],
      ['say', 'Double it. Say it.'],
      ['write', 'Write it in the next box.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      ...(predict ? ['Guess which column will fill first.'] : []),
      `${die ? 'Roll the die' : 'Turn a card'} and double the number.`,
      'Write the double in the next box of that number’s column.',
      ...(die ? [] : ['Put the card back and shuffle.']),
      'The first column to fill ends the race.',
      'Could anyone have guessed which?',
    ],
    lookFors: [
      values > 6 ? 'Knows doubles beyond 6, or builds them from fives?' : 'Knows the double, or adds?',
      values < 4 ? 'Uses fingers to see 3 and 3?' : 'Uses fingers or a five to see 4 and 4?',
      'Says that every column has the same chance?',
    ],
    misconceptions: [
      {
        seen: 'Writes the number itself.',
        ask: `How would you show double ${values < 4 ? 'three' : 'four'} on your hands?`,
        move: 'double-it',
      },
      {
        seen: 'Thinks one number comes more rarely than the others.',
        ask: 'How many sides show it? And this one?',
        move: 'no-memory',
      },
    ],
    iCan: 'I can say the double of a number.',
    words: ['double', 'twice', 'the same again', 'column'],
    easier: 'Show the number on both hands, or build it twice on a frame.',
    harder: `Say the near double too: ${values < 4 ? '2 and 3' : '4 and 5'}.`,
    stuck: 'Build the number with cubes, then the same again.',
    finishEarly: `Write a near double beside each double: ${values < 6 ? '2 and 2, 2 and 3' : '6 and 6, 6 and 7'}.`,
    talk: 'Which doubles do you just know? How can they help with the next ones?',
    cautions: [],
    home: `Draw ${values} columns on squared paper and ${die ? 'roll a die' : 'use numbered slips'}.`,
  }
}
