import { orList } from '../../../things/or-list'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './hidden-corner'

export const hiddenCornerTexts = (params: Params): LevelTexts => {
  const { op, high, cover, turn, explain, among } = params
  const add = op === 'add'
  const whole = add ? 'total' : 'product'
  const total = cover === 'total'
  return {
    setUp: `Triangle cards: two ${add ? 'parts' : 'factors'} to ${high}${among ? `, one of them ${orList(among)},` : ''} and their ${whole}.`,
    start: 'Two children face each other; the cards lie face down.',
    end: `Done after ${turn} cards.`,
    steps: [
      ['turn', 'Take a card. Hide it.'],
      ['cover', total ? `Cover the top corner.` : 'Cover a bottom corner.'],
      ['say', 'What is under the finger?'],
      explain ? ['say', 'Say how you know.'] : ['look', 'Look at the card.'],
      ['check', 'Lift and look. Swap.'],
    ],
    rules: [
      'Take a card so that your partner cannot see it.',
      total
        ? `Cover the ${whole} (the top corner) with a finger and show the card.`
        : `Cover one of the two ${add ? 'parts' : 'factors'} (a bottom corner) with a finger and show the card.`,
      `Your partner says what is hidden${explain ? ', and how they knew' : ''}.`,
      'Lift the finger and look together.',
      'Change over.',
    ],
    lookFors: [
      total
        ? add
          ? 'Says the total at once, or counts on?'
          : 'Says the product at once, or counts in steps?'
        : `Starts from the ${whole}?`,
      `Tells a ${add ? 'part' : 'factor'} from the ${whole}?`,
      add
        ? `Can say how: “${high >= 8 ? '8 and 2' : high > 5 ? '5 and 5' : high > 3 ? '4 and 4' : '2 and 2'}, and one more”?`
        : 'Can say how: “5 times 6, and 6 more”?',
    ],
    misconceptions: [
      total
        ? add
          ? {
              seen: `Says that zero and ${high > 3 ? 'four' : 'three'} make zero.`,
              ask: `${high > 3 ? 'Four' : 'Three'} and none: how many is that?`,
              move: 'zero',
            }
          : {
              seen: 'Adds the two numbers.',
              ask: 'How many groups are there, and how many in each?',
              move: 'groups-not-sum',
              slip: 'added',
            }
        : add
          ? {
              seen: 'Adds the two numbers in sight.',
              ask: 'Which one is the total? Is the hidden one larger?',
              move: 'added',
            }
          : {
              seen: 'Says one group too many.',
              ask: 'How many groups make that many?',
              move: 'one-group-more',
            },
    ],
    iCan: total
      ? add
        ? 'I can add two parts.'
        : 'I can multiply two numbers.'
      : add
        ? 'I can find the missing part.'
        : 'I can find the missing factor.',
    words: add ? ['part', 'total', 'missing', 'makes'] : ['times', 'groups of', 'product', 'factor'],
    easier: add ? 'Build the card with cubes in two colours.' : 'Draw the rows of dots.',
    harder: 'Say another card with the same top corner.',
    stuck: total
      ? add
        ? 'Start at the larger part.'
        : 'Count in steps of the number you know best.'
      : `Start from the ${whole}: which part can you see?`,
    finishEarly: 'Say all four sentences of your card.',
    talk: 'How did you know? Could it have been found another way?',
    cautions: [],
    home: 'Cut triangles from card and write families of three numbers.',
  }
}
