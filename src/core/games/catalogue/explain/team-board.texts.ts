import { noRanking } from '../../engine/cautions'
import { questionKinds } from '../../families/questions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './team-board'

export const teamBoardTexts = (params: Params): LevelTexts => {
  const { columns, rows } = params
  const names = columns.map((kind) => questionKinds[kind].title)
  return {
    setUp: `A wall with ${columns.length} columns (${names.join(', ')}) of ${rows} questions, worth 1 to ${rows}. Two teams or more.`,
    start: 'Teams sit together; each child has a mini whiteboard.',
    end: 'Done when the wall is empty. Most points wins; if it’s equal, you share it.',
    steps: [
      ['choose', 'Choose a question.'],
      ['say', 'Talk in your team.'],
      ['write', 'Write it down.'],
      ['say', 'One of you says how you know. Right? Take the points.'],
    ],
    rules: [
      `Your team chooses a question; lower rows are harder and worth more, up to ${rows}.`,
      'Talk about it and agree on an answer.',
      'Any child of the team may be asked how you found it.',
      'Right: the points are yours. Not yet: find it together, no points.',
      'Play until the wall is empty.',
    ],
    lookFors: [
      'Says how the answer was found, with numbers?',
      'Uses what another child of the team has said?',
      'Checks the answer another way?',
    ],
    misconceptions: [
      {
        seen: 'Counts from one for a fact nearly known.',
        ask: 'Which fact close by do you know?',
        move: 'know-or-work-out',
      },
      {
        seen: 'Says an answer without a reason.',
        ask: 'How could you show that it is right?',
        move: 'prove-it',
      },
    ],
    iCan: 'I can say how we found the answer.',
    words: ['because', 'so', 'check', 'another way'],
    easier: 'Let a team use cubes or a number line.',
    harder: 'Ask for two ways of finding each answer.',
    stuck: 'Read the question aloud. What do you know? What is asked?',
    finishEarly: 'Make a question that fits an empty place.',
    talk: 'Why did you choose that one?',
    cautions: [noRanking],
    home: 'Write nine questions on slips and choose in turn.',
  }
}
