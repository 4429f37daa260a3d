import { food, smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './trade-up'

/** Words of the two kinds of pieces, and what lies on a mat as it is said. */
interface Pieces {
  small: string
  large: string
  example: string
  /** What the full mat is worth. */
  goal: number
}

const piecesOf = ({ tens, rolled }: Params): Pieces =>
  rolled === 'ones'
    ? { small: 'one', large: 'ten', example: '3 tens and 4, thirty-four', goal: 10 * tens }
    : {
        small: 'ten',
        large: 'hundred',
        example: '1 hundred and 4 tens, one hundred and forty',
        goal: 100 * tens,
      }

export const tradeUpTexts = (params: Params): LevelTexts =>
  params.backwards ? paying(params, piecesOf(params)) : taking(params, piecesOf(params))

const diceOf = ({ dice }: Params) => ({
  thing: dice === 1 ? 'A die' : dice === 2 ? 'Two dice' : 'Three dice',
  use: dice === 1 ? 'the die' : dice === 2 ? 'two dice, add,' : 'three dice, add,',
  step: dice === 1 ? 'Roll the die.' : 'Roll the dice and add.',
})

const taking = (params: Params, { small, large, example, goal }: Pieces): LevelTexts => {
  const { thing, use, step } = diceOf(params)
  const hundreds = params.rolled === 'tens'
  return {
    setUp: `${thing}, ${large}s and ${small}s in the middle, a mat for each child.`,
    start: 'All the mats are empty.',
    end: `The first to have ${params.tens} ${large}s on their mat wins.`,
    steps: [
      ['roll', step],
      ['place', `Take that many ${small}s.`],
      ['check', `Ten ${small}s? Swap for a ${large}.`],
      ['say', 'Say your number.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      `Roll ${use} and take that many ${small}s.`,
      `Ten ${small}s or more? Swap ten of them for a ${large}.`,
      `Say what lies on your mat: “${example}”.`,
      'Pass it on.',
    ],
    lookFors: [
      'Swaps unasked as soon as there are ten?',
      `Says “${example}”?`,
      'Says what is left after a swap, without counting again?',
    ],
    misconceptions: [
      {
        seen: `Keeps twelve ${small}s beside the ${large}s.`,
        ask: `How many ${small}s have you? Could you carry fewer pieces?`,
        move: 'ten-is-one-ten',
      },
      {
        seen: `Swaps nine ${small}s, or eleven.`,
        ask: `What is a ${large} worth? How could you check?`,
        move: 'ten-is-one-ten',
      },
    ],
    iCan: `I can swap ten ${small}s for a ${large}.`,
    words: [`${large}s`, `${small}s`, 'swap', 'how many more', 'altogether'],
    easier: hundreds
      ? 'Lay the tens side by side: ten of them are as big as a hundred.'
      : 'Lay the ones on a ten frame: a full frame is swapped.',
    harder: `Say your new number before you take the ${small}s.`,
    stuck: hundreds
      ? 'Lay the tens on a hundred: do they cover it?'
      : 'Lay the ones along a ten: do they fit?',
    finishEarly: `Say how far you are from the next ${large}, and from ${goal}.`,
    talk: `How much do you need for the next ${large}?`,
    cautions: [smallParts, food],
    home: hundreds
      ? 'Write tens on scraps of paper, and swap ten of them for a hundred.'
      : 'Use buttons for ones, and swap ten for a spoon.',
  }
}

const paying = (params: Params, { small, large, example, goal }: Pieces): LevelTexts => {
  const { thing, use, step } = diceOf(params)
  const { tens } = params
  return {
    setUp: `${thing}, a mat for each child with ${tens} ${large}s on it, ${small}s in the middle.`,
    start: `Start with ${tens} ${large}s: ${goal}.`,
    end: 'The first with an empty mat wins. Owe more than you have left? Pay it all: that counts.',
    steps: [
      ['roll', step],
      ['check', `Too few ${small}s? Swap a ${large}.`],
      ['place', `Pay that many ${small}s.`],
      ['say', 'Say what is left.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      `Roll ${use} and pay that many ${small}s.`,
      `Not enough ${small}s? Swap a ${large} for ten ${small}s first.`,
      `Say what is left: “${example}”.`,
      'Pass it on.',
    ],
    lookFors: [
      `Swaps a ${large} when the ${small}s run out?`,
      'Says what is left without counting again?',
      `Leaves the other ${large}s alone?`,
    ],
    misconceptions: [
      {
        seen: `Pays 7 ${small}s with a ${large} and asks for nothing back.`,
        ask: `What is a ${large} worth? What is fair?`,
        move: 'change-from-ten',
      },
      {
        seen: `Takes the ${small}s away and keeps the ${large} as well.`,
        ask: `How many ${large}s are there now?`,
        move: 'kept-the-ten',
      },
    ],
    iCan: `I can swap a ${large} for ten ${small}s.`,
    words: [`${large}s`, `${small}s`, 'swap', 'is left', 'take away'],
    easier:
      params.rolled === 'ones'
        ? 'Lay the ten ones on a ten frame when you swap.'
        : 'Lay the ten tens on a hundred when you swap.',
    harder: 'Say what will be left before you pay.',
    stuck:
      params.rolled === 'ones'
        ? 'Show that a ten is as long as ten ones, then swap.'
        : 'Show that ten tens cover a hundred, then swap.',
    finishEarly: `Say how far you are from zero, and from the ${large} below.`,
    talk: 'When do you have to swap? How can you tell before you pay?',
    cautions: [smallParts, food],
    home: 'Use buttons for ones and spoons for tens; start with three spoons.',
  }
}
