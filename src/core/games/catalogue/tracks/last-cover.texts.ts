import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './last-cover'

export const lastCoverTexts = (params: Params): LevelTexts => {
  const { op, to, teens, wild } = params
  const add = op === 'add'
  const example = teens ? (add ? '13 + 5' : '17 − 4') : add ? '3 + 2' : to > 10 ? '12 − 3' : '5 − 2'
  return {
    setUp: `The path of ${add ? 'additions' : 'take-aways'} round the pool of answers, one die, a marker each on the first square, a pile of counters.`,
    start: 'All markers on the first square of the path.',
    end: 'Whoever covers the last answer in the pool wins.',
    steps: [
      ['roll', 'Roll the die.'],
      ['move', 'Move round the path.'],
      ['say', add ? 'Add. How many?' : 'Take away. What is left?'],
      ['cover', wild ? 'Cover the answer. On “any”: you choose.' : 'Cover the answer.'],
      ['pass', 'Covered already? Pass it on.'],
    ],
    rules: [
      'Roll the die and move round the path.',
      `Work out what you land on, such as ${example}.`,
      'Cover its answer in the pool.',
      'Covered already? Pass it on.',
      ...(wild ? ['On a square marked “any”, cover any answer you like.'] : []),
    ],
    lookFors: [
      add ? 'Knows the answer, or counts on?' : 'Knows the answer, counts back, or takes away with counters?',
      ...(teens ? ['Leaves the ten alone and works on the ones?'] : []),
      'Looks for an answer that is still open?',
      'Uses one answer to find the next?',
    ],
    misconceptions: [
      add
        ? {
            seen: 'Counts the first number again.',
            ask: 'You know there are three. What comes next?',
            move: 'starts-from-one',
          }
        : {
            seen: 'Adds instead of taking away.',
            ask: 'Will there be more or fewer at the end?',
            move: 'took-away',
            slip: 'added',
          },
      {
        seen: add ? 'Is one short when counting on.' : 'Is one out when counting back.',
        ask: add
          ? 'You are on three. What is one more?'
          : `Start at ${to >= 9 ? 'nine' : 'five'} and take one away. Where are you?`,
        move: 'counted-own',
      },
    ],
    iCan: add ? `I can add numbers to ${to}.` : `I can take away from numbers to ${to}.`,
    words: add ? ['add', 'makes', 'altogether', 'equals'] : ['take away', 'is left', 'fewer', 'equals'],
    easier: 'Lay counters on a ten frame beside the board and act each one out.',
    harder: 'Say another one with the same answer before you cover it.',
    stuck: add
      ? 'Hold the first number in a fist and count on with fingers.'
      : 'Lay out the first number and take some away.',
    finishEarly: 'Find another way to make each answer in the pool.',
    talk: 'Which answers are still open? What would you need to land on?',
    cautions: [smallParts],
    home: `Write ten ${add ? 'additions' : 'take-aways'} in a ring and their answers in the middle; cover with buttons.`,
  }
}
