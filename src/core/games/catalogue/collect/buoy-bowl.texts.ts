import { softBall } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './buoy-bowl'

export const buoyBowlTexts = (params: Params): LevelTexts => {
  const { pins, hidden, record, throws } = params
  return {
    setUp: `${pins} light pins on the floor, a soft ball, a line to roll from${hidden ? ', a screen to put before the pins' : ''}.`,
    start: `All ${pins} pins stand. Count them once together.`,
    end: `Done after ${throws} throws, or when the time is up.`,
    steps: [
      ['roll', hidden ? 'Roll the ball. A friend puts up the screen.' : 'Roll the ball.'],
      ['count', hidden ? 'Count the pins that fell over.' : 'How many fell?'],
      ['say', hidden ? 'How many still stand? Say it.' : 'How many stand?'],
      hidden ? ['look', 'Lift the screen. Look.'] : ['say', `Say both: … and … make ${pins}.`],
      record ? ['write', 'Write both parts.'] : ['pass', 'Set them up again.'],
    ],
    rules: [
      'Roll the ball from the line.',
      'Count the pins that fell and lay them in a row.',
      ...(hidden
        ? [
            'A partner puts the screen before the standing ones. Say how many stand without looking; then lift it.',
          ]
        : ['Say how many stand.']),
      `${record ? 'Write' : 'Say'} both parts: “3 and ${pins - 3} make ${pins}”.`,
      `None fell, or all? That counts too: “0 and ${pins}”.`,
      'Set the pins up for the next child.',
    ],
    lookFors: [
      hidden
        ? 'Says the hidden part from the fallen one, without looking?'
        : 'Says the standing ones from the fallen, or counts?',
      'Knows that the whole stays the same?',
      'Says some of the pairs at once?',
    ],
    misconceptions: [
      {
        seen: 'Counts all the pins again every time.',
        ask: 'How many did we set up? Has that changed?',
        move: hidden ? 'named-the-whole' : 'counts-again',
      },
      {
        seen: 'Thinks there is nothing to say when none fall.',
        ask: 'How many fell? How many stand?',
        move: 'zero',
      },
    ],
    iCan: `I can say two parts that make ${pins}.`,
    words: ['part', 'whole', 'fell', 'still stand', 'make'],
    easier:
      pins > 5
        ? 'Stand the pins in two rows and count one row together.'
        : hidden
          ? 'Leave one of the standing pins in sight.'
          : 'Keep the fallen pins beside the standing ones.',
    harder: 'Say the parts before you look at the standing pins.',
    stuck: `Show ${pins} fingers and fold down the ones that fell.`,
    finishEarly: 'Write all the ways the pins can fall.',
    talk: 'Some fell. Do we need to look to know how many stand?',
    cautions: [softBall],
    home: 'Use empty bottles and a rolled-up sock.',
  }
}
