import { walking } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './fetch-two'

export const fetchTwoTexts = (params: Params): LevelTexts => {
  const { high, seconds, sentences, rounds } = params
  const four = sentences === 4
  return {
    setUp: `A list of things that may be fetched, at least ${high} of each; a sheet and a pencil each.`,
    start: 'Each child, or pair, chooses two kinds of things. Someone times it.',
    end: `Done after ${rounds === 1 ? 'one round' : `${rounds} rounds`}.`,
    steps: [
      ['choose', 'Choose two kinds.'],
      ['move', `${seconds} seconds: walk and fetch up to ${high} of each.`],
      ['count', 'Count each kind.'],
      ['write', four ? 'Write four sums.' : 'Write two sums.'],
      ['check', 'Check with a friend.'],
    ],
    rules: [
      'Choose two kinds of things from the list.',
      `Walk and fetch as many of each as you like, up to ${high}; you have ${seconds} seconds.`,
      'Count each kind.',
      four
        ? 'Write two additions and two take-aways with your numbers.'
        : 'Write the addition both ways round.',
      'Check with a partner. Put the things back.',
    ],
    lookFors: [
      four ? 'Starts taking away from the total?' : 'Says that turning the sum round changes nothing?',
      'Uses one sum for the next?',
      'Counts each kind once?',
    ],
    misconceptions: [
      ...(four
        ? [
            {
              seen: 'Takes away from the smaller number.',
              ask: 'How many did you have altogether?',
              move: 'both-parts' as const,
            },
          ]
        : []),
      {
        seen: `Works out ${high < 5 ? '1 + 3 from scratch after 3 + 1' : '3 + 5 from scratch after 5 + 3'}.`,
        ask: 'What changed? What stayed the same?',
        move: 'turn-round',
      },
    ],
    iCan: four ? 'I can write four sums with three numbers.' : 'I can write a sum both ways round.',
    words: four
      ? ['add', 'take away', 'total', 'part', 'belongs to']
      : ['add', 'total', 'the other way round'],
    easier: four ? 'Write the two additions only.' : `Fetch up to ${high > 3 ? 'three' : 'two'} of each.`,
    harder: 'Cover one number of each sum for a friend to find.',
    stuck: 'Put both kinds together: how many? That is the total.',
    finishEarly: 'Draw a picture for one of your sums.',
    talk: four ? 'How do your four sums belong together?' : 'Why is it the same both ways round?',
    cautions: [walking],
    home: 'Fetch pegs and spoons and write the sums.',
  }
}
