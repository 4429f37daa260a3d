import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './squall'

export const squallTexts = (params: Params): LevelTexts => {
  const { length, sectors, penalty, finish } = params
  const squalls = `${penalty.slice(0, -1).join(', ')}${penalty.length > 1 ? ' and ' : ''}${penalty.at(-1) ?? ''}`
  return {
    setUp: `Track to ${length} in the middle${penalty.length > 0 ? `, squalls on ${squalls}` : ''}, a spinner with 1 to ${sectors}, a marker each beside square 1.`,
    start: 'All markers wait beside the first square. The youngest spins first.',
    end: finish === 'exact' ? `First to land on ${length} wins.` : `First to reach ${length} wins.`,
    steps: [
      ['spin', 'Spin.'],
      ['say', 'Say where you will land.'],
      ['move', 'Count on and move.'],
      ['check', penalty.length > 0 ? 'Squall? Go back. Miss a go.' : 'Past the end? You are home.'],
      ['pass', finish === 'exact' ? 'Too many? Stay.' : 'Pass it on.'],
    ],
    rules: [
      'Spin and move on that many squares.',
      'Say the sum: “5 add 3 is 8”.',
      ...(penalty.length > 0 ? ['On a squall: back to the start, and miss your next go.'] : []),
      finish === 'exact' ? 'Too many to fit? Stay.' : 'Going past the last square counts.',
    ],
    lookFors: [
      'Counts on from the square after the marker?',
      'Says where it will land before moving?',
      'Sees a squall coming: “I hope I don’t spin a two”?',
      'Says which spin would finish?',
    ],
    misconceptions: [
      { seen: 'Counts the square stood on.', ask: 'Which square comes after yours?', move: 'counted-own' },
      {
        seen: 'Says that a number must come now, because it has not come yet.',
        ask: 'What does the spinner know about last time?',
        move: 'no-memory',
      },
    ],
    iCan: 'I can say where I will land before I move.',
    words: ['count on', 'land on', 'add', 'how many more', 'back to the start'],
    easier: 'Count the hops aloud together.',
    harder: 'Before each spin say which numbers you want and which you don’t.',
    stuck: 'Put a finger on the next square and say “one”.',
    finishEarly: 'Move one squall to where it makes the game fairer, and play again.',
    talk: 'Which spin do you want now, and which not? Why?',
    cautions: [smallParts],
    home: 'Draw a row of squares with two clouds, and spin a paper clip round a pencil.',
  }
}
