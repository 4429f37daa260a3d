import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './grid-hop'

export const gridHopTexts = (params: Params): LevelTexts => {
  const { goal, finish, direction, markers } = params
  const down = direction === 'down'
  const from = down ? goal : 0
  const to = down ? 0 : goal
  const target = finish === 'exact' ? `exactly ${to}` : `${to} or beyond`
  return {
    setUp: `Hundred grid in the middle, one die, ${markers === 2 ? 'two markers' : 'a marker'} each ${down ? `on ${goal}` : 'beside the grid, before 1'}.`,
    start: down
      ? `Markers on ${goal}. The first roll takes away.`
      : 'Markers start off the grid: that is zero. The first roll puts them on it.',
    end: `${markers === 2 ? 'First with both markers' : 'First'} at ${target} wins.`,
    steps: [
      ['roll', 'Roll the die.'],
      ['choose', 'Ones or tens? You choose.'],
      ['say', 'Say where you will land.'],
      ['move', down ? 'Tens go up. Ones go left.' : 'Tens go down. Ones go right.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      'Roll the die and choose: that many ones, or that many tens.',
      `Say the sum before you move: “${down ? '64 take away 30 is 34' : goal > 50 ? '34 add 30 is 64' : '14 add 30 is 44'}”.`,
      down
        ? 'Tens go up the grid, ones go back along the row.'
        : 'Tens go down the grid, ones go on along the row.',
      `At the end of a row go on with the ${down ? 'row above' : 'next row'}.`,
      ...(finish === 'exact' ? ['If neither ones nor tens fit, stay.'] : ['Going beyond the goal counts.']),
      ...(markers === 2 ? ['Move either marker; both must get home.'] : []),
    ],
    lookFors: [
      down
        ? 'Goes up a row for ten less, without counting ten ones?'
        : 'Goes down a row for a ten, without counting ten ones?',
      'Says the number before moving?',
      ...(finish === 'exact'
        ? ['Weighs ones against tens near the goal?']
        : ['Says that tens get there faster?']),
      'Crosses the end of a row in the right place?',
    ],
    misconceptions: [
      {
        seen: down ? 'Takes one away for every ten.' : 'Adds one for every ten.',
        ask: down ? 'Where is ten less than 34?' : 'Where is ten more than 34?',
        move: 'no-wrap',
      },
      {
        seen: 'Stops at the end of the row.',
        ask: `What comes ${down ? 'before 41' : 'after 40'}? Where is it on the grid?`,
        move: 'no-wrap',
      },
    ],
    iCan: down ? 'I can take away tens and ones on the grid.' : 'I can add tens and ones on the grid.',
    words: ['tens', 'ones', down ? 'ten less' : 'ten more', 'row', down ? 'take away' : 'add'],
    easier: 'Do the tens moves; an adult does the ones.',
    harder: 'Plan two goes ahead: say what you hope to roll.',
    stuck: 'Point one square straight down and read both numbers. What has changed?',
    finishEarly: `Start at ${to} and go ${down ? 'up' : 'back'} to ${from}.`,
    talk: 'Why did you choose tens this time?',
    cautions: [smallParts],
    home: 'Write 1 to 100 in ten rows, and use two buttons and a die.',
  }
}
