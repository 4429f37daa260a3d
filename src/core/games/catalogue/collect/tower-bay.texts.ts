import { food, smallParts } from '../../engine/cautions'
import { deviceWords } from '../../engine/texts'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './tower-bay'

export const towerBayTexts = (params: Params): LevelTexts => {
  const { source, spaces, taken, pick, score, record } = params
  const device = deviceWords(source)
  const two = source.kind === 'dice' && source.count > 1
  const low = two && pick === 'total' ? source.count : 1
  const high = source.kind === 'dice' ? 6 * source.count : source.sectors
  return {
    setUp: `The board with spaces ${low} to ${high}, ${device.thing}, cubes${score === 'own-colours' ? ' in a colour for each child' : ''}.`,
    start: 'All the spaces are empty.',
    end: `${spaces === null ? 'Done when every space has its tower.' : `Done when ${spaces} towers stand.`}${score === 'own-colours' ? ' Most towers in your colour wins.' : ' You build together.'}`,
    steps: [
      device.step,
      ['look', 'Find the number.'],
      ['build', 'Build a tower of that many.'],
      ['place', 'Stand it there.'],
      ['pass', 'Tower there? Pass it on.'],
    ],
    rules: [
      `${device.use}, and say the number.`,
      ...(pick === 'die-or-total' ? ['Choose one die or the total.'] : []),
      'Find its space on the board.',
      `Build a tower of that many cubes and stand it there.${record ? ' Write the number beside it.' : ''}`,
      taken === 'wait'
        ? 'Tower there already? Pass it on.'
        : 'Tower there already? Build on an empty space next to it.',
    ],
    lookFors: [
      two ? 'Counts on from the larger die, or says the total?' : 'Stops at the number without being told?',
      'Touches each cube once while counting?',
      'Finds the numeral at once, or counts along the board?',
    ],
    misconceptions: [
      {
        seen: 'Counts on past the number while the hands keep going.',
        ask: 'Which number is it? When do you stop?',
        move: 'one-too-many',
      },
      ...(high >= 9
        ? [
            {
              seen: 'Puts the tower of six on nine.',
              ask: 'How do you tell these two apart?',
              move: 'looks-alike' as const,
            },
          ]
        : []),
      {
        seen: 'Counts the tower again after it was moved.',
        ask: 'Did you add a cube? So how many are there now?',
        move: 'counts-again',
      },
    ],
    iCan: `I can build a tower of up to ${high} cubes.`,
    words: ['how many', 'count', 'one more', 'tower', ...(two ? ['total'] : ['number'])],
    easier: 'Lay the cubes in a row first, then stack them.',
    harder: 'Say how many more cubes the next tower needs.',
    stuck: 'Say the number together, then one cube for each word.',
    finishEarly: 'Put the towers in order and say which is one more.',
    talk: 'Which tower is one taller than this one? How do you know without counting?',
    cautions: [smallParts, food],
    home: `Write ${low} to ${high} on paper and build with blocks or pasta shapes. Pasta: mind allergies, and do not eat it.`,
  }
}
