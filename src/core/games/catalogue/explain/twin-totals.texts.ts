import type { LevelTexts } from '../../engine/texts'
import type { Params } from './twin-totals'

export const twinTotalsTexts = (params: Params): LevelTexts => {
  const { to, pairs, again } = params
  return {
    setUp: `${pairs} pairs of sum cards to ${to}, face down in rows.`,
    start: 'All the cards lie face down.',
    end: 'Done when all the pairs are found. Most pairs wins; if it’s equal, you share it.',
    steps: [
      ['turn', 'Turn two cards.'],
      ['say', 'Say both totals.'],
      ['check', 'The same? Keep them.'],
      ['turn', 'Not the same? Turn them back.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      'Turn two cards and say both totals.',
      `The same total? Keep them${again ? ' and go again' : ''}.`,
      'Not the same? Turn them back and pass it on.',
    ],
    lookFors: [
      to > 10 ? 'Makes ten to say a total, or counts on?' : 'Says the total before turning the second card?',
      `Sees that ${to > 6 ? '3 and 4 makes the same as 5 and 2' : '3 and 2 makes the same as 4 and 1'}?`,
      'Goes back to where a total lay?',
    ],
    misconceptions: [
      {
        seen: 'Looks for the same two numbers, not the same total.',
        ask: `${to > 6 ? 'Six and one, five and two' : 'Four and one, three and two'}: how many each?`,
        move: 'same-total',
      },
      { seen: 'Counts all every time.', ask: 'Which number could you start from?', move: 'starts-from-one' },
    ],
    iCan: `I can say the total of two numbers, to ${to}.`,
    words: ['total', 'the same', 'equal', 'pair'],
    easier: 'Lay half of the cards face up.',
    harder: 'Say which totals are still out before you turn.',
    stuck: 'Start at the larger number and count on.',
    finishEarly: 'Find a third card for each pair.',
    talk: 'Why are these two twins when they look so different?',
    cautions: [],
    home: 'Write sums on slips of paper, two for each total.',
  }
}
