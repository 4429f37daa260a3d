import type { LevelTexts } from '../../engine/texts'
import type { Params } from './bigger-haul'

export const biggerHaulTexts = (params: Params): LevelTexts => {
  const { high, rule, show, rounds } = params
  const cards =
    show === 'dominoes' ? 'dominoes' : show === 'ten-frames' ? 'ten-frame cards' : `number cards 1 to ${high}`
  const one = rule === 'before-and-after'
  const each = show === 'dominoes' ? 'Turn a domino.' : one ? 'Turn a card.' : 'Turn two cards.'
  return {
    setUp: `${cards[0].toUpperCase()}${cards.slice(1)}, shuffled face down.`,
    start: `Nobody has any ${show === 'dominoes' ? 'dominoes' : 'cards'} yet.`,
    end: `Done after ${rounds} rounds. Whoever has won most wins; if it’s equal, you share it.`,
    steps: [
      ['turn', each],
      [
        'say',
        one
          ? 'Say one less and one more.'
          : rule === 'difference'
            ? 'How many more is one than the other?'
            : 'Add. Say the total.',
      ],
      ['look', rule === 'difference' ? 'Who has the smaller difference?' : 'Who has more?'],
      ['check', 'The winner takes them all.'],
    ],
    rules: [
      ...(one
        ? [
            'Each turns one card and says the number before it and the number after it.',
            'The larger card takes all.',
            'Equal: the cards wait for the next round.',
          ]
        : rule === 'difference'
          ? [
              'Each turns two cards and says the difference: how many more the larger is.',
              'The smallest difference takes all.',
              'Equal: the cards wait for the next round.',
            ]
          : [
              show === 'dominoes'
                ? 'Each turns a domino and adds both sides.'
                : 'Each turns two cards and adds them.',
              'The larger total takes all.',
              `Equal: the ${show === 'dominoes' ? 'dominoes' : 'cards'} wait for the next round.`,
            ]),
      `Too few left for a round? Note what each has won, and shuffle all the ${show === 'dominoes' ? 'dominoes' : 'cards'} again.`,
    ],
    lookFors: [
      one
        ? 'Says the neighbours without counting from one?'
        : rule === 'difference'
          ? 'Counts up from the smaller, or says the difference at once?'
          : show === 'dominoes'
            ? 'Starts from the side with more dots?'
            : 'Makes ten with the two cards, or counts on?',
      'Sees who wins without working it out?',
      one
        ? 'Says the smaller neighbour first?'
        : rule === 'difference'
          ? 'Says the difference aloud?'
          : 'Says the sum aloud?',
    ],
    misconceptions: one
      ? [
          {
            seen: 'Says one more for one less.',
            ask: 'Is that nearer to zero, or further away?',
            move: 'other-way',
          },
        ]
      : rule === 'difference'
        ? [
            {
              seen: 'Adds the two cards.',
              ask: 'How many more is this one than that one?',
              move: 'took-away',
              slip: 'added',
            },
          ]
        : [
            {
              seen: `Compares only the largest ${show === 'dominoes' ? 'sides' : 'cards'}.`,
              ask: `She has ${show === 'dominoes' ? (high < 6 ? '3 and 0, you have 2 and 2' : '6 and 0, you have 4 and 4') : '9 and 1, you have 7 and 7'}. Who has more?`,
              move: 'same-total',
            },
            {
              seen: 'Counts all from one.',
              ask: 'Which number could you start from?',
              move: 'starts-from-one',
            },
          ],
    iCan: one
      ? 'I can say one less and one more.'
      : rule === 'difference'
        ? 'I can find the difference.'
        : 'I can add two numbers.',
    words: one
      ? ['before', 'after', 'one less', 'one more']
      : rule === 'difference'
        ? ['difference', 'how many more', 'smaller']
        : ['total', 'more', 'altogether', 'equal'],
    easier: one ? 'Keep a number line on the table.' : 'Build both numbers with cubes.',
    harder: 'Say who wins before you work it out, and why.',
    stuck: one
      ? 'Count up to the number in a whisper: what came just before?'
      : rule === 'difference'
        ? 'Stand two towers side by side.'
        : 'Start at the larger number and count on.',
    finishEarly: one
      ? 'Put your cards in order and look for the missing ones.'
      : show === 'dominoes'
        ? 'Find a domino that beats your best one by one.'
        : 'Find two cards that beat your best haul by one.',
    talk: 'Did you have to work it out to know who wins?',
    cautions: [],
    home:
      show === 'dominoes'
        ? 'Use dominoes, or playing cards to six.'
        : 'Use playing cards without the picture cards.',
  }
}
