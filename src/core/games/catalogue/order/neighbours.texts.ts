import type { LevelTexts } from '../../engine/texts'
import type { Params } from './neighbours'

export const neighboursTexts = (params: Params): LevelTexts => {
  const { high, by, device, falling, goes } = params
  const [one, unit] = by === 10 ? ['ten', 'tens'] : ['one', 'ones']
  return {
    setUp: `${device === 'die' ? 'A die, number' : 'A pack to turn, face down, and number'} cards 0 to ${high + by} face up${high > 20 ? ', or a hundred grid to find them on' : ''}.`,
    start: 'The number cards lie where all can see them.',
    end: `Done after ${goes} goes, or when the time is up.`,
    steps: [
      device === 'die' ? ['roll', 'Roll the die.'] : ['turn', 'Turn a card.'],
      ['look', 'Find that number.'],
      ['say', `Say ${one} less and ${one} more.`],
      ['place', 'Lay the three in order.'],
      ['pass', 'Put them back.'],
    ],
    rules: [
      `${device === 'die' ? 'Roll the die' : 'Turn a card'} and find that number.`,
      `Find ${one} less and ${one} more.`,
      `Lay the three in order, ${falling ? 'largest' : 'smallest'} first, and read them.`,
      'Put them back and pass it on.',
    ],
    lookFors: [
      by === 10 ? 'Changes the tens and leaves the ones?' : 'Says the neighbours without counting from one?',
      ...(high > 10 && by === 1 ? ['Says what comes before twenty?'] : []),
      'Lays them in order from left to right?',
    ],
    misconceptions: [
      {
        seen: `Says ${one} more for ${one} less.`,
        ask: 'Will it be nearer to zero or further away?',
        move: 'other-way',
      },
      by === 10
        ? {
            seen: 'Changes the ones instead of the tens.',
            ask: `How many ${unit} have come or gone?`,
            move: 'ones-as-tens',
          }
        : {
            seen: high >= 20 ? 'Says 21, or 10, for one less than 20.' : 'Says the number itself.',
            ask: 'What did you say just before it when you counted?',
            move: 'counted-own',
          },
    ],
    iCan: `I can say ${one} less and ${one} more.`,
    words: [`${one} less`, `${one} more`, 'before', 'after', 'between'],
    easier:
      by === 10
        ? 'Find it on the hundred grid and look above and below.'
        : 'Keep a number line on the table.',
    harder: by === 10 ? 'Say twenty less and twenty more too.' : 'Say two less and two more too.',
    stuck:
      by === 10
        ? 'Build it with rods: take one away, put one on.'
        : 'Count up to the number: what came just before?',
    finishEarly: 'Lay two more numbers on each side.',
    talk: 'How did you know what comes before it?',
    cautions: [],
    home: `Say a number; the other says ${one} less and ${one} more.`,
  }
}
