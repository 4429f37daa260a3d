import type { LevelTexts } from '../../engine/texts'
import type { Params } from './point-fast'

const noRace = 'A warm-up, not a race: nobody is called out for being slow.'

export const pointFastTexts = (params: Params): LevelTexts =>
  params.marks === 'none' ? writing(params) : pointing(params)

const writing = ({ high, calls }: Params): LevelTexts => {
  const from = high <= 10 ? 0 : high <= 20 ? 11 : 21
  return {
    setUp: 'A mini whiteboard with pen for each child; no numbers in sight.',
    start: 'All the boards are clean and lie flat.',
    end: `Done after ${calls} calls.`,
    steps: [
      ['look', 'Listen to the number.'],
      ['write', 'Write it large.'],
      ['check', 'Hold it up. Is it like the others?'],
      ['pass', 'Wipe it off.'],
    ],
    rules: [
      `The caller, an adult or a child, says a number from ${from} to ${high}, twice, and shows nothing.`,
      'Write it and hold your board up.',
      'Look round: do all boards say the same? Say it together.',
      'Wipe it off. The next caller says a number.',
    ],
    lookFors: [
      high <= 10 ? 'Writes it the right way round?' : 'Writes the tens first?',
      high <= 10 ? 'Starts at the top?' : high <= 20 ? 'Hears “-teen”?' : 'Hears “-ty” or “-teen”?',
      'Looks for a number to copy?',
    ],
    misconceptions: [
      high <= 10
        ? {
            seen: 'Writes 3 or 7 back to front.',
            ask: 'Trace this one with your finger. Where does it start?',
            move: 'looks-alike',
          }
        : high <= 20
          ? {
              seen: 'Writes 41 for fourteen.',
              ask: 'How many tens did you hear? Where do they go?',
              move: 'digits-turned',
              slip: 'digits-turned',
            }
          : {
              seen: 'Writes 30 for thirteen, or 13 for thirty.',
              ask: 'Say them both. Which one has three tens?',
              move: 'teen-or-ty',
              slip: 'teen-or-ty',
            },
    ],
    iCan: `I can write the numbers to ${high} that I hear.`,
    words: high <= 10 ? ['number', 'numeral', 'start', 'round'] : ['tens', 'ones', 'digit', 'numeral'],
    easier:
      high <= 10 ? 'Trace it in the air together first.' : 'Say the tens and the ones before you write.',
    harder: 'Write the number that comes after the one called.',
    stuck:
      high <= 10 ? 'Draw it on a friend’s back with a finger.' : 'Build it in tens and ones, then write.',
    finishEarly: 'Write one more and one less than it.',
    talk: 'Which numbers are easy to mix up?',
    cautions: [noRace],
    home: 'Write numbers on a misty window: one says, one writes.',
  }
}

const pointing = (params: Params): LevelTexts => {
  const { high, marks, calls } = params
  const shows =
    marks === 'all'
      ? 'every number'
      : marks === 'ends'
        ? 'only its ends'
        : `every ${high > 50 ? 'ten' : 'five'}`
  return {
    setUp: `A number line 0 to ${high} for each child; it shows ${shows}.`,
    start: 'All the fingers on zero.',
    end: `Done after ${calls} calls.`,
    steps: [
      ['look', 'Listen to the number.'],
      ['place', 'Point to it.'],
      ['check', 'Keep your finger there. Look left and right.'],
      ['say', 'Say what it is between.'],
    ],
    rules: [
      'An adult or a child is the caller and says a number.',
      'Point to it on your line and keep your finger there.',
      'Look at a partner’s: same place?',
      marks === 'all' ? 'Say what it lies between.' : `Say which mark it is near, and on which side.`,
      'The next caller says a number.',
    ],
    lookFors: [
      marks === 'all'
        ? 'Goes to the place at once, or counts along?'
        : marks === 'ends'
          ? 'Uses the middle of the line?'
          : 'Starts from the nearest mark?',
      'Turns the right way from a number near by?',
      'Says what it is between?',
    ],
    misconceptions: [
      {
        seen: 'Counts from zero every time.',
        ask: 'Is it before or after the middle? What is near it?',
        move: 'even-spaces',
      },
      ...(marks === 'all'
        ? [
            high > 12
              ? { seen: 'Points to 12 for 20.', ask: 'How many tens has it?', move: 'digits-turned' as const }
              : {
                  seen: 'Points to 9 for 6.',
                  ask: 'Which one is nearer to five?',
                  move: 'looks-alike' as const,
                },
          ]
        : [
            {
              seen: 'Spaces the numbers unevenly.',
              ask: 'Where is the middle? Which number lies there?',
              move: 'even-spaces' as const,
            },
          ]),
    ],
    iCan: `I can find numbers on a line to ${high}.`,
    words: ['before', 'after', 'between', 'near', 'middle'],
    easier: 'Fold the line in the middle and mark it.',
    harder:
      marks === 'all' ? 'Point with your eyes shut, then look.' : 'Turn the line over and draw your own.',
    stuck: 'Find the middle. Which side is it on?',
    finishEarly: 'Point to the number halfway between the last two.',
    talk: 'How did you find it?',
    cautions: [noRace],
    home: 'Draw a line on paper and take turns to call.',
  }
}
