import type { LevelTexts } from '../../engine/texts'
import { rowsOf, rowsToWin, type Params } from './jetty-planks'

export const jettyPlanksTexts = (params: Params): LevelTexts => {
  const { to, blanks, dice } = params
  const all = rowsToWin(params) === rowsOf(params)
  return {
    setUp: `A jetty sheet to ${to} in a sleeve and a pen for each child, ${dice === 1 ? 'a die' : 'two dice'}.`,
    start: 'All the rows have gaps. Read one row together.',
    end: all
      ? 'The first to fill every row of their sheet wins.'
      : `The first to fill ${rowsToWin(params)} rows wins.`,
    steps: [
      ['roll', dice === 1 ? 'Roll the die.' : 'Roll the two dice and add.'],
      ['look', 'Find your row.'],
      ['say', 'Say its numbers in order.'],
      ['write', 'Write what is missing.'],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      dice === 1 ? 'Roll the die: that is your row.' : 'Roll two dice and add them: that is your row.',
      'Read the numbers at its ends.',
      `Write the ${blanks === 1 ? 'number' : `${blanks} numbers`} missing between them.`,
      'Row full already? Pass it on.',
    ],
    lookFors: [
      to > 20 ? 'Crosses a ten in the right place?' : 'Goes on from the first number, or counts from one?',
      ...(to >= 20 ? ['Writes the teens the right way round?'] : []),
      'Checks against the number at the other end?',
    ],
    misconceptions: [
      to > 10
        ? { seen: 'Writes 31 for 13.', ask: 'Which digit says the tens?', move: 'digits-turned' }
        : {
            seen: 'Leaves a number out.',
            ask: 'Read your row aloud. Does it go up by one?',
            move: 'one-missed',
          },
      to > 20
        ? { seen: 'Writes 20 after 29.', ask: 'Read it aloud from 27. What comes now?', move: 'teen-or-ty' }
        : {
            seen: 'Starts each row from one.',
            ask: 'Which number is there already?',
            move: 'starts-from-one',
          },
    ],
    iCan: `I can write the numbers that are missing, to ${to}.`,
    words: ['before', 'after', 'between', 'next', 'missing'],
    easier: 'Use a number line to check each row.',
    harder: 'Say the row backwards as well.',
    stuck: 'Read the first number and go on in a whisper.',
    finishEarly: 'Make a row of your own with two gaps for a partner.',
    talk:
      dice === 1
        ? 'Which numbers come in more than one row? Why?'
        : 'Which rows take longest to get? Why do some come so rarely?',
    cautions: [],
    home: 'Write short rows with gaps for each other and fill them in.',
  }
}
