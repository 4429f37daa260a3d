import { food, smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './trade-up'

export const tradeUpTexts = (params: Params): LevelTexts => {
  const { tens, dice, backwards } = params
  const two = dice === 1 ? 'the die' : dice === 2 ? 'two dice, add,' : 'three dice, add,'
  return backwards
    ? {
        setUp: `${dice === 1 ? 'A die' : dice === 2 ? 'Two dice' : 'Three dice'}, a mat for each child with ${tens} tens on it, ones in the middle.`,
        start: `Start with ${tens} tens: ${10 * tens}.`,
        end: 'First to an empty mat wins. Paying more than is left counts.',
        steps: [
          ['roll', dice === 1 ? 'Roll the die.' : 'Roll the dice and add.'],
          ['check', 'Too few ones? Swap a ten.'],
          ['place', 'Pay that many ones.'],
          ['say', 'Say what is left.'],
          ['pass', 'Pass it on.'],
        ],
        rules: [
          `Roll ${two} and pay that many ones.`,
          'Not enough ones? Swap a ten for ten ones first.',
          'Say what is left: “3 tens and 4, thirty-four”.',
          'Pass it on.',
        ],
        lookFors: [
          'Swaps a ten when the ones run out?',
          'Says what is left without counting again?',
          'Leaves the other tens alone?',
        ],
        misconceptions: [
          {
            seen: 'Pays 7 with a ten and asks for nothing back.',
            ask: 'What is a ten worth? What is fair?',
            move: 'change-from-ten',
          },
          {
            seen: 'Takes the ones away and keeps the ten as well.',
            ask: 'How many tens are there now?',
            move: 'kept-the-ten',
          },
        ],
        iCan: 'I can swap a ten for ten ones.',
        words: ['tens', 'ones', 'swap', 'is left', 'take away'],
        easier: 'Lay the ten ones on a ten frame when you swap.',
        harder: 'Say what will be left before you pay.',
        stuck: 'Show that a ten is as long as ten ones, then swap.',
        finishEarly: 'Say how far you are from zero, and from the ten below.',
        talk: 'When do you have to swap? How can you tell before you pay?',
        cautions: [smallParts, food],
        home: 'Use buttons for ones and spoons for tens; start with three spoons.',
      }
    : {
        setUp: `${dice === 1 ? 'A die' : dice === 2 ? 'Two dice' : 'Three dice'}, tens and ones in the middle, a mat for each child.`,
        start: 'All the mats are empty.',
        end: `First to ${tens} tens wins.`,
        steps: [
          ['roll', dice === 1 ? 'Roll the die.' : 'Roll the dice and add.'],
          ['place', 'Take that many ones.'],
          ['check', 'Ten ones? Swap for a ten.'],
          ['say', 'Say your number.'],
          ['pass', 'Pass it on.'],
        ],
        rules: [
          `Roll ${two} and take that many ones.`,
          'Ten ones or more? Swap ten of them for a ten.',
          'Say what lies on your mat: “3 tens and 4, thirty-four”.',
          'Pass it on.',
        ],
        lookFors: [
          'Swaps unasked as soon as there are ten?',
          'Says “three tens and four, thirty-four”?',
          'Says what is left after a swap, without counting again?',
        ],
        misconceptions: [
          {
            seen: 'Keeps twelve ones beside the tens.',
            ask: 'How many ones have you? Could you carry fewer pieces?',
            move: 'ten-is-one-ten',
          },
          {
            seen: 'Swaps nine ones, or eleven.',
            ask: 'What is a ten worth? How could you check?',
            move: 'ten-is-one-ten',
          },
        ],
        iCan: 'I can swap ten ones for a ten.',
        words: ['tens', 'ones', 'swap', 'how many more', 'altogether'],
        easier: 'Lay the ones on a ten frame: a full frame is swapped.',
        harder: 'Say your new number before you take the ones.',
        stuck: 'Lay the ones along a ten: do they fit?',
        finishEarly: `Say how far you are from the next ten, and from ${10 * tens}.`,
        talk: 'How much do you need for the next ten?',
        cautions: [smallParts, food],
        home: 'Use buttons for ones, and swap ten for a spoon.',
      }
}
