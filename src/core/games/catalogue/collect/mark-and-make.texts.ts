import { food, smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './mark-and-make'

export const markAndMakeTexts = (params: Params): LevelTexts => {
  const { low, high, draw } = params
  const teens = low > 10
  return {
    setUp: `A sheet with ${low} to ${high}, cubes and a pencil for each child.`,
    start: `Begin with ${low}.`,
    end: `Done when ${high} is built.`,
    steps: [
      ['write', 'Trace the number.'],
      ['write', 'Write it.'],
      ...(draw ? [['write', 'Draw that many dots.'] as const] : []),
      ['build', teens ? 'Build a ten and some.' : 'Build that many.'],
      ['check', 'Go on to the next.'],
    ],
    rules: [
      'Trace the number with a finger, then write it.',
      ...(draw ? ['Draw that many.'] : []),
      teens ? 'Build it: a tower of ten and some more.' : 'Build that many with cubes.',
      ...(low === 0 ? ['Zero: write it, and build nothing.'] : []),
      'Go on to the next number.',
    ],
    lookFors: [
      teens ? 'Says “ten and …” while building?' : 'Drawing and tower match the numeral?',
      'Starts the numeral in the right place?',
      'Adds one cube for the next number, or starts again?',
    ],
    misconceptions: [
      teens
        ? { seen: 'Writes 31 for 13.', ask: 'Which digit is the ten?', move: 'digits-turned' }
        : {
            seen: 'Writes a numeral back to front.',
            ask: 'Trace this one. Where does it start?',
            move: 'looks-alike',
          },
      {
        seen: 'Takes the tower apart for the next number.',
        ask: 'You have this many. What do you need for the next number?',
        move: 'counts-again',
      },
    ],
    iCan: teens
      ? 'I can build and write numbers from 11 to 20.'
      : `I can build and write numbers to ${high}.`,
    words: ['numeral', 'how many', 'one more', ...(teens ? ['ten and some'] : ['next'])],
    easier: 'Write in the air first, large.',
    harder: 'Cover the sheet and write the next number from memory.',
    stuck: 'Count the cubes aloud, then look for that numeral.',
    finishEarly: 'Close your eyes and write a number in the air. Who can tell which?',
    talk: 'What changes from one number to the next?',
    cautions: [smallParts, ...[food]],
    home: 'Write numbers in flour or sand and lay out spoons to match. Mind allergies, and do not eat it.',
  }
}
