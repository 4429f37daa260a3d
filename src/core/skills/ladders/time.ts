import { ladder, rung } from './strand'

/** Reading the clock. Order: common practice, no source. */
export const time = ladder('time', 'Time', [
  rung('hour', 'the hour', 12, 'Reads and sets the clock to the hour.', [
    'Sets four o’clock.',
    'Needs to be told which hand.',
    'Swaps the hands.',
  ]),
  rung('half-hour', 'half past', 12, 'Reads and sets half past.', [
    'Sets half past four, hour hand between.',
    'Sets the minute hand, then needs help.',
    'Reads half past four as six.',
  ]),
  rung('quarter', 'quarters', 12, 'Reads and sets quarter past and quarter to.', [
    'Sets quarter to five.',
    'Tells past from to with help.',
    'Reads quarter to as quarter past.',
  ]),
  rung('five-minutes', 'five minutes', 12, 'Reads and sets the clock to five minutes.', [
    'Sets twenty-five past three.',
    'Counts round in fives with help.',
    'Reads the long hand as hours.',
  ]),
])
