import { timed } from '../../engine/cautions'
import { questionKinds } from '../../families/questions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './rising-tide'

export const risingTideTexts = (params: Params): LevelTexts => {
  const { kind, rounds, questions, misses } = params
  const about = questionKinds[kind].title
  return {
    setUp: `${questions} question cards (${about}) a round, a timer, a sheet for your own best.`,
    start: 'Choose a time for the first round that feels easy: about 10 seconds a card.',
    end: `Done after ${rounds} rounds, or when the tide has caught you.`,
    steps: [
      ['turn', 'Turn a card.'],
      ['say', 'Say the answer.'],
      ['check', 'A friend checks.'],
      ['write', `${misses === 2 ? 'Two' : misses} mistakes or fewer? Go on. More? Mark your best.`],
    ],
    rules: [
      `Answer ${questions} cards, one after another, before the time is up. A friend, a number line or a table square says if each is right.`,
      `${misses === 2 ? 'Two' : misses} mistakes or fewer? On to the next round.`,
      'Each round has a fifth less time.',
      'More mistakes? That’s your score for today.',
      'Beat your own best, nobody else’s.',
    ],
    lookFors: [
      `Says the answers at once, or works them out (${about})?`,
      'Uses a fact close by when one is missing?',
      'Stops and thinks when a card is hard?',
    ],
    misconceptions: [
      {
        seen: 'Counts on fingers for a fact nearly known.',
        ask: 'Which fact close by do you know?',
        move: 'know-or-work-out',
      },
    ],
    iCan: `I know more of these by heart: ${about}.`,
    words: ['know', 'work out', 'fact', 'my best'],
    easier: 'Play without the timer.',
    harder: 'Say another fact that belongs to each card.',
    stuck: 'Lay the card aside and come back to it.',
    finishEarly: 'Write the ones you missed with their answers.',
    talk: 'Which questions do you want to practise before the next try?',
    cautions: [timed],
    home: 'A few questions while the kettle boils, if the child likes it.',
  }
}
