import { between, ladder, rung } from './strand'

/** Saying and making an amount. Order: common practice, no source. */
export const howMany = ladder('how-many', 'How many', [
  {
    id: 'count-out-5',
    short: 'count out 5',
    sentence: 'Counts out up to 5 objects and stops there.',
    to: 5,
    marks: {
      own: 'Takes four, touches each once, stops.',
      help: 'Counts right when an adult moves the objects.',
      notYet: 'Skips or counts one twice, or does not stop.',
    },
  },
  between(
    rung('count-set-10', 'count a set', 10, 'Counts a set to 10 and says the last number for how many.', [
      'Counts seven, asked how many says “seven”.',
      'Says the last number after “so how many?”.',
      'Counts again when asked how many.',
    ]),
  ),
  between(
    rung('see-5', 'see to 5', 5, 'Sees dice and finger patterns to 5 without counting.', [
      'Says “four” at a glance.',
      'Sees two and counts the rest.',
      'Counts each dot.',
    ]),
  ),
  {
    id: 'count-out-10',
    short: 'count out 10',
    sentence: 'Counts out up to 10 objects and stops there.',
    to: 10,
    marks: {
      own: 'Takes eight, says “eight” without recounting.',
      help: 'Needs a row to keep the place.',
      notYet: 'Loses the place after five or six.',
    },
  },
  {
    id: 'see-6',
    short: 'see to 6',
    sentence: 'Sees dice and finger patterns to 6 without counting.',
    to: 6,
    marks: {
      own: 'Says how many at a glance.',
      help: 'Sees part and counts the rest.',
      notYet: 'Counts each dot.',
    },
  },
  {
    id: 'five-and-some',
    short: 'five and some',
    sentence: 'Sees five-and-some on a ten frame, to 10.',
    to: 10,
    marks: {
      own: 'Says “five and three, eight”.',
      help: 'Sees five, counts the rest.',
      notYet: 'Counts from one.',
    },
  },
  {
    id: 'count-out-20',
    short: 'count out 20',
    sentence: 'Counts up to 20 objects, taken from a pile or lying there, and checks.',
    to: 20,
    marks: {
      own: 'Counts fourteen and checks by tens and ones.',
      help: 'Counts them after grouping with an adult.',
      notYet: 'Trips over the teen names.',
    },
  },
  {
    id: 'tens-and-ones-100',
    short: 'tens and ones',
    sentence: 'Counts in tens and ones to 100.',
    to: 100,
    marks: {
      own: 'Three tens and four: “ten, twenty, thirty, thirty-four”.',
      help: 'Counts tens, needs help to change to ones.',
      notYet: 'Counts every piece as one.',
    },
  },
])
