import { ladder, rung } from './strand'

/** Saying number words forwards, from any start. Order: common practice, no source. */
export const count = ladder('count', 'Count on', [
  rung('count-5', 'count to 5', 5, 'Says the number words to 5 in order.', [
    'Says one to five without a slip.',
    'Joins in with an adult.',
    'Leaves words out or mixes them up.',
  ]),
  rung('count-10', 'count to 10', 10, 'Says the number words to 10, from any start.', [
    'Asked to go on from 6, says “seven, eight, nine, ten”.',
    'Goes on after hearing the first three words.',
    'Starts again at one.',
  ]),
  rung('count-20', 'count to 20', 20, 'Counts to 20 from any start.', [
    'From 13 goes on “fourteen, fifteen, sixteen”.',
    'Needs a reminder at thirteen or fifteen.',
    'Skips a teen or says it twice.',
  ]),
  rung('count-30', 'over the decades', 30, 'Counts over the first decades to 30.', [
    'From 18 goes on over 20 and 30.',
    'Asks what comes after twenty-nine.',
    'Stops at nineteen or twenty-nine.',
  ]),
  rung('count-100', 'count to 100', 100, 'Counts to 100 from any start.', [
    'From 67 goes on over 70.',
    'Needs the next decade name.',
    'Says “twenty-ten” or jumps a decade.',
  ]),
  rung('count-120', 'count to 120', 120, 'Counts over 100 to 120.', [
    'From 97 goes on over 100 to 104.',
    'Crosses 100 with a hint.',
    'Says “two hundred” after 100.',
  ]),
  rung('count-1000', 'count to 1000', 1000, 'Counts to 1000 from any start.', [
    'From 398 goes on over 400.',
    'Crosses a hundred with a number line.',
    'Loses the hundreds.',
  ]),
])

/** Saying number words backwards. Order: common practice, no source. */
export const countBack = ladder('count-back', 'Count back', [
  rung('back-5', 'back from 5', 5, 'Counts back from 5.', [
    'Says five, four, three, two, one.',
    'Counts back along fingers.',
    'Counts forwards.',
  ]),
  rung('back-10', 'back from 10', 10, 'Counts back from 10, from any start.', [
    'From 8 says “seven, six, five”.',
    'Counts back along a number line.',
    'Turns round and counts forwards.',
  ]),
  rung('back-20', 'back from 20', 20, 'Counts back from 20, from any start.', [
    'From 15 says “fourteen, thirteen, twelve”.',
    'Needs help at thirteen or eleven.',
    'Says “fifteen, forty”.',
  ]),
  rung('back-100', 'back over decades', 100, 'Counts back from 100 over the decades.', [
    'From 42 goes on “forty-one, forty, thirty-nine”.',
    'Stops at forty and needs a hint.',
    'Says “forty-one, forty, fifty-nine”.',
  ]),
])
