import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './pattern-chain'

export const patternChainTexts = (params: Params): LevelTexts => {
  const { units, task, length, chains } = params
  const colours = new Set(units.join('')).size
  const make = task === 'make'
  const names = { A: 'red', B: 'blue', C: 'green' } as const
  const strips = units
    .map((unit) => [...unit].map((letter) => names[letter as keyof typeof names]).join(', '))
    .join('; or ')
  return {
    setUp: `${make ? 'Cubes' : `Strips (${strips}) and cubes`} in ${colours === 2 ? 'two' : 'three'} colours for each child.`,
    start: make ? 'Choose your colours.' : 'Each takes a strip.',
    end: `Done after ${chains} chains of about ${length} cubes.`,
    steps: make
      ? [
          ['choose', 'Choose a part to repeat.'],
          ['build', 'Build it, again and again.'],
          ['say', 'Say it as you go.'],
          ['check', 'Show a friend.'],
        ]
      : [
          ['look', 'Look at the strip. Say it.'],
          ['build', task === 'copy' ? 'Build the same chain.' : 'Build it and go on.'],
          ['say', 'Which part comes again?'],
          ['check', 'Show a friend.'],
        ],
    rules: [
      make
        ? 'Choose a part that will come again, and build it at least four times.'
        : task === 'copy'
          ? 'Read the strip aloud and build the same chain.'
          : 'Read the strip aloud, build the chain and go on with it.',
      'Say the part that comes again.',
      'What comes next, and after that?',
      'Show it to a partner, who reads it aloud.',
    ],
    lookFors: [
      make
        ? 'Makes a part that comes again, four times?'
        : colours === 3 || units.some((unit) => unit.length > 2)
          ? 'Keeps the longer part going without slipping into two?'
          : 'Says the colours aloud while building?',
      'Says which part comes again?',
      'Finds a slip and puts it right?',
    ],
    misconceptions: [
      units.some((unit) => unit.length > 2)
        ? {
            seen: 'Slips into an AB pattern.',
            ask: 'Read your chain aloud. Does it sound the same all along?',
            move: 'part-that-repeats',
          }
        : {
            seen: 'Adds colours at random.',
            ask: 'Read it aloud. Does it sound the same all along?',
            move: 'part-that-repeats',
          },
      { seen: 'Names too long a part.', ask: 'Could you cut it smaller?', move: 'unit-too-long' },
    ],
    iCan: make
      ? 'I can make my own pattern.'
      : task === 'copy'
        ? 'I can copy a pattern.'
        : 'I can continue a pattern.',
    words: ['pattern', 'comes again', 'next', 'part'],
    easier: 'Say the colours together as each cube is put on.',
    harder: 'Make the same pattern with claps and stamps.',
    stuck: 'Point along the chain and say it. What comes next?',
    finishEarly: 'Clap your pattern for others to build.',
    talk: 'Which part comes again and again? How do you know?',
    cautions: [smallParts],
    home: 'Lay spoons and forks in a row, and clap the pattern.',
  }
}
