import type { LevelTexts } from '../../engine/texts'
import type { Params } from './tens-catch'

export const tensCatchTexts = (params: Params): LevelTexts => {
  const { target, high, turn } = params
  const open = ['', '', 'two', 'three', 'four', 'five', 'six'][turn]
  const [a, b] = [
    Math.min(high, Math.ceil(target / 2) + 1),
    target - Math.min(high, Math.ceil(target / 2) + 1),
  ]
  return {
    setUp: `Cards 1 to ${high}, four of each, shuffled face down in the middle.`,
    start: `Turn ${open} cards and lay them in a row.`,
    end: 'Done when the pack is used up, or nothing more can be made. Most catches wins.',
    steps: [
      ['look', `What makes ${target}?`],
      ['say', 'Say the sum.'],
      ['choose', 'Take those cards.'],
      ['turn', `Top up to ${open} cards again.`],
      ['pass', 'Nothing fits? Swap the row. Pass it on.'],
    ],
    rules: [
      `Take any cards that make ${target} together, two or more, and say the sum.`,
      ...(high >= target ? [`A ${target} by itself counts too.`] : []),
      `Top up to ${open} cards again.`,
      `Nothing makes ${target}? Put the ${open} cards under the pile and pass it on; the next child turns ${open} new ones.`,
    ],
    lookFors: [
      `Says the pairs that make ${target} at once?`,
      ...(target > 5 ? ['Finds three cards that make it?'] : []),
      'Starts from one card and asks what is missing?',
    ],
    misconceptions: [
      {
        seen: 'Only checks cards side by side.',
        ask: `Which card would go with the ${a}? Do you see it anywhere?`,
        move: 'other-ways',
      },
      {
        seen: `Takes cards that make ${target - 1} or ${target + 1}.`,
        ask: `Show me ${a} on a frame. How many more make ${target}?`,
        move: 'same-total',
      },
    ],
    iCan: `I can find numbers that make ${target}.`,
    words: ['makes', 'together', 'pair', 'what is missing'],
    easier: `Lay the pair ${a} and ${b} beside the game as a help.`,
    harder: 'Look for three cards before you take two.',
    stuck: `Choose one card. How many more to ${target}?`,
    finishEarly: `Make ${target} with as many cards as you can.`,
    talk: 'Which cards go together without thinking? Which need a look?',
    cautions: [],
    home: `Use playing cards up to ${high} without the picture cards; an ace stands for one.`,
  }
}
