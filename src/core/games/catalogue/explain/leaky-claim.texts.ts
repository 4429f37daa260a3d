import { questionKinds } from '../../families/questions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './leaky-claim'

export const leakyClaimTexts = (params: Params): LevelTexts => {
  const { kind, statements, rounds } = params
  const about = questionKinds[kind].title
  const many = ['', '', 'two', 'three', 'four'][statements]
  return {
    setUp: `Strips with ${many} statements each (${about}), one of them untrue; a pencil.`,
    start: 'Take the first strip and read it together.',
    end: `Done after ${rounds} strips.`,
    steps: [
      ['look', 'Read them all.'],
      ['say', 'Which one is not true?'],
      ['say', 'Say how you know.'],
      ['write', 'Put it right.'],
    ],
    rules: [
      `Read the ${many} statements. One of them is not true: it leaks.`,
      'Talk about which one.',
      'Say how you know it cannot be true.',
      'Put it right and write it down.',
      'Take the next strip.',
    ],
    lookFors: [
      'Checks each statement, or just guesses?',
      'Gives a reason, not only the answer?',
      'Puts it right in more than one way?',
    ],
    misconceptions: [
      {
        seen: 'Says it is wrong because it looks odd.',
        ask: 'How could you show somebody that it is not true?',
        move: 'prove-it',
      },
      { seen: 'Changes a true one to fit.', ask: 'How could you check this one?', move: 'prove-it' },
    ],
    iCan: 'I can say why something is not true.',
    words: ['true', 'not true', 'because', 'equals'],
    easier: 'Check each one with counters or a number line.',
    harder: 'Say which slip somebody made.',
    stuck: 'Choose one and build it. Does it hold?',
    finishEarly: `Write ${many} statements with one leak for another group.`,
    talk: 'How do you know it cannot be true?',
    cautions: [],
    home: 'Say three sums at supper, one of them wrong.',
  }
}
