import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './harbour-guard'

export const harbourGuardTexts = (params: Params): LevelTexts => {
  const { most, record } = params
  return {
    setUp:
      'A hundred grid for two children; each has four boats (counters) and a marker that is their harbour.',
    start:
      'Harbours lie at least three squares apart, not on the edge. Boats go above, below, left and right of their own.',
    end: 'The first boat to land on the other child’s harbour wins.',
    steps: [
      ['choose', 'Choose a boat.'],
      ['say', 'Say the sum.'],
      ['move', 'Tens: up or down. Ones: left or right.'],
      ['check', 'Land on your friend’s harbour to win.'],
      record ? ['write', 'Write the sum.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      `Move one boat in a straight line: up or down by 1 to ${most} tens, left or right by 1 to ${most} ones.`,
      `Say the sum first: “47 add 20 is 67”.${record ? ' Write it.' : ''}`,
      'Never onto or over a boat. Stop at the edge of the grid.',
      'Don’t make the same move twice in a row.',
      'Land on the other harbour to win; guard your own.',
    ],
    lookFors: [
      record ? 'Writes the sum that was moved?' : 'A step down is ten, not one?',
      'Says the number before moving?',
      'Sees what the other could do next?',
    ],
    misconceptions: [
      {
        seen: 'Moves down one row and adds one.',
        ask: 'What is under 34? How much more is that?',
        move: 'no-wrap',
      },
      {
        seen: 'Goes round the end of a row with ones.',
        ask: 'Is 41 in the same row as 40?',
        move: 'no-wrap',
      },
    ],
    iCan: 'I can add and take away tens and ones.',
    words: ['ten more', 'ten less', 'add', 'take away', 'row'],
    easier: 'Play with two boats each.',
    harder: 'Say what the other child could do next before you move.',
    stuck: 'Read the number above and below your boat. What has changed?',
    finishEarly: 'Write down the three sums that took you nearest.',
    talk: 'What were you guarding against with that move?',
    cautions: [smallParts],
    home: 'Write a hundred grid, and use four buttons each, in two colours.',
  }
}
