import type { LevelTexts } from '../../engine/texts'
import type { Params } from './quick-look'

export const quickLookTexts = (params: Params): LevelTexts => {
  const { pattern, high, shown, looks, explain } = params
  const what = {
    dice: 'dice-pattern cards',
    fingers: 'finger cards',
    frame: high > 10 ? 'double ten-frame cards' : 'ten-frame cards',
    groups: 'cards with two groups of dots',
  }[pattern]
  const seconds = shown % 1000 === 0 ? `${shown / 1000}` : (shown / 1000).toFixed(1)
  const secondsInWords = `${seconds} ${shown === 1000 ? 'second' : 'seconds'}`
  return {
    setUp: `${what[0].toUpperCase()}${what.slice(1)} to ${high}, held by the adult or a child.`,
    start: 'All eyes on the card.',
    end: `Done after ${looks} looks.`,
    steps: [
      ['look', `Look for ${secondsInWords}.`],
      ['say', 'How many? Say it.'],
      explain ? ['say', 'Say how you saw it.'] : ['check', 'Were you right?'],
      ['look', 'Look again.'],
    ],
    rules: [
      `Show a card for ${secondsInWords}, then hide it.`,
      'All say how many.',
      ...(explain
        ? [
            `Say how you saw it: “${pattern === 'frame' && high > 10 ? 'ten and two' : high > 6 ? 'five and two' : 'two and two'}”.`,
          ]
        : []),
      'Show it again to check.',
      'Who saw it another way?',
    ],
    lookFors: [
      pattern === 'frame'
        ? high > 10
          ? 'Says “ten and …” of a full frame and some?'
          : 'Says “five and …” of a full row and some?'
        : 'Answers without counting in the air?',
      'Sees parts and puts them together?',
      'Says how they saw it?',
    ],
    misconceptions: [
      {
        seen: `Tries to count each ${pattern === 'fingers' ? 'finger' : 'dot'} after it is gone.`,
        ask: 'What shape did you see? How many are in it?',
        move: pattern === 'frame' || pattern === 'fingers' ? 'fives-first' : 'other-ways',
      },
      {
        seen: 'Says a number near by.',
        ask:
          pattern === 'frame'
            ? 'Was the top row full?'
            : pattern === 'fingers'
              ? 'Was one hand full?'
              : 'Which part did you see? What was beside it?',
        move: 'one-missed',
      },
    ],
    iCan:
      pattern === 'dice'
        ? 'I can see how many without counting.'
        : `I can see how many, to ${high}, by its parts.`,
    words: ['see', 'how many', 'and', ...(pattern === 'frame' ? ['row', 'full'] : ['part'])],
    easier: 'Show the card for longer, or twice.',
    harder: `Say how many more would ${high > 5 ? 'fill it, or make ten' : 'make five'}.`,
    stuck: 'Show it again and cover one part: how many now? And the rest?',
    finishEarly: 'Make a pattern that a partner can see at once.',
    talk: 'How did you see it? Who saw it another way?',
    cautions: ['Show patterns once and calmly: nothing flickers.'],
    home: 'Show a few fingers for two seconds behind a book.',
  }
}
