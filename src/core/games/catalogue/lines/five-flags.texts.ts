import { diceOnTheFloor, movement as movementCaution, rope, smallParts } from '../../engine/cautions'
import { deviceWords } from '../../engine/texts'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './five-flags'

export const fiveFlagsTexts = (params: Params): LevelTexts => {
  const { source, rule, size, free, caller, board, none, movement } = params
  const dice = source.kind === 'dice' && source.count > 1
  const device = deviceWords(source, rule === 'total' ? 'and add them' : 'and look')
  const cards = source.kind === 'cards' && (rule === 'difference' || rule === 'product')
  const use = cards
    ? 'Turn two cards'
    : rule === 'total'
      ? device.use
      : dice
        ? 'Roll the two dice'
        : device.use
  const [work, example, can] = {
    total: ['', '4 and 3 is 7', 'I can add two dice.'],
    'minus-two': [
      'Add the dots and take two away.',
      '4 and 3 is 7, take away 2 is 5',
      'I can take two away.',
    ],
    'ten-minus': ['Take the number away from ten.', '10 take away 6 is 4', 'I can take away from ten.'],
    product: ['Multiply the two numbers.', '4 times 3 is 12', 'I can multiply two numbers.'],
    difference: [
      'Find the difference: how many more is the larger?',
      '8 and 5: the difference is 3',
      'I can find the difference.',
    ],
  }[rule]
  const line = ['', '', '', 'three', 'four', 'five', 'six'][size]
  const lineInFull = `${line[0].toUpperCase()}${line.slice(1)} in a line`
  return {
    setUp: `${board === 'own' ? `A card of ${size} by ${size} for each child` : `One card of ${size} by ${size} for all`}, ${cards ? 'a pack of number cards' : device.thing}, counters${board === 'shared' ? ' in two colours: two children, or two teams' : ''}.`,
    start: free ? 'Cover the free space in the middle.' : 'All spaces are open.',
    end: `The first with ${line} in a line wins: across, down or corner to corner. A line for several on the same call? They all win. All full and no line? Most spaces wins.`,
    steps: [
      cards ? ['turn', 'Turn two cards.'] : dice ? ['roll', 'Roll the dice.'] : device.step,
      [
        'say',
        rule === 'total'
          ? 'Add. How many?'
          : rule === 'product'
            ? 'Multiply. How many?'
            : 'Work it out. Say it.',
      ],
      movement === 'none' ? ['look', 'Find it on the card.'] : ['hop', 'Do that many, at your pace.'],
      ['cover', 'Cover one space. You choose.'],
      caller === 'all' ? ['check', `${lineInFull}? Call “Line!”`] : ['pass', 'Pass it on.'],
    ],
    rules: [
      `${use}. ${work}${work === '' ? '' : ' '}Say it: “${example}”.`,
      ...(movement === 'jumps'
        ? ['All jump that many times, at their own pace.']
        : movement === 'hops'
          ? ['All hop that many times, at their own pace.']
          : movement === 'over-the-rope'
            ? ['All step over the rope that many times.']
            : []),
      caller === 'all'
        ? 'One call is for everyone: cover one space with that number. You choose which.'
        : 'Whoever called covers one space with that number in their team’s colour.',
      none === 'again'
        ? `No such space? ${cards ? 'Turn' : 'Roll'} again.`
        : none === 'act-again'
          ? 'No such space? Move, then try again.'
          : 'No such space? Wait for the next call.',
      `${lineInFull} wins.`,
    ],
    lookFors: [
      {
        total: 'Works the total out, or waits for others to say it?',
        'minus-two': 'Takes two from the total in the head?',
        'ten-minus': 'Knows what is left of ten, or counts?',
        product: 'Knows the product, or adds in steps?',
        difference: 'Counts up from the smaller, or takes away?',
      }[rule],
      'Chooses the space that helps a line?',
      'Says which numbers come often?',
    ],
    misconceptions: [
      rule === 'total'
        ? {
            seen: 'Counts all the dots from one.',
            ask: 'Which die has more? How many is that?',
            move: 'starts-from-one',
          }
        : rule === 'difference'
          ? {
              seen: 'Adds the two numbers.',
              ask: 'How many more is 8 than 5?',
              move: 'took-away',
              slip: 'added',
            }
          : rule === 'product'
            ? {
                seen: 'Adds instead of multiplying.',
                ask: 'How many groups are there, and how many in each?',
                move: 'groups-not-sum',
                slip: 'added',
              }
            : {
                seen: 'Adds instead of taking away.',
                ask: 'Will the number be more or less than before?',
                move: 'took-away',
                slip: 'added',
              },
      dice
        ? {
            seen: 'Thinks every total is equally likely.',
            ask: 'How can two dice make the largest one? And this one?',
            move: 'chance',
          }
        : {
            seen: 'Says it must be that number’s turn.',
            ask: 'What does the pack know about last time?',
            move: 'no-memory',
          },
    ],
    iCan: can,
    words: {
      total: ['add', 'total', 'altogether', 'in a line'],
      'minus-two': ['take away', 'total', 'two less', 'in a line'],
      'ten-minus': ['take away', 'is left', 'in a line'],
      product: ['times', 'groups of', 'product', 'in a line'],
      difference: ['difference', 'how many more', 'fewer', 'in a line'],
    }[rule],
    easier: 'Play for three in a line.',
    harder: 'Say which number you need before each call, and how it can be made.',
    stuck: {
      total: 'Start at the larger number and count on.',
      'minus-two': 'Say the total, then count two back.',
      'ten-minus': 'Show ten fingers and fold that many down.',
      product: 'Draw rows of dots.',
      difference: 'Stand cubes side by side and see what is left over.',
    }[rule],
    finishEarly: 'Make a better card: which numbers would you write more often?',
    talk: 'Which number do you need now? How likely is it?',
    cautions: [
      smallParts,
      ...(movement === 'none' ? [] : [movementCaution]),
      ...(movement === 'none' || source.kind !== 'dice' ? [] : [diceOnTheFloor]),
      ...(movement === 'over-the-rope' ? [rope] : []),
    ],
    home: `Draw a card of ${size} by ${size} and fill it with numbers that can come up.`,
  }
}
