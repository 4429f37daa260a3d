import { between, ladder, rung } from './strand'

/** Adding and subtracting, from counting all to complements within a hundred. Order: common practice, no source. */
export const add = ladder('add', 'Add and subtract', [
  {
    id: 'count-all-5',
    short: 'count all to 5',
    sentence: 'Puts two small amounts together and counts all of them, to 5.',
    to: 5,
    marks: {
      own: 'Counts 2 and 3 together and says five.',
      help: 'Counts all when an adult points along.',
      notYet: 'Counts only one of the two amounts.',
    },
  },
  {
    id: 'take-away-5',
    short: 'take away to 5',
    sentence: 'Takes some away from up to 5 and says how many are left.',
    to: 5,
    marks: {
      own: 'Takes 2 from 5 and says three.',
      help: 'Takes away, then needs a prompt to count what is left.',
      notYet: 'Says the number taken away.',
    },
  },
  {
    id: 'count-all-10',
    short: 'count all to 10',
    sentence: 'Puts two amounts together and counts all of them, to 10.',
    to: 10,
    marks: {
      own: 'Counts 6 and 3 together and says nine.',
      help: 'Loses the place once and recovers with an adult.',
      notYet: 'Miscounts or stops early.',
    },
  },
  {
    id: 'parts-of-5',
    short: 'parts of 5',
    sentence: 'Knows which two parts make 5.',
    to: 5,
    marks: {
      own: 'Sees 3, says “two more” at once.',
      help: 'Finds the other part on fingers with a hint.',
      notYet: 'Guesses the other part.',
    },
  },
  {
    id: 'take-away-10',
    short: 'take away to 10',
    sentence: 'Takes away from up to 10 and says how many are left.',
    to: 10,
    marks: {
      own: 'Works out 9 take away 4 with or without counters.',
      help: 'Needs the counters laid out by an adult.',
      notYet: 'Adds instead, or counts from one each time and slips.',
    },
  },
  between(
    rung('doubles-10', 'doubles to 10', 10, 'Knows doubles up to 5 and 5.', [
      'Says 4 and 4 is 8 straight away.',
      'Shows both on fingers, then says it.',
      'Counts both fours from one.',
    ]),
  ),
  {
    id: 'count-on-10',
    short: 'count on to 10',
    sentence: 'Starts from the first number and counts on, to 10.',
    to: 10,
    marks: {
      own: 'For 6 and 3 says “seven, eight, nine”.',
      help: 'Counts on after “start at six”.',
      notYet: 'Begins again at one, or counts the six twice.',
    },
  },
  {
    id: 'missing-part-10',
    short: 'missing part',
    sentence: 'Finds the missing part of a number up to 10.',
    to: 10,
    marks: {
      own: 'Three and what make eight? Says five.',
      help: 'Finds it with fingers and a prompt.',
      notYet: 'Adds the two numbers it sees.',
    },
  },
  {
    id: 'complements-10',
    short: 'parts of 10',
    sentence: 'Knows what goes with a number to make 10.',
    to: 10,
    marks: {
      own: 'For 6, says “four” at once.',
      help: 'Needs a ten frame to see it.',
      notYet: 'Counts from one, or guesses.',
    },
  },
  between(
    rung('difference-10', 'how many more', 10, 'Says how many more one amount is than another, to 10.', [
      'For 8 and 5 counts up from 5: “three more”.',
      'Puts them side by side with help and counts what is over.',
      'Says the larger one, or adds them.',
    ]),
  ),
  {
    id: 'count-on-20',
    short: 'count on to 20',
    sentence: 'Counts on from a teen number, to 20.',
    to: 20,
    marks: {
      own: 'For 14 and 3 says “fifteen, sixteen, seventeen”.',
      help: 'Counts on after a reminder where to start.',
      notYet: 'Counts the square stood on, or starts at one.',
    },
  },
  between(
    rung('doubles-20', 'doubles to 20', 20, 'Knows doubles from 6 and 6 up to 10 and 10.', [
      'Says 7 and 7 is 14.',
      'Finds it from 5 and 5 with help.',
      'Counts all of both.',
    ]),
  ),
  {
    id: 'make-ten-20',
    short: 'make ten to 20',
    sentence: 'Makes ten or uses a near double to add to 20.',
    to: 20,
    marks: {
      own: 'For 8 and 5 says “two to ten, three more”.',
      help: 'Makes ten when asked “how far to ten?”.',
      notYet: 'Counts all or counts on each time.',
    },
  },
  between(
    rung(
      'subtract-teens',
      'teens take away ones',
      20,
      'Takes ones from a teen number, leaving the ten alone.',
      ['For 17 take away 4 says 13.', 'Works it out after “the ten stays”.', 'Counts all seventeen.'],
    ),
  ),
  {
    id: 'subtract-20',
    short: 'subtract to 20',
    sentence: 'Subtracts and finds the missing part within 20.',
    to: 20,
    marks: {
      own: 'For 15 take away 6 bridges back through ten.',
      help: 'Counts back with a number line.',
      notYet: 'Counts the start number as the first step back.',
    },
  },
  between(
    rung('whole-tens-100', 'whole tens', 100, 'Adds, takes away and completes whole tens, to 100.', [
      'Says 30 and 40 is 70; 60 and 40 make 100.',
      'Needs the rods to see it.',
      'Counts on in ones.',
    ]),
  ),
  {
    id: 'tens-ones-100',
    short: 'tens and ones',
    sentence: 'Adds and takes away ones, or tens and ones, inside the ten.',
    to: 100,
    marks: {
      own: 'For 42 and 6 says 48 without counting from one.',
      help: 'Needs the hundred grid pointed out.',
      notYet: 'Changes the tens and the ones together.',
    },
  },
  {
    id: 'crossing-100',
    short: 'across tens',
    sentence: 'Adds and subtracts to 100 across a ten.',
    to: 100,
    marks: {
      own: 'For 47 and 8 says 55 and can tell how.',
      help: 'Crosses the ten with a number line.',
      notYet: 'Loses the ten, says 45.',
    },
  },
  {
    id: 'complement-100',
    short: 'gap to any number',
    sentence: 'Finds the gap to any number up to 100.',
    to: 100,
    marks: {
      own: 'From 27 to 46: “three, ten, six: nineteen”.',
      help: 'Finds the jumps with a number line.',
      notYet: 'Subtracts digit by digit the wrong way round.',
    },
  },
  rung('beyond-100', 'beyond 100', 1000, 'Adds and subtracts ones, tens and hundreds beyond 100.', [
    'For 268 and 40 says 308 and how it crosses the hundred.',
    'Works it out with base-ten pieces.',
    'Adds the 4 to the wrong place.',
  ]),
])
