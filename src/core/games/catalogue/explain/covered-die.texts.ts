import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './covered-die'

export const coveredDieTexts = (params: Params): LevelTexts => {
  const { faces, look, then, goes } = params
  const dice = faces === 6 ? 'two dice' : `two dice with 1 to ${faces} (stick the numbers on, or turn cards)`
  const roll = 'Roll two dice'
  return {
    setUp: `${dice[0].toUpperCase()}${dice.slice(1)}, a cup${then === 'shade' ? ', a sheet of totals and a pencil each' : then === 'move' ? `, a track and a marker each` : ''}.`,
    start: then === 'move' ? 'Markers on the start.' : 'One child rolls, the other looks.',
    end: `Done after ${goes} goes, or when the time is up.`,
    steps: [
      ['roll', 'Roll two dice. Look.'],
      ['cover', 'Cover one.'],
      ['say', 'Say the total.'],
      ['check', 'Lift the cup. Check.'],
      then === 'shade'
        ? ['write', 'Shade the total.']
        : then === 'move'
          ? ['move', 'Move that many.']
          : ['pass', 'Change over.'],
    ],
    rules: [
      `${roll} and look for ${look} seconds.`,
      'Your partner covers one with the cup.',
      'Say the total.',
      'Lift the cup and check.',
      then === 'shade'
        ? 'Right? Shade that total. Change over.'
        : then === 'move'
          ? 'Right? Move that many. Change over.'
          : 'Change over.',
    ],
    lookFors: [
      faces > 6
        ? 'Makes ten with the two numbers, or counts on?'
        : 'Counts on from the covered one, or says the sum?',
      'Keeps the covered number in mind?',
      faces > 6 ? 'Reads both numbers before one is covered?' : 'Says how many dots at a glance?',
    ],
    misconceptions: [
      {
        seen: 'Says only the number in sight.',
        ask: 'What was under the cup? What is the whole?',
        move: 'both-parts',
      },
      {
        seen: 'Counts the covered dots in the air from one.',
        ask: 'How many are under there? Do you need to count them?',
        move: 'starts-from-one',
      },
    ],
    iCan: 'I can add a number I cannot see.',
    words: ['total', 'hidden', 'altogether', 'count on'],
    easier: 'Look for longer, and say both numbers before one is covered.',
    harder: 'Say the total, and then what was covered.',
    stuck: 'Whisper the covered number, then count on over the one in sight.',
    finishEarly: 'Say the total first and let your partner find the covered one.',
    talk: 'How did you remember the covered one?',
    cautions: [smallParts],
    home: faces === 6 ? 'Two dice and a cup are all you need.' : 'Number slips and a cup are all you need.',
  }
}
