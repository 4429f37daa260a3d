import type { LevelTexts } from '../../engine/texts'
import type { Params } from './the-gap'

export const theGapTexts = (params: Params): LevelTexts => {
  const { target, cards, turn, record } = params
  const tens = cards.by === 10
  const frame = target === 10 || target === 20
  const some = tens ? 70 : target > 30 ? target - 19 : Math.max(cards.low, Math.floor(target * 0.6))
  return {
    setUp: `The target card ${target} in the middle, cards ${cards.low} to ${cards.high}${cards.by > 1 ? ` in ${cards.by}s` : ''} face down${record ? ', a sheet and a pencil' : ''}.`,
    start: `All can see the ${target}.`,
    end: turn === null ? 'Done when all the cards are turned.' : `Done after ${turn} cards.`,
    steps: [
      ['turn', 'Turn a card.'],
      ['say', `How many more to ${target}?`],
      ['say', 'Say how you know.'],
      ['check', 'Friend says yes? Keep it.'],
      record ? ['write', 'Write the sum.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      'Turn a card.',
      `Say what is missing to ${target}, and how you knew: “${some} and ${target - some} make ${target}”.`,
      'Partner agrees? Keep the card. Not yet? Work it out together.',
      ...(cards.low === 0 ? [`Zero: all ${target} are missing.`] : []),
      ...(cards.high === target ? [`${target}: nothing is missing.`] : []),
      ...(record ? ['Write the sum.'] : []),
    ],
    lookFors: [
      tens
        ? 'Uses the pairs to ten to say the tens?'
        : target > 20
          ? 'Goes through the next ten?'
          : 'Says it at once, or counts up on fingers?',
      'Counts the gap, not the card it starts from?',
      'Uses one answer to find the next?',
    ],
    misconceptions: [
      {
        seen: 'Adds the card and the target.',
        ask: 'Is the card a part or the whole? Where is the whole?',
        move: 'added',
      },
      target > 20 && !tens
        ? {
            seen: `For ${some} to ${target} takes the smaller digit from the larger.`,
            ask: `Start at ${some} and add your answer. Where do you land?`,
            move: 'smaller-from-larger',
          }
        : tens
          ? { seen: 'Says the tens as ones.', ask: 'Is that seven, or seventy?', move: 'ones-as-tens' }
          : {
              seen: 'Is one too many: counts the card itself.',
              ask: 'You have these already. What is the first number you still need?',
              move: 'counted-own',
            },
    ],
    iCan: `I can say what is missing to ${target}.`,
    words: ['missing', 'how many more', 'make', 'part', 'whole'],
    easier: frame
      ? 'Put a ten frame beside the card.'
      : tens
        ? 'Lay rods beside the card.'
        : target < 10
          ? 'Put a row of five beside the card.'
          : 'Use a number line and hop to the next ten.',
    harder: 'Write both take-aways for each pair.',
    stuck: tens
      ? 'How many rods to ten rods?'
      : target > 20
        ? 'What is the next ten? How far is it?'
        : 'Put up the card on fingers or counters; look at what is bare.',
    finishEarly: 'Lay the pairs that belong together side by side.',
    talk: 'How did you know? Did anyone find it another way?',
    cautions: [],
    home:
      target <= 10
        ? `Use playing cards up to ${target} without the picture cards; an ace stands for one.`
        : `Write numbers to ${target} on slips and draw one each.`,
  }
}
