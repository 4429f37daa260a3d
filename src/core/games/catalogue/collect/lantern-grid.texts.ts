import type { LevelTexts } from '../../engine/texts'
import type { Params } from './lantern-grid'

export const lanternGridTexts = (params: Params): LevelTexts => {
  const { sectors, boxes, enough, score } = params
  const own = score === 'own-colours'
  const many = Math.min(boxes, enough ?? boxes)
  return {
    setUp: `The grid of ${boxes} lantern boxes, a spinner with 1 to ${sectors}, ${own ? 'a pen in another colour for each child' : 'a pen each'}.`,
    start: 'All the boxes are dark.',
    end: `Done when ${many === boxes ? `all ${boxes} boxes are` : `${many} boxes are`} lit.${own ? ' Most boxes in your colour wins.' : ''}`,
    steps: [
      ['spin', 'Spin. Say the number.'],
      ['look', 'Find a box with that many.'],
      ['say', 'How do you know?'],
      ['write', 'Shade it.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      'Spin and say the number.',
      'Find a box with that many lanterns.',
      'Say how you know, and shade it.',
      'None left? Pass it on.',
    ],
    lookFors: [
      sectors > 5 ? 'Sees five and some, or counts along in an order?' : 'Says how many at a glance?',
      'Touches each lantern once when counting?',
      'Says how they know?',
    ],
    misconceptions: [
      {
        seen: 'Counts the same lantern twice.',
        ask: 'Where did you start? How will you know when to stop?',
        move: 'counts-twice',
      },
      {
        seen: 'Goes by how full the box looks.',
        ask: 'They are spread out. Are there more, or only further apart?',
        move: 'size-not-number',
      },
    ],
    iCan:
      sectors > 5
        ? 'I can find how many without counting from one each time.'
        : 'I can see how many without counting.',
    words: ['how many', 'the same', 'five and some', 'I see'],
    easier: sectors > 5 ? 'Cover the boxes above five.' : 'Cover the boxes with four and five.',
    harder: 'Look for two seconds only, then say.',
    stuck: `Look for ${sectors > 5 ? 'five' : 'two'} first. What is beside it?`,
    finishEarly: 'Find two boxes with the same number that look different.',
    talk: 'How did you see that one without counting each?',
    cautions: [],
    home: 'Draw boxes with dots and spin a paper clip round a pencil.',
  }
}
