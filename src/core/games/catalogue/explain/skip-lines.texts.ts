import { smallParts, steps } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './skip-lines'

export const skipLinesTexts = (params: Params): LevelTexts => {
  const { by, to, things, back } = params
  const thing = { rods: 'rods', hands: 'hands', tokens: `tokens in ${by}s`, stairs: 'stairs' }[things]
  const each = {
    rods: 'Lay a rod.',
    hands: 'Put up a hand.',
    tokens: `Lay ${by} tokens.`,
    stairs: `Go up ${by} steps.`,
  }[things]
  return {
    setUp:
      things === 'hands'
        ? 'A row of children, or a circle.'
        : things === 'stairs'
          ? `A flight with at least ${to} steps, or steps chalked on the floor.`
          : `${thing[0].toUpperCase()}${thing.slice(1)}, room for a long row.`,
    start: 'Start at zero.',
    end: back ? `Done when you are at ${to} and back at zero.` : `Done when you are at ${to}.`,
    steps: [
      things === 'hands' || things === 'stairs' ? ['hop', each] : ['place', each],
      ['say', 'Say how many so far.'],
      ['pass', 'The next one goes on.'],
      ['say', back ? 'Now count back.' : 'Count it all once more.'],
    ],
    rules: [
      `${each} Say how many there are so far: ${[1, 2, 3].map((n) => n * by).join(', ')}.`,
      'The next child goes on.',
      `Go on to ${to}, then count it all once more together.`,
      ...(back ? ['Come back down, counting back to zero.'] : []),
      ...(things === 'tokens' ? ['Counted correctly? Keep the tokens.'] : []),
    ],
    lookFors: [
      `Says the next number in the ${by}s without counting in between?`,
      to > 50 ? 'Goes on past fifty?' : 'Keeps going past the middle?',
      'Hears the pattern of the last digits?',
    ],
    misconceptions: [
      {
        seen: `Counts the ${things}, not the ${by}s.`,
        ask: 'How many is one worth? And two?',
        move: 'counts-things',
      },
      { seen: 'Slips into ones.', ask: `We count in ${by}s. What comes ${by} after this?`, move: 'by-ones' },
    ],
    iCan: `I can count in ${by}s to ${to}${back ? ' and back' : ''}.`,
    words: [`in ${by}s`, 'so far', 'next', 'altogether', ...(back ? ['count back'] : [])],
    easier: 'Whisper the numbers in between.',
    harder: `Start somewhere else: from ${3 * by}.`,
    stuck: 'Go back to the start and say it together.',
    finishEarly: `Start from ${4 * by} and go on.`,
    talk: 'Which last digits come? Why?',
    cautions: [
      ...(things === 'stairs' ? [steps] : []),
      ...(things === 'tokens' || things === 'rods' ? [smallParts] : []),
    ],
    home:
      by === 2
        ? 'Count shoes or socks in twos.'
        : by === 5
          ? 'Count fingers in fives.'
          : by === 10
            ? 'Count toes and fingers in tens round the family.'
            : `Lay spoons in ${by}s and count.`,
  }
}
