import { noRanking } from '../../engine/cautions'
import { questionKinds } from '../../families/questions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './door-cards'

export const doorCardsTexts = (params: Params): LevelTexts => {
  const { kind, missed } = params
  const about = questionKinds[kind].title
  return {
    setUp: `A fact card for each child (${about}), a line at the door.`,
    start: 'Line up; the adult stands at the door with the cards.',
    end: 'Done when everyone is out.',
    steps: [
      ['look', 'Read your card.'],
      ['say', 'Say the answer.'],
      ['move', 'Go out.'],
      ['check', missed === 'together' ? 'Not yet? We say it together.' : 'Not yet? Try again at the end.'],
    ],
    rules: [
      'Each child gets one card and reads it aloud.',
      'Say the answer and go out.',
      ...(missed === 'together'
        ? ['Not yet? All say it together, and the child goes out.']
        : [
            'Not yet? To the back of the line.',
            'Second time, everyone says it together and the child goes out.',
          ]),
    ],
    lookFors: [
      `Says it at once, or works it out (${about})?`,
      'Uses a fact close by?',
      'Which cards do many children miss?',
    ],
    misconceptions: [
      {
        seen: 'Counts from one for a fact nearly known.',
        ask: 'Which fact close by do you know?',
        move: 'know-or-work-out',
      },
    ],
    iCan: `I know some of these by heart: ${about}.`,
    words: ['know', 'makes', 'equals', 'fact'],
    easier: 'Let the child choose from two cards.',
    harder: 'Ask for another fact of the same family.',
    stuck: 'Say it together, and ask again tomorrow.',
    finishEarly: 'Make a card for somebody else.',
    talk: 'Which cards do we want to practise this week?',
    cautions: [noRanking],
    home: 'One fact before the front door opens.',
  }
}
