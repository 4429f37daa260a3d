import type { LevelTexts } from '../../engine/texts'
import type { Params } from './any-pairs'

export const anyPairsTexts = (params: Params): LevelTexts => {
  const { low, high, by, pair, hand } = params
  const ten = pair === 'make-ten'
  const tens = by === 10
  return {
    setUp: `A pack ${low} to ${high}${by > 1 ? ` in ${by}s` : ''}, shuffled; ${hand} cards for each, the rest face down.`,
    start: `All lay down the pairs in their hand: ${ten ? 'two that make ten' : 'two of the same number'}.`,
    end: 'Done when the cards are used up. Most pairs wins; if it’s equal, you share it.',
    steps: [
      ['look', ten ? 'Which card needs a partner?' : 'Look at your cards.'],
      ['say', ten ? 'Ask someone for what makes ten.' : 'Ask someone for a number you hold.'],
      ['place', 'Yes? Lay the pair down. Go again.'],
      ['turn', 'No? Draw a card.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      'Lay down the pairs in your hand.',
      ten
        ? 'Ask someone for the number that makes ten with a card of yours.'
        : 'Ask someone for a number you hold.',
      'Have they got it? They give it; lay the pair down and go again.',
      'Not there? Draw. Drew the number you asked for? Go again.',
      'No cards left in your hand? Draw one.',
    ],
    lookFors: [
      ten
        ? 'Says what makes ten with a card, without counting?'
        : tens
          ? 'Reads the tens without counting?'
          : 'Reads the numbers at once?',
      ten
        ? 'Uses one pair to find the next?'
        : high > 12
          ? tens
            ? 'Says “-ty”, not “-teen”?'
            : 'Tells 12 from 20?'
          : high < 9
            ? 'Tells 2 from 5?'
            : 'Tells 6 from 9?',
      'Goes back to who asked for what?',
    ],
    misconceptions: [
      ten
        ? {
            seen: 'Asks for the number in the hand.',
            ask: 'You have four. What would make ten?',
            move: 'added',
          }
        : tens
          ? {
              seen: 'Says thirteen for 30, or fourteen for 40.',
              ask: 'How many tens has this one?',
              move: 'teen-or-ty',
            }
          : high > 12
            ? {
                seen: 'Mixes up 12 and 20.',
                ask: 'How many tens has this one? How many ones?',
                move: 'digits-turned',
              }
            : {
                seen: high < 9 ? 'Mixes up 2 and 5.' : 'Mixes up 6 and 9, or 2 and 5.',
                ask: 'Which way up is it? Where does it start?',
                move: 'looks-alike',
              },
    ],
    iCan: ten
      ? 'I can say what makes ten.'
      : tens
        ? 'I can read the tens to 100.'
        : `I can read the numbers ${low} to ${high}.`,
    words: ten
      ? ['makes ten', 'pair', 'and', 'missing']
      : ['number', 'pair', 'the same', ...(tens ? ['tens'] : ['ask'])],
    easier: ten ? 'Keep a ten frame on the table.' : 'Keep a number line on the table.',
    harder: ten
      ? 'Ask without looking at the frame, and say the whole sum.'
      : `Ask by a clue: “${tens ? 'ten more than 30' : `one more than ${low + 2}`}”.`,
    stuck: ten ? 'Show the card on fingers: which are down?' : 'Count along the line to the number.',
    finishEarly: 'Put your pairs in order.',
    talk: 'How did you know who to ask?',
    cautions: [],
    home: high <= 10 ? 'Use playing cards up to ten.' : 'Write each number twice on slips of paper.',
  }
}
