import type { LevelTexts } from '../../engine/texts'
import type { Params } from './more-or-less'

export const moreOrLessTexts = (params: Params): LevelTexts => {
  const { high, rounds, spin } = params
  return {
    setUp: `A pack of picture cards 1 to ${high} for each child${spin ? ', a spinner with more and less' : ''}.`,
    start: 'Packs shuffled, face down.',
    end: `Done after ${rounds} rounds. Most cards wins; if it’s equal, you share it.`,
    steps: [
      ['turn', 'Turn a card.'],
      ['say', 'How many? Say it.'],
      ['look', 'Which is more?'],
      spin ? ['spin', 'Spin: more or less?'] : ['choose', 'More takes the cards.'],
      ['check', 'The same? They wait for the next round.'],
    ],
    rules: [
      'Each turns a card and says how many.',
      'Say which is more, or that they are equal.',
      ...(spin
        ? ['Spin: more or less? The card with more, or with fewer, takes all.']
        : ['The card with more takes all.']),
      'Equal: the cards wait for the next round.',
    ],
    lookFors: [
      high > 10 ? 'Sees tens and some, or counts?' : 'Sees how many, or counts?',
      'Says “more” and “fewer” of the right card?',
      'Says how many more?',
    ],
    misconceptions: [
      {
        seen: 'Goes by how large the pictures are.',
        ask: 'They are bigger. Are there more of them?',
        move: 'size-not-number',
      },
      {
        seen: 'Names the card with fewer as more.',
        ask: 'Which one would last longer if you ate them one by one?',
        move: 'chose-the-other',
      },
    ],
    iCan: 'I can say which is more and which is fewer.',
    words: ['more', 'fewer', 'the same', 'how many'],
    easier: 'Match the dots one to one with a finger of each hand.',
    harder: 'Say how many more before anyone takes the cards.',
    stuck: 'Build both with cubes and stand them side by side.',
    finishEarly: 'Put all the cards you won in order.',
    talk: 'How many more? How could you show it?',
    cautions: [],
    home: 'Each take a handful of buttons, and toss a coin for more or less.',
  }
}
