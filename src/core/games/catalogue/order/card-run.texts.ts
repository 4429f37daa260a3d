import type { LevelTexts } from '../../engine/texts'
import type { Params } from './card-run'

export const cardRunTexts = (params: Params): LevelTexts => {
  const { high, row } = params
  return {
    setUp: `Several packs of cards 1 to ${high}, mixed, face down in the middle.`,
    start: 'Nobody has a card yet. Get a run: numbers that follow one another.',
    end: `The first run of ${row} neighbours wins, such as ${Array.from({ length: row }, (_, i) => i + 2).join(', ')}.`,
    steps: [
      ['turn', 'Turn a card.'],
      ['place', 'Lay it in your row, in order.'],
      ['choose', `More than ${row}? Put one back.`],
      ['say', 'Say what you need.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      'Turn a card and lay it before you, in order.',
      `Already have ${row}? Put one back; it can be the new one.`,
      'Say which number you hope for.',
      `A run of ${row} numbers that follow one another wins. Pack used up? Shuffle the cards put back.`,
    ],
    lookFors: [
      'Says which numbers would join the run?',
      'Keeps the cards in order?',
      'Lets go of the card furthest from the others?',
    ],
    misconceptions: [
      {
        seen: 'Collects equal cards.',
        ask: 'Say your run from the start. Where does the second one go?',
        move: 'run-of-neighbours',
      },
      {
        seen: 'Lets go of a middle card.',
        ask: 'Which numbers can join on this side? And on that one?',
        move: 'run-of-neighbours',
      },
    ],
    iCan: 'I can say which number is missing.',
    words: ['before', 'after', 'between', 'next to', 'missing'],
    easier: 'Keep a number line beside the row.',
    harder: 'Say how many different cards would help you.',
    stuck: 'Read your row. Where is the gap?',
    finishEarly: 'Make the longest run you can from all the cards.',
    talk: 'Which cards would help you now? How many different ones are there?',
    cautions: [],
    home: `Use playing cards up to ${high} without the picture cards.`,
  }
}
