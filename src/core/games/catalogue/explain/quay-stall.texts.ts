import { smallParts } from '../../engine/cautions'
import { questionKinds } from '../../families/questions'
import type { ChildStep, LevelTexts } from '../../engine/texts'
import { largest, type Params, type StallKind } from './quay-stall'

/** What differs from level to level. */
type Own = Pick<
  LevelTexts,
  'lookFors' | 'misconceptions' | 'iCan' | 'words' | 'easier' | 'harder' | 'stuck' | 'talk' | 'home'
> & { steps: ChildStep[]; rules: string[] }

const countsCoins = (seen: string): LevelTexts['misconceptions'][number] => ({
  seen,
  ask: 'How many coins are there? What is each of them worth?',
  move: 'counted-coins',
  slip: 'counted-coins',
})
const paysInOnes = (seen: string): LevelTexts['misconceptions'][number] => ({
  seen,
  ask: 'Could you pay it with fewer coins?',
  move: 'all-in-ones',
  slip: 'all-in-ones',
})

const own: Record<StallKind, Own> = {
  'coins-alike': {
    steps: [
      ['place', 'Lay out the coins you see.'],
      ['count', 'Count in steps, a coin each.'],
      ['say', 'Say how much it is.'],
    ],
    rules: [
      'Take the coins that are on the card and lay them in a row.',
      'Count in the steps of the coin and say how much they are worth: “Three fives: fifteen shells.”',
    ],
    lookFors: ['Counts in twos, fives or tens?', 'Says what they are worth, not how many coins?'],
    misconceptions: [countsCoins('Says 3 for three coins of 5.')],
    iCan: 'I can say what coins of one kind are worth.',
    words: ['coin', 'worth', 'altogether', 'shells'],
    easier: 'Lay ones under each coin, as many as it is worth.',
    harder: 'Say which coins would be worth as much.',
    stuck: 'Tap a coin as often as it is worth, then go on.',
    talk: 'How did you count them?',
    home: 'Sort coins from a purse. What are all of one kind worth?',
  },
  'prices-10': {
    steps: [
      ['say', 'Read the price.'],
      ['place', 'Pay it with few coins.'],
      ['say', 'Say how many coins.'],
    ],
    rules: [
      'Lay coins on the stall that make the price exactly.',
      'Swap ones for larger coins until there are as few as can be. Say how many.',
    ],
    lookFors: ['Pays exactly?', 'Starts with the largest coin that fits?'],
    misconceptions: [paysInOnes('Pays 8 with eight ones.')],
    iCan: 'I can pay a price to 10 with few coins.',
    words: ['price', 'pay', 'exactly', 'fewest'],
    easier: 'Any coins that make the price will do.',
    harder: 'Find another way with as many coins.',
    stuck: 'Which is the largest coin that fits? What is left?',
    talk: 'Which prices take three coins?',
    home: 'Put prices to 10 on tins and pay with buttons.',
  },
  purses: {
    steps: [
      ['place', 'Lay out the coins you see.'],
      ['place', 'Put the large ones first.'],
      ['count', 'Add them, one by one.'],
      ['say', 'Say how much it is.'],
    ],
    rules: [
      'Take the coins that are on the card and put them in order, the largest first.',
      'Add them one by one and say how much the purse holds.',
    ],
    lookFors: ['Puts the largest first?', 'Says each total on the way?'],
    misconceptions: [
      countsCoins('Says 4 for a purse of four coins.'),
      {
        seen: 'Leaves the small coins out.',
        ask: 'Which coins have you counted? Are any left?',
        move: 'left-one-coin',
        slip: 'left-one-coin',
      },
    ],
    iCan: 'I can say what mixed coins are worth.',
    words: ['purse', 'worth', 'largest first', 'altogether'],
    easier: 'Turn one coin of the purse over and leave it out.',
    harder: 'Say what is missing to 50.',
    stuck: 'Slide each coin across as you count it.',
    talk: 'Which coin did you start with, and why?',
    home: 'Guess what a purse holds, then count it.',
  },
  'prices-50': {
    steps: [
      ['say', 'Read the price.'],
      ['place', 'Pay it with few coins.'],
      ['say', 'Say how many coins.'],
    ],
    rules: [
      'Lay coins on the stall that make the price exactly.',
      'Use as few as you can and say how many they are.',
    ],
    lookFors: ['Starts with the largest coin that fits?', 'Says what is still to pay?'],
    misconceptions: [
      {
        seen: 'Pays the tens with large coins and the rest in ones.',
        ask: 'Could you pay the rest with fewer coins?',
        move: 'all-in-ones',
      },
    ],
    iCan: 'I can pay a price to 50 with few coins.',
    words: ['price', 'pay', 'fewest', 'still to pay'],
    easier: 'Pay the tens first, then look at the rest.',
    harder: 'Which prices to 50 need the most coins?',
    stuck: 'Which is the largest coin that fits? What is left?',
    talk: 'How do you know that it can’t be fewer?',
    home: 'Look at a price. Which coins would you use?',
  },
  change: {
    steps: [
      ['say', 'Read the price and what is paid.'],
      ['count', 'Count up from the price.'],
      ['place', 'Lay down what comes back.'],
      ['say', 'Say how much it is.'],
    ],
    rules: [
      'Count up from the price to the amount paid.',
      'Lay down what comes back, and say it: “Seven, and three makes ten.”',
    ],
    lookFors: ['Counts up from the price?', 'Checks that price and change make what was paid?'],
    misconceptions: [
      {
        seen: 'Gives back as much as it costs.',
        ask: 'What did it cost? How much was given?',
        move: 'said-the-price',
        slip: 'said-the-price',
      },
      {
        seen: 'Counts the price as the first one.',
        ask: 'The price is 7. Which number comes next?',
        move: 'counted-own',
        slip: 'counted-own',
      },
    ],
    iCan: 'I can say what comes back.',
    words: ['price', 'paid', 'change', 'comes back'],
    easier: 'Use a number line and hop from the price.',
    harder: 'Give the change with the fewest coins.',
    stuck: 'Put ones down, one by one, from the price on.',
    talk: 'How can the buyer check it?',
    home: 'Play shop with ten buttons in the purse.',
  },
}

export const quayStallTexts = ({ kind, turn }: Params): LevelTexts => {
  const { steps, rules, ...texts } = own[kind]
  return {
    ...texts,
    setUp: `The pack face down (${questionKinds[kind].title}), coins to ${largest[kind]} in a bowl.`,
    start: 'Shuffle the cards; the stall is empty.',
    end: `Done after ${turn} cards.`,
    steps: [['turn', 'Turn a card.'], ...steps],
    rules: ['Turn a card.', ...rules, 'The others check. Put the coins back in the bowl.'],
    finishEarly: 'Make up a card for a partner.',
    cautions: [smallParts],
  }
}
