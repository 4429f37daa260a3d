import { noRanking } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './switchback'

export const switchbackTexts = (params: Params): LevelTexts => {
  const { multiple, to, digitRule, children, slip } = params
  const calls = Array.from({ length: 3 }, (_, i) => (i + 1) * multiple).join(', ')
  return {
    setUp: `A circle of ${children} or so, standing or sitting. Agree on a call word.`,
    start: 'Agree who says one, and which way the count goes.',
    end: `Done when the circle has reached ${to}.`,
    steps: [
      ['say', 'Say the next number.'],
      [
        'say',
        digitRule
          ? `In the ${multiple}s, or a ${multiple} in it? Say the call word.`
          : `In the ${multiple}s? Say the call word.`,
      ],
      ['move', 'Now the count turns back.'],
      ['check', slip === 'again' ? 'A slip? Start again.' : 'A slip? Put it right and go on.'],
    ],
    rules: [
      'Count round the circle, each child one number.',
      `At ${calls} and so on say the call word (such as “ahoy”) instead of the number.`,
      ...(digitRule ? [`Numbers with a ${multiple} in them are called too.`] : []),
      'After each call the count goes back the other way round.',
      slip === 'again' ? 'A slip: start again together.' : 'A slip: put it right together and carry on.',
    ],
    lookFors: [
      `Says the ${multiple}s, or listens to others?`,
      ...(digitRule ? ['Sees the digit as well as the multiple?'] : []),
      'Is ready when the circle turns?',
    ],
    misconceptions: [
      {
        seen:
          multiple === 10
            ? 'Calls at fives as well.'
            : `Calls at every number that ends in ${multiple} only.`,
        ask: `Count in ${multiple}s from zero. Is it there?`,
        move: 'by-ones',
      },
      {
        seen: 'Says the number after the next.',
        ask: 'What did the last child say? What comes now?',
        move: 'one-missed',
      },
    ],
    iCan: `I can say the numbers in the ${multiple}s.`,
    words: [`${multiple}s`, 'multiple', 'next', 'before'],
    easier: `Write the ${multiple}s where all can see them.`,
    harder: 'Count down from the end.',
    stuck: `Count in ${multiple}s together, then start again.`,
    finishEarly: `Find out before you start who will say ${3 * multiple}.`,
    talk: 'Where does the circle turn twice in a row? Why there?',
    cautions: [noRanking],
    home: `Count in turns in the car and clap at every ${multiple}.`,
  }
}
