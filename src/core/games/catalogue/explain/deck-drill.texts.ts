import { movement, noRanking } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './deck-drill'

export const deckDrillTexts = (params: Params): LevelTexts => {
  const { ask, high, action, keyWord, calls } = params
  const works = ask !== 'number'
  return {
    setUp: `${ask === 'number' ? `Cards 1 to ${high}` : ask === 'sum' ? `Sum cards to ${high}` : `Take-away cards to ${high}`}, clear floor, a caller.`,
    start: 'Everyone stands, or sits, in a space of their own.',
    end: `Done after ${calls} calls.`,
    steps: [
      ['look', works ? 'Look at the card. Work it out.' : 'Look at the card.'],
      ['say', keyWord ? 'Say how many. Did you hear the key word?' : 'Say how many.'],
      ['hop', `${action[0].toUpperCase()}${action.slice(1)} that many, at your pace.`],
      ['check', 'Stop and stand still.'],
    ],
    rules: [
      'The caller turns a card.',
      works ? 'Work it out and say how many.' : 'Say how many.',
      `All ${action} that many times, at their own pace.`,
      ...(keyWord ? ['Agree on a key word. Move only if the caller says it; otherwise stand still.'] : []),
      ...(ask === 'difference' ? ['Zero: nobody moves.'] : []),
      'Take turns to call.',
    ],
    lookFors: [
      works ? 'Works it out before moving?' : 'Stops at the number?',
      'Counts one for each move?',
      ...(keyWord ? ['Stands still without the key word?'] : []),
    ],
    misconceptions: [
      {
        seen: 'Goes on with the others after the number.',
        ask: 'How many was it? How many have you done?',
        move: 'runs-past',
      },
      works
        ? ask === 'difference'
          ? {
              seen: 'Adds the numbers of a take-away card.',
              ask: 'Will it be more or fewer than the first number?',
              move: 'took-away',
              slip: 'added',
            }
          : {
              seen: 'Counts both numbers from one.',
              ask: 'Which number could you start from?',
              move: 'starts-from-one',
            }
        : {
            seen: 'Counts faster than the moves.',
            ask: 'How many times have you done it?',
            move: 'one-for-one',
          },
    ],
    iCan: works ? 'I can work it out and do that many.' : `I can count moves to ${high}.`,
    words: [
      'how many',
      'stop',
      ...(works ? [ask === 'sum' ? 'altogether' : 'is left', 'work out'] : ['count', 'once more']),
    ],
    easier: 'Count aloud together.',
    harder: 'Count in a whisper, or in your head.',
    stuck: 'Count together, one number for each move.',
    finishEarly: 'Whisper the number and do it without a sound.',
    talk: 'How did you know when to stop?',
    cautions: [...(action === 'clap' ? [] : [movement]), noRanking],
    home: 'Turn playing cards and hop on the spot.',
  }
}
