import { smallParts } from '../../engine/cautions'
import { questionKinds } from '../../families/questions'
import type { ChildStep, LevelTexts } from '../../engine/texts'
import type { CrewKind, Params } from './even-crews'

/** What differs from level to level. */
type Own = Pick<
  LevelTexts,
  'lookFors' | 'misconceptions' | 'iCan' | 'words' | 'easier' | 'harder' | 'stuck' | 'talk' | 'home'
> & { lies: string; steps: ChildStep[]; rules: string[] }

const unequal: LevelTexts['misconceptions'][number] = {
  seen: 'The boats do not hold the same.',
  ask: 'Do all the boats have the same?',
  move: 'unequal-shares',
}
const addsBoth: LevelTexts['misconceptions'][number] = {
  seen: 'Says 7 for 3 groups of 4.',
  ask: 'What does the 3 count, and what does the 4 count?',
  move: 'groups-not-sum',
  slip: 'added',
}

const own: Record<CrewKind, Own> = {
  sharing: {
    lies: 'four boats (trays)',
    steps: [
      ['count', 'Count out the crew.'],
      ['place', 'Share it: one for each boat, again and again.'],
      ['say', 'Say how many each has.'],
    ],
    rules: [
      'Count out the crew and take as many boats as the card says.',
      'Share the crew fairly and say how many are in each boat.',
    ],
    lookFors: ['Shares in rounds, one for each boat?', 'Checks that the boats hold the same?'],
    misconceptions: [unequal],
    iCan: 'I can share fairly and say how many each has.',
    words: ['share', 'fair', 'each', 'the same'],
    easier: 'Two boats only.',
    harder: 'Say how many each will have before you share.',
    stuck: 'Do one round together: one for you, one for you.',
    talk: 'How did you know that it was fair?',
    home: 'Share spoons or socks between two, three or four.',
  },
  'odd-or-even': {
    lies: 'ten counters',
    steps: [
      ['count', 'Count out the crew.'],
      ['place', 'Put them in twos.'],
      ['check', 'Is one left with no friend?'],
      ['say', 'Say odd or even.'],
    ],
    rules: [
      'Count out the crew and put it in pairs.',
      'One without a partner: the number is odd. None: it is even. Say which.',
    ],
    lookFors: ['Puts them in pairs before saying it?', 'Says why it is odd or even?'],
    misconceptions: [
      { seen: 'Guesses, or calls large numbers even.', ask: 'Has everyone a partner?', move: 'not-paired' },
    ],
    iCan: 'I can tell odd from even by making pairs.',
    words: ['odd', 'even', 'pair', 'partner'],
    easier: 'Stay with the cards to 6.',
    harder: 'Say it first, then check with pairs.',
    stuck: 'Give each a partner, two by two, aloud.',
    talk: 'What happens when one more comes aboard?',
    home: 'Pair up the socks. Is one left?',
  },
  'equal-groups': {
    lies: 'five boats (trays)',
    steps: [
      ['place', 'Put out the boats.'],
      ['place', 'Fill each with the same crew.'],
      ['count', 'Count in steps, a boat each.'],
      ['say', 'Say how many in all.'],
    ],
    rules: [
      'Take as many boats as the card says and put the same crew in each.',
      'Count in steps, a boat at a time, and say how many are aboard altogether.',
    ],
    lookFors: ['Counts in steps, one number for each boat?', 'Keeps the boats equal?'],
    misconceptions: [
      addsBoth,
      {
        seen: 'Leaves a boat out of the count.',
        ask: 'Which boats have you counted?',
        move: 'one-group-less',
      },
    ],
    iCan: 'I can count equal groups in steps.',
    words: ['groups of', 'equal', 'altogether', 'in each'],
    easier: 'Crews of 2 and 5 only.',
    harder: 'Say how many before you fill the boats.',
    stuck: 'For each boat, whisper the numbers; say the last one aloud.',
    talk: 'How many more come with one more boat?',
    home: 'How many wheels on three cars, four cars?',
  },
  halves: {
    lies: 'two boats (trays)',
    steps: [
      ['count', 'Count out the crew.'],
      ['place', 'Make two equal shares.'],
      ['say', 'Say it: half of it is …'],
    ],
    rules: ['Count out the crew and put half of it in each boat.', 'Say it: “Half of 12 is 6.”'],
    lookFors: ['Makes two equal shares?', 'Uses a double it knows?'],
    misconceptions: [
      unequal,
      {
        seen: 'Takes two away and calls the rest half.',
        ask: 'Is that as many as in the other boat?',
        move: 'took-away',
      },
    ],
    iCan: 'I can find half of a set.',
    words: ['half', 'equal', 'double', 'whole'],
    easier: 'Stay with the cards to 10.',
    harder: 'Say the half first, then the double to prove it.',
    stuck: 'One for each boat, in turn, till none wait.',
    talk: 'Which double told you the half?',
    home: 'Halve the spoons in the drawer. Can you always?',
  },
  rows: {
    lies: 'counters',
    steps: [
      ['place', 'Lay the rows, one below the next.'],
      ['count', 'Count in steps, a row each.'],
      ['check', 'Look from the side. Is it still the same?'],
      ['say', 'Say how many in all.'],
    ],
    rules: [
      'Lay as many rows as the card says, each as long as it says.',
      'Count in steps by rows, then by columns. Say how many altogether.',
    ],
    lookFors: ['Counts by rows or columns, not one by one?', 'Keeps rows straight and equal?'],
    misconceptions: [
      addsBoth,
      {
        seen: 'Counts the corner twice when turning to columns.',
        ask: 'How many columns are there? How long is each?',
        move: 'one-too-many',
      },
    ],
    iCan: 'I can count rows and columns in steps.',
    words: ['row', 'column', 'equal', 'altogether'],
    easier: 'Rows of 2 and 5 only.',
    harder: 'Cover all but one row and one column, then say it.',
    stuck: 'Slide a finger along one row: how many? And with the next?',
    talk: 'Why is it the same from the side?',
    home: 'Find rows: eggs, tiles, windows. How many?',
  },
  quarters: {
    lies: 'four boats (trays)',
    steps: [
      ['count', 'Count out the crew.'],
      ['place', 'Make four equal shares.'],
      ['say', 'Say it: a quarter of it is …'],
    ],
    rules: [
      'Count out the crew and put a quarter of it in each of four boats.',
      'Say it: “A quarter of 12 is 3.”',
    ],
    lookFors: ['Makes four equal shares, or halves twice?', 'Says “a quarter” of what?'],
    misconceptions: [
      {
        seen: 'Stops at two shares.',
        ask: 'How many boats does a quarter need?',
        move: 'halved-once',
      },
      unequal,
    ],
    iCan: 'I can find a quarter of a set.',
    words: ['quarter', 'half', 'equal', 'whole'],
    easier: 'Halve it first, then halve one boat again.',
    harder: 'Say the quarter first; then say three quarters.',
    stuck: 'One for each boat, in turn, till none wait.',
    talk: 'How does half of it help to find a quarter?',
    home: 'Share a dozen pegs on four hooks.',
  },
}

export const evenCrewsTexts = ({ kind, turn }: Params): LevelTexts => {
  const { lies, steps, rules, ...texts } = own[kind]
  const { title, to } = questionKinds[kind]
  return {
    ...texts,
    setUp: `The pack face down (${title}), ${kind === 'odd-or-even' ? lies : kind === 'rows' ? `${to} ${lies}` : `${to} counters, ${lies}`}.`,
    start: 'Shuffle the cards; the youngest starts.',
    end: `Done after ${turn} cards.`,
    steps: [['turn', 'Turn a card.'], ...steps],
    rules: ['Turn a card and read it aloud.', ...rules, 'The others check. Clear the table for the next go.'],
    finishEarly: 'Make up a card for a partner.',
    cautions: [smallParts],
  }
}
