import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './currents'

export const currentsTexts = (params: Params): LevelTexts => {
  const { goal, table, record } = params
  const lines = table
    .map((by, i) => `${i + 1}: ${by < 0 ? `back ${-by}` : by === 0 ? 'stay' : `on ${by}`}`)
    .join(' · ')
  return {
    setUp: `Track 0 to ${goal}, the table of currents, one die, a marker each on 0.`,
    start: 'Read the table together. Markers on 0.',
    end: `First at ${goal} or beyond wins.`,
    steps: [
      ['roll', 'Roll the die.'],
      ['look', 'Find your current.'],
      ['say', 'On or back? Say where.'],
      ['move', 'Move.'],
      record ? ['write', 'Write the sum.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      `Roll the die and find your current: ${lines}.`,
      'Say where it takes you before you move.',
      'Move on or back.',
      'The current would take you below zero? Stop at zero. Already on zero? Stay.',
      ...(record ? ['Write the sum of each go.'] : []),
    ],
    lookFors: [
      'Counts back without counting the square stood on?',
      'Tells “on” from “back” without a reminder?',
      'Says the new number before moving?',
    ],
    misconceptions: [
      {
        seen: 'Counts on when the table says back.',
        ask: 'Will your number get bigger or smaller?',
        move: 'took-away',
        slip: 'added',
      },
      {
        seen: 'Counts the square stood on when going back.',
        ask: `You are on ${goal < 14 ? 8 : 14}. Which number is one back?`,
        move: 'counted-own',
      },
    ],
    iCan: 'I can count on and count back.',
    words: ['count on', 'count back', 'more', 'less', 'land on'],
    easier: 'Cover the “back” lines for the first round: then you stay.',
    harder: 'Say the sum without looking at the track.',
    stuck: 'Show with an arm which way, then hop together.',
    finishEarly: 'Change one line of the table. Is the game longer now?',
    talk: 'Which current helps most? How do you know?',
    cautions: [smallParts],
    home: 'Write your own table for the six faces and use a tape measure as the track.',
  }
}
