import { smallParts } from '../../engine/cautions'
import type { ChildStep } from '../../engine/texts'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './perch'

export const perchTexts = (params: Params): LevelTexts => {
  const { source, tokens, doubleAgain } = params
  const again = doubleAgain && source.kind === 'dice' && source.count === 2
  const [thing, step, work, can] = {
    dice: [
      source.kind === 'dice' && source.count === 3 ? 'three dice' : 'two dice',
      ['roll', 'Roll the dice and add.'],
      'Roll and add the dice',
      'I can add the dice.',
    ],
    doubles: [
      `a spinner with 1 to ${source.kind === 'doubles' ? source.sectors : ''}`,
      ['spin', 'Spin and double it.'],
      'Spin and double the number',
      'I can double a number.',
    ],
    difference: [
      'two dice',
      ['roll', 'Roll. How many more?'],
      'Roll two dice and say the difference',
      'I can find the difference.',
    ],
    'ten-more': [
      'two dice',
      ['roll', 'Roll, add, and ten more.'],
      'Roll two dice, add them, and add ten',
      'I can say ten more.',
    ],
  }[source.kind] as [string, ChildStep, string, string]
  return {
    setUp: `The perches in the middle, ${thing}, ${tokens} birds in a colour for each child.`,
    start: 'All the perches are empty. The youngest begins.',
    end: `The first with all ${tokens} birds on perches wins. All the perches safe before that? Most birds on perches wins; if it’s equal, you share it.`,
    steps: [
      step,
      ['say', 'Say the number.'],
      ['place', 'Put a bird on it.'],
      ['check', 'One of theirs? It flies home.'],
      ['pass', 'Two of yours? Safe. Pass it on.'],
    ],
    rules: [
      `${work}. Place a bird on that number.`,
      'Another child’s single bird there? It flies home to its owner.',
      'Two of yours there: they are safe for good.',
      'Perch already safe? Pass it on.',
      ...(again ? ['A double: go again.'] : []),
    ],
    lookFors: [
      {
        dice: 'Starts from the larger die, or counts all the dots?',
        doubles: 'Knows the double, or adds?',
        difference: 'Says the difference, or counts up?',
        'ten-more': 'Puts the ten on without counting?',
      }[source.kind],
      'Finds the perch at once?',
      'Says which numbers come often?',
    ],
    misconceptions: [
      {
        dice: {
          seen: 'Counts every dot from one.',
          ask: 'Which die has more? How many is that?',
          move: 'starts-from-one' as const,
        },
        doubles: {
          seen: 'Places the bird on the number spun.',
          ask: 'How many times should the number be there?',
          move: 'double-it' as const,
        },
        difference: {
          seen: 'Adds the dice.',
          ask: 'How many more is one than the other?',
          move: 'took-away' as const,
          slip: 'added' as const,
        },
        'ten-more': {
          seen: 'Adds one for the ten.',
          ask: 'Show ten more with a rod. What changes?',
          move: 'ones-as-tens' as const,
        },
      }[source.kind],
      source.kind === 'doubles'
        ? {
            seen: 'Says that a number must come now.',
            ask: 'What does the spinner know about last time?',
            move: 'no-memory',
          }
        : {
            seen: 'Thinks all the perches fill equally fast.',
            ask: 'How many ways can you roll this one? And that one?',
            move: 'chance',
          },
    ],
    iCan: can,
    words: {
      dice: ['add', 'total', 'altogether', 'safe'],
      doubles: ['double', 'twice', 'the same again', 'safe'],
      difference: ['difference', 'how many more', 'the same', 'safe'],
      'ten-more': ['ten more', 'total', 'teens', 'safe'],
    }[source.kind],
    easier: `Play with ${tokens > 5 ? 'five' : 'three'} birds each.`,
    harder: 'Before you begin, choose two perches you will try to make safe, and say why.',
    stuck: {
      dice: 'Start at the larger number and count on.',
      doubles: 'Show the number on both hands, or twice on a frame.',
      difference: 'Stand two towers side by side.',
      'ten-more': 'Say the total, then “ten and …”.',
    }[source.kind],
    finishEarly: 'Write all the ways to get the number that came most often.',
    talk: 'Which perches fill first? Why those?',
    cautions: [smallParts],
    home: 'Draw circles with the numbers and use two sorts of buttons.',
  }
}
