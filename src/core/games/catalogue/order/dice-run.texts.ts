import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './dice-run'

export const diceRunTexts = (params: Params): LevelTexts => {
  const { dice, record } = params
  return {
    setUp: `${dice} dice for each child${record ? ', a sheet and a pencil' : ''}.`,
    start: 'All the dice are in your hand. Get a run: numbers that follow one another.',
    end: `First with a run of ${dice} wins, such as ${Array.from({ length: dice }, (_, i) => i + 1).join(', ')}.`,
    steps: [
      ['roll', 'Throw all your dice.'],
      ['choose', 'Keep the ones that make a run.'],
      ['say', 'Say what you need.'],
      ['pass', 'Pass it on. Throw the rest next time.'],
    ],
    rules: [
      'Throw all your dice.',
      'Keep those that could be in a run: numbers that follow one another.',
      'Say which number you need. Pass it on.',
      'Next go: throw the rest. You may also throw a kept one again.',
      `A run of ${dice} neighbours wins.${record ? ' Write it down.' : ''}`,
    ],
    lookFors: [
      'Says which number is missing?',
      'Gives up a die that no longer helps?',
      'Keeps the middle numbers, which fit more runs?',
    ],
    misconceptions: [
      {
        seen: 'Keeps two of the same number.',
        ask: 'How many of that number does your run need?',
        move: 'run-of-neighbours',
      },
      {
        seen: 'Keeps one and six together.',
        ask: 'Say your run. What comes between them?',
        move: 'run-of-neighbours',
      },
    ],
    iCan: 'I can say which numbers make a run.',
    words: ['next to', 'between', 'before', 'after', 'missing'],
    easier: 'Play with one die fewer.',
    harder: 'Say all the numbers that would help, before you throw.',
    stuck: 'Lay the dice in order. Where is the gap?',
    finishEarly: 'Say your run backwards, then try it with one die more.',
    talk: 'Which number do you need? Which would also do?',
    cautions: [smallParts],
    home: `Throw ${dice} dice and see how many throws a run takes.`,
  }
}
